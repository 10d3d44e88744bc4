import type { ReactNode } from 'react';
import { hexAt } from '../../../core/colour/animated';
import type { Corner } from '../../../core/look/effects/corner/corner';
import { flashAt, type Flash } from '../../../core/look/effects/flash/flash';
import type { Distortion } from '../../../core/look/effects/distortion/distortion';
import type { Fold } from '../../../core/look/effects/fold/fold';
import type { Fog } from '../../../core/look/effects/fog/fog';
import type { Grid } from '../../../core/look/effects/grid/grid';
import type { Slices } from '../../../core/look/effects/slices/slices';
import type { Fringe } from '../../../core/look/effects/fringe/fringe';
import type { Sharpen } from '../../../core/look/effects/sharpen/sharpen';
import type { Glow } from '../../../core/look/effects/glow/glow';
import type { Effect, EffectKind } from '../../../core/look/effects/kinds';
import type { Rays } from '../../../core/look/effects/rays/rays';
import type { Star } from '../../../core/look/effects/star/star';
import type { Tone } from '../../../core/look/effects/tone/tone';
import { evaluateAnimated } from '../../../core/time/animated';
import type { Vignette } from '../../../core/look/effects/vignette/vignette';
import { blocks, blur, dust, flare, floor, halation, move, stepped, trails } from './filmDrawings';
import { balance, curves, grade, gradientMap, table, tint } from './colourDrawings';

const glow = ({ layers }: Glow, phase: number): ReactNode => (
  <svg viewBox="0 0 44 32" width="44" height="32">
    {layers.map((glow, i) => (
      <circle
        key={glow.id}
        cx="22"
        cy="16"
        r={Math.min(15, 3 + glow.radius * 130)}
        fill={hexAt(glow.tint, phase)}
        opacity={0.5 / (i + 1.2)}
      />
    ))}
    <circle cx="22" cy="16" r="2" fill="var(--text)" />
  </svg>
);

const tone = ({ curve }: Tone): ReactNode => (
  <svg viewBox="0 0 44 32" width="44" height="32" fill="none" stroke="currentColor" strokeWidth="1.4">
    <path d="M4 28h36M4 28V4" stroke="var(--line-strong)" />
    <path
      d={curve === 'straight' ? 'M4 28L36 5' : curve === 'deep' ? 'M4 28c14 0 12-22 36-23' : 'M4 28C12 12 22 6 40 5'}
      stroke="var(--time)"
    />
  </svg>
);

const vignette = ({ amount }: Vignette, phase: number): ReactNode => (
  <svg viewBox="0 0 44 32" width="44" height="32">
    <rect
      x="2"
      y="3"
      width="40"
      height="26"
      rx="3"
      fill="currentColor"
      opacity={0.15 + 0.55 * evaluateAnimated(amount, phase)}
    />
    <ellipse cx="22" cy="16" rx="16" ry="10" fill="var(--text)" opacity={0.75} />
  </svg>
);

/** Places that neither meet nor line up: the R2 sequence (Roberts, 2018), as the core's own order in the cube. */
const grain = (): ReactNode => (
  <svg viewBox="0 0 44 32" width="44" height="32" fill="currentColor">
    {Array.from({ length: 90 }, (_, i) => (
      <circle
        key={i}
        cx={3 + ((i * 0.7548776662) % 1) * 38}
        cy={3 + ((i * 0.5698402909) % 1) * 26}
        r={0.4 + ((i * 7) % 5) / 8}
        opacity={0.3 + ((i * 11) % 7) / 10}
      />
    ))}
  </svg>
);

const dither = (): ReactNode => (
  <svg viewBox="0 0 44 32" width="44" height="32" fill="currentColor">
    {Array.from({ length: 40 }, (_, i) => {
      const [column, row] = [i % 8, Math.floor(i / 8)];
      return (column * 3 + row * 5) % 8 < 7 - column ? (
        <rect key={i} x={4 + column * 4.6} y={5 + row * 4.6} width="3" height="3" />
      ) : null;
    })}
  </svg>
);

const CORNERS: Record<Corner['side'], readonly (readonly [number, number])[]> = {
  ...{ left: [[2, 16]], right: [[42, 16]], above: [[22, 3]], below: [[22, 29]] },
  ...{ topLeft: [[3, 4]], topRight: [[41, 4]], bottomLeft: [[3, 28]], bottomRight: [[41, 28]] },
  corners: [
    [3, 4],
    [41, 4],
    [3, 28],
    [41, 28],
  ],
};
const corner = ({ side, colour, reach }: Corner, phase: number): ReactNode => (
  <svg viewBox="0 0 44 32" width="44" height="32">
    <rect x="2" y="3" width="40" height="26" rx="3" fill="none" stroke="var(--line-strong)" />
    {CORNERS[side].map(([x, y]) => (
      <circle
        key={`${x} ${y}`}
        cx={x}
        cy={y}
        r={Math.min(16, 3 + 14 * evaluateAnimated(reach, phase))}
        fill={hexAt(colour, phase)}
        opacity={0.6}
      />
    ))}
  </svg>
);

/** How bright it is over one lap. */
const flash = (effect: Flash): ReactNode => (
  <svg viewBox="0 0 44 32" width="44" height="32" fill="none" stroke="var(--time)" strokeWidth="1.4">
    <path d="M3 28h38" stroke="var(--line-strong)" />
    <path
      d={Array.from({ length: 96 }, (_, i) => {
        const shown = { ...effect, beats: Math.min(effect.beats, 8) };
        return `${i === 0 ? 'M' : 'L'}${3 + i * 0.4} ${28 - 23 * flashAt(shown, i / 95)}`;
      }).join('')}
    />
  </svg>
);

const star = ({ points, turn }: Star, phase: number): ReactNode => (
  <svg viewBox="0 0 44 32" width="44" height="32" stroke="currentColor" strokeLinecap="round">
    {Array.from({ length: points }, (_, k) => {
      const a = 2 * Math.PI * (evaluateAnimated(turn, phase) + k / points);
      return <path key={k} d={`M22 16L${22 + 13 * Math.cos(a)} ${16 - 13 * Math.sin(a)}`} strokeWidth="1.2" />;
    })}
    <circle cx="22" cy="16" r="2.4" fill="currentColor" stroke="none" />
  </svg>
);

/** Beams from a place, cut by two posts. */
const rays = ({ aside, above, origin }: Rays, phase: number): ReactNode => {
  const [x, y] =
    origin === 'sun' ? [34, 5] : [22 + 44 * evaluateAnimated(aside, phase), 16 - 32 * evaluateAnimated(above, phase)];
  return (
    <svg viewBox="0 0 44 32" width="44" height="32" stroke="var(--time)" fill="var(--time)">
      {Array.from({ length: 14 }, (_, k) => {
        const a = (2 * Math.PI * (k + 0.5)) / 14;
        return (
          <path
            key={k}
            d={`M${x + 4 * Math.cos(a)} ${y + 4 * Math.sin(a)}L${x + 30 * Math.cos(a)} ${y + 30 * Math.sin(a)}`}
            opacity={k % 3 ? 0.7 : 0.25}
          />
        );
      })}
      <circle cx={x} cy={y} r="2.4" />
    </svg>
  );
};

/** Rows of what is farther and farther, fading. */
const fog = ({ colour }: Fog, phase: number): ReactNode => (
  <svg viewBox="0 0 44 32" width="44" height="32">
    <rect x="2" y="3" width="40" height="26" rx="3" fill={hexAt(colour, phase)} opacity={0.8} />
    {[0, 1, 2, 3].map((i) => (
      <path
        key={i}
        d={`M${4 + i * 4} 29V${8 + i * 4}h${9 - i * 2}V29zM${31 - i * 2} 29V${8 + i * 4}h${9 - i * 2}V29z`}
        fill="var(--ground)"
        opacity={0.95 - i * 0.25}
      />
    ))}
  </svg>
);

const fringe = ({ apart }: Fringe, phase: number): ReactNode => {
  const by = Math.max(-3, Math.min(3, 250 * evaluateAnimated(apart, phase)));
  return (
    <svg viewBox="0 0 44 32" width="44" height="32" fill="none" strokeWidth="1.6">
      {(['#ff4a4a', '#4aff7a', '#5a7aff'] as const).map((stroke, i) => (
        <circle key={stroke} cx="22" cy="16" r={10 + by * (1 - i)} stroke={stroke} style={{ mixBlendMode: 'screen' }} />
      ))}
    </svg>
  );
};

/** An edge, and the same sharper. */
const sharpen = ({ strength }: Sharpen, phase: number): ReactNode => {
  const over = Math.min(6, 3 * evaluateAnimated(strength, phase));
  return (
    <svg viewBox="0 0 44 32" width="44" height="32" fill="none" strokeWidth="1.4">
      <path d="M3 23h12C22 23 22 9 29 9h12" stroke="var(--line-strong)" />
      <path
        d={`M3 23h10C17 ${23 + over} 19 ${23 + over} 22 16C25 ${9 - over} 27 ${9 - over} 31 9h10`}
        stroke="var(--time)"
      />
    </svg>
  );
};

/** What becomes of upright and level lines. */
const distortion = ({ barrel }: Distortion, phase: number): ReactNode => {
  const bow = Math.max(-6, Math.min(8, 12 * evaluateAnimated(barrel, phase)));
  const at = [8, 17, 27, 36];
  return (
    <svg viewBox="0 0 44 32" width="44" height="32" fill="none" stroke="currentColor">
      {at.map((x) => (
        <path key={x} d={`M${x} 4Q${x + ((x - 22) / 14) * bow} 16 ${x} 28`} />
      ))}
      {[6, 16, 26].map((y) => (
        <path key={y} d={`M4 ${y}Q22 ${y + ((y - 16) / 10) * bow} 40 ${y}`} stroke="var(--time)" />
      ))}
    </svg>
  );
};

const fold = ({ parts, turn }: Fold, phase: number): ReactNode => (
  <svg viewBox="0 0 44 32" width="44" height="32" stroke="currentColor">
    {Array.from({ length: Math.min(24, 2 * parts) }, (_, i) => {
      const a = 2 * Math.PI * (i / Math.min(24, 2 * parts) + evaluateAnimated(turn, phase));
      return <path key={i} d={`M22 16L${22 + 19 * Math.cos(a)} ${16 - 13 * Math.sin(a)}`} opacity={i % 2 ? 0.5 : 1} />;
    })}
  </svg>
);

const grid = ({ shape, gap }: Grid): ReactNode => (
  <svg viewBox="0 0 44 32" width="44" height="32" fill="currentColor">
    {Array.from({ length: 35 }, (_, i) => {
      const [x, y] = [7 + (i % 7) * 5, 6 + Math.floor(i / 7) * 5];
      const side = 5 * (1 - gap);
      const opacity = 0.3 + 0.7 * Math.exp(-((x - 22) ** 2 + (y - 16) ** 2) / 90);
      return shape === 'round' ? (
        <circle key={i} cx={x} cy={y} r={side / 2} opacity={opacity} />
      ) : (
        <rect key={i} x={x - side / 2} y={y - side / 2} width={side} height={side} opacity={opacity} />
      );
    })}
  </svg>
);

const slices = ({ shift }: Slices, phase: number): ReactNode => (
  <svg viewBox="0 0 44 32" width="44" height="32" fill="currentColor">
    {Array.from({ length: 8 }, (_, i) => {
      const aside = i % 3 === 1 ? (i % 2 ? 1 : -1) * Math.min(9, 60 * evaluateAnimated(shift, phase)) : 0;
      return <rect key={i} x={10 + aside} y={4 + i * 3} width="24" height="2.2" opacity={aside ? 1 : 0.5} />;
    })}
  </svg>
);

/** The small drawing of each kind of effect, from its own values. */
const DRAWINGS = {
  stepped,
  trails,
  fog,
  glow,
  halation,
  star,
  flare,
  rays,
  corner,
  flash,
  floor,
  fold,
  move,
  blur,
  distortion,
  grid,
  fringe,
  vignette,
  balance,
  tone,
  grade,
  curves,
  tint,
  gradientMap,
  table,
  sharpen,
  slices,
  blocks,
  dust,
  grain,
  dither,
} satisfies {
  [K in EffectKind]: (effect: Extract<Effect, { kind: K }>, phase: number) => ReactNode;
};

interface Drawing {
  of(effect: Effect, phase: number): ReactNode;
}

/** An effect in miniature. */
export function EffectDrawing({ effect, phase }: { effect: Effect; phase: number }) {
  const drawing: Drawing = { of: DRAWINGS[effect.kind] };
  return drawing.of(effect, phase);
}
