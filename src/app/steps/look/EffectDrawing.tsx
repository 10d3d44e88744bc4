import type { ReactNode } from 'react';
import { hexAt } from '../../../core/colour/animated';
import type { Glow } from '../../../core/look/effects/glow/glow';
import type { Effect, EffectKind } from '../../../core/look/effects/kinds';
import type { Tone } from '../../../core/look/effects/tone/tone';
import type { Vignette } from '../../../core/look/effects/vignette/vignette';

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

const vignette = ({ amount }: Vignette): ReactNode => (
  <svg viewBox="0 0 44 32" width="44" height="32">
    <rect x="2" y="3" width="40" height="26" rx="3" fill="currentColor" opacity={0.15 + 0.55 * amount} />
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

/** The small drawing of each kind of effect, from its own values. */
const DRAWINGS = { glow, tone, vignette, grain, dither } satisfies {
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
