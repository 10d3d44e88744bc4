import type { ReactNode } from 'react';
import { hexAt } from '../../../core/colour/animated';
import type { Blocks } from '../../../core/look/effects/blocks/blocks';
import type { Blur } from '../../../core/look/effects/blur/blur';
import type { Dust } from '../../../core/look/effects/dust/dust';
import type { Flare } from '../../../core/look/effects/flare/flare';
import type { Floor } from '../../../core/look/effects/floor/floor';
import type { Halation } from '../../../core/look/effects/halation/halation';
import type { Move } from '../../../core/look/effects/move/move';
import type { Trails } from '../../../core/look/effects/trails/trails';
import type { Stepped } from '../../../core/look/effects/stepped/stepped';
import { evaluateAnimated } from '../../../core/time/animated';

// The small drawings of effects of film and frame, from their own values.

/** Places that neither meet nor line up: the R2 sequence (Roberts, 2018). */
const places = (count: number): [number, number][] =>
  Array.from({ length: count }, (_, i) => [4 + ((i * 0.7548776662) % 1) * 36, 4 + ((i * 0.5698402909) % 1) * 24]);

export const halation = ({ tint }: Halation, phase: number): ReactNode => (
  <svg viewBox="0 0 44 32" width="44" height="32">
    {[12, 9.5, 7.5].map((r, i) => (
      <circle key={r} cx="22" cy="16" r={r} fill={hexAt(tint, phase)} opacity={0.2 + 0.15 * i} />
    ))}
    <circle cx="22" cy="16" r="5.5" fill="var(--text)" />
  </svg>
);

export const blur = ({ way, turn }: Blur, phase: number): ReactNode => {
  const degrees = way === 'line' ? -360 * evaluateAnimated(turn, phase) : 0;
  return (
    <svg viewBox="0 0 44 32" width="44" height="32" fill="none" stroke="currentColor" strokeLinecap="round">
      {way === 'line'
        ? [6, 11, 16, 21, 26].map((y, i) => (
            <path
              key={y}
              d={`M${10 - (i % 2) * 3} ${y}h${22 + (i % 2) * 6}`}
              opacity={0.9 - 0.3 * (i % 2)}
              transform={`rotate(${degrees} 22 16)`}
            />
          ))
        : Array.from({ length: 12 }, (_, k) => {
            const a = (2 * Math.PI * k) / 12;
            const r = k % 2 ? 8 : 12;
            const d =
              way === 'zoom'
                ? `M${22 + 5 * Math.cos(a)} ${16 + 5 * Math.sin(a)}L${22 + (r + 2) * Math.cos(a)} ${16 + (r + 2) * Math.sin(a)}`
                : `M${22 + r * Math.cos(a)} ${16 + r * Math.sin(a)}A${r} ${r} 0 0 1 ${22 + r * Math.cos(a + 0.7)} ${16 + r * Math.sin(a + 0.7)}`;
            return <path key={k} d={d} opacity={k % 2 ? 0.6 : 0.9} />;
          })}
    </svg>
  );
};

/** The frame, and where the picture is in it. */
export const move = ({ aside, above, turn, size }: Move, phase: number): ReactNode => {
  const at = (value: Move['aside']): number => evaluateAnimated(value, phase);
  const by = [Math.max(-8, Math.min(8, 200 * at(aside))), Math.max(-6, Math.min(6, -200 * at(above)))];
  return (
    <svg viewBox="0 0 44 32" width="44" height="32" fill="none">
      <rect x="6" y="6" width="32" height="20" stroke="var(--line-strong)" />
      <rect
        x="6"
        y="6"
        width="32"
        height="20"
        stroke="var(--time)"
        transform={`translate(${by.join(' ')}) rotate(${-360 * at(turn)} 22 16) translate(22 16) scale(${Math.max(0.4, Math.min(1.3, at(size)))}) translate(-22 -16)`}
      />
    </svg>
  );
};

export const blocks = ({ share }: Blocks): ReactNode => (
  <svg viewBox="0 0 44 32" width="44" height="32" fill="currentColor">
    {Array.from({ length: 24 }, (_, i) => {
      const moves = (i * 0.618034) % 1 < share;
      const [x, y] = [4 + (i % 6) * 6, 4 + Math.floor(i / 6) * 6];
      return (
        <rect
          key={i}
          x={x + (moves ? 2 : 0)}
          y={y - (moves ? 1.5 : 0)}
          width="5.4"
          height="5.4"
          opacity={moves ? 1 : 0.4}
        />
      );
    })}
  </svg>
);

export const floor = ({ line, stretch }: Floor, phase: number): ReactNode => {
  const y = Math.max(6, Math.min(28, 30 - 28 * evaluateAnimated(line, phase)));
  return (
    <svg viewBox="0 0 44 32" width="44" height="32" fill="currentColor">
      <path d={`M3 ${y}h38`} stroke="var(--time)" />
      {[
        [9, 7],
        [19, 11],
        [30, 5],
      ].map(([x, h]) => (
        <g key={x}>
          <rect x={x} y={y - h} width="5" height={h} />
          <rect x={x} y={y + 1} width="5" height={Math.max(0, Math.min(30 - y, h * stretch))} opacity="0.35" />
        </g>
      ))}
    </svg>
  );
};

export const dust = ({ light }: Dust): ReactNode => (
  <svg viewBox="0 0 44 32" width="44" height="32">
    <rect x="2" y="3" width="40" height="26" rx="3" fill="currentColor" opacity="0.35" />
    {places(14).map(([x, y], i) => (
      <ellipse
        key={i}
        cx={x}
        cy={y}
        rx={0.7 + (i % 4) * 0.35}
        ry={0.6 + (i % 3) * 0.2}
        fill={(i * 0.618034) % 1 < light ? 'var(--text)' : 'var(--ground)'}
      />
    ))}
  </svg>
);

/** Steps over a lap, and the line they stand for. */
export const stepped = ({ steps }: Stepped): ReactNode => {
  const shown = Math.min(9, Math.max(2, Math.round(steps / 8)));
  return (
    <svg viewBox="0 0 44 32" width="44" height="32" fill="none" strokeWidth="1.4">
      <path d="M4 27L40 5" stroke="var(--line-strong)" />
      <path
        d={Array.from({ length: shown }, (_, i) => {
          const [x, y] = [4 + (36 * i) / shown, 27 - (22 * i) / (shown - 1)];
          return `${i === 0 ? 'M' : 'L'}${x} ${y}h${36 / shown}`;
        }).join('')}
        stroke="var(--time)"
      />
    </svg>
  );
};

/** Earlier places of what moves, fading. */
export const trails = ({ copies, fades }: Trails): ReactNode => {
  const shown = Math.min(8, copies);
  return (
    <svg viewBox="0 0 44 32" width="44" height="32" fill="currentColor">
      {Array.from({ length: shown }, (_, i) => {
        const way = (i + 1) / shown;
        return (
          <circle
            key={i}
            cx={34 - 26 * way}
            cy={10 + 14 * way * way}
            r="4"
            opacity={0.7 * (1 - way * 0.85) ** fades}
            fill="currentColor"
          />
        );
      }).reverse()}
      <circle cx="34" cy="10" r="4.5" fill="var(--text)" />
    </svg>
  );
};

/** A light, its streak and ring, and the ghosts across the middle. */
export const flare = ({ ghosts, ring, streak }: Flare): ReactNode => (
  <svg viewBox="0 0 44 32" width="44" height="32" fill="none" stroke="currentColor">
    {streak > 0 ? <path d="M2 9h24" stroke="var(--time)" /> : null}
    {ring > 0 ? <circle cx="13" cy="9" r="6" opacity="0.6" /> : null}
    <circle cx="13" cy="9" r="2.4" fill="var(--text)" stroke="none" />
    {Array.from({ length: Math.min(5, ghosts) }, (_, i) => (
      <circle
        key={i}
        cx={21 + i * 4.6}
        cy={15 + i * 3.4}
        r={1.4 + (i % 3)}
        fill="currentColor"
        stroke="none"
        opacity="0.5"
      />
    ))}
  </svg>
);
