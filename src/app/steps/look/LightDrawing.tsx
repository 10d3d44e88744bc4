import { useId, type ReactNode } from 'react';
import { linearToHex } from '../../../core/colour/colour';
import { directionOf, type LightRecord } from '../../../core/look/lights/definition';
import { lightOf, type Light, type LightKind } from '../../../core/look/lights/kinds';
import type { SoftBox } from '../../../core/look/lights/softBox/softBox';
import type { Sun } from '../../../core/look/lights/sun/sun';
import type { Surroundings } from '../../../core/look/lights/surroundings/surroundings';

/** What a drawing knows of a light besides its values: its colour now, and a name for what it defines. */
interface Now {
  colour: string;
  id: string;
}

/** A ball lit from where the sun stands; one that shines against the camera leaves a rim. */
const sun = (light: Sun, { colour, id }: Now): ReactNode => {
  const [aside, above, behind] = directionOf(light);
  return (
    <svg viewBox="0 0 44 32" width="44" height="32">
      <defs>
        <radialGradient
          id={id}
          cx={0.5 + 0.42 * aside}
          cy={0.5 - 0.42 * above}
          r={behind > 0 ? 0.75 : 0.5}
          gradientUnits="objectBoundingBox"
        >
          <stop offset="0" stopColor={colour} />
          <stop offset="1" stopColor={colour} stopOpacity="0.06" />
        </radialGradient>
      </defs>
      <circle cx="22" cy="16" r="12" fill="var(--field)" stroke="var(--line-strong)" />
      <circle cx="22" cy="16" r="12" fill={`url(#${id})`} />
    </svg>
  );
};

/** A rectangle where the box is, over a ball that reflects it. */
const softBox = (light: SoftBox, { colour }: Now): ReactNode => {
  const [aside, above] = directionOf(light);
  const [wide, high] = [Math.min(22, 2 + 7 * light.wide), Math.min(20, 2 + 7 * light.high)];
  const [x, y] = [22 + 13 * aside, 16 - 10 * above];
  return (
    <svg viewBox="0 0 44 32" width="44" height="32">
      <circle cx="22" cy="16" r="8" fill="var(--field)" stroke="var(--line-strong)" />
      <rect x={x - wide / 2} y={y - high / 2} width={wide} height={high} rx="1.5" fill={colour} opacity="0.9" />
    </svg>
  );
};

/** A ball between what is above and what is beneath. */
const surroundings = (light: Surroundings, { colour, id }: Now): ReactNode => (
  <svg viewBox="0 0 44 32" width="44" height="32">
    <defs>
      <linearGradient id={id} x1="0" y1="0" x2="0" y2="1">
        <stop offset="0" stopColor={colour} stopOpacity={Math.min(1, 0.1 + light.overhead * 8)} />
        <stop offset="1" stopColor={colour} stopOpacity={Math.min(1, 0.1 + light.below * 8)} />
      </linearGradient>
    </defs>
    <circle cx="22" cy="16" r="12" fill={`url(#${id})`} stroke="var(--line-strong)" />
  </svg>
);

/** The small drawing of each kind of light, from its own values. */
const DRAWINGS = { sun, softBox, surroundings } satisfies {
  [K in LightKind]: (light: Extract<Light, { kind: K }>, now: Now) => ReactNode;
};

interface Drawing {
  of(light: Light, now: Now): ReactNode;
}

/** The colour of a light as the display can show it: dimmed, never brighter than its own. */
function shown({ colour, strength }: LightRecord): string {
  const most = Math.max(1, ...colour);
  return strength > 0 ? linearToHex([colour[0] / most, colour[1] / most, colour[2] / most]) : '#000000';
}

/** A light in miniature. */
export function LightDrawing({ light, phase }: { light: Light; phase: number }) {
  const id = useId();
  const drawing: Drawing = { of: DRAWINGS[light.kind] };
  return drawing.of(light, { colour: shown(lightOf(light.kind).at(light, phase)), id });
}
