import { useId, type ReactNode } from 'react';
import { linearToHex, type Rgb } from '../../../core/colour/colour';
import { dimmed, directionOf } from '../../../core/look/lights/definition';
import type { FarBox } from '../../../core/look/lights/farBox/farBox';
import type { Light, LightKind } from '../../../core/look/lights/kinds';
import { shownBy, turnsOf, type PanoramaLight } from '../../../core/look/lights/panorama/panorama';
import type { PointLight } from '../../../core/look/lights/point/point';
import type { SoftBox } from '../../../core/look/lights/softBox/softBox';
import type { Spot } from '../../../core/look/lights/spot/spot';
import type { Sun } from '../../../core/look/lights/sun/sun';
import type { Surroundings } from '../../../core/look/lights/surroundings/surroundings';
import { NO_PANORAMA } from '../../../core/panorama/facts';
import { lightAt, placeOf } from '../../../core/panorama/panorama';
import { STOCK_PANORAMAS } from '../../../core/panorama/stock';
import { skyAt } from '../../../core/world/sky';
import { usePiece } from '../../state/bench';
import type { Vec3 } from '../../../core/space/vector';
import { evaluateAnimated } from '../../../core/time/animated';
import { useHere } from '../../parts/FileLook';

/** What a drawing knows of a light besides its values: its colour now, and a name for what it defines. */
interface Now {
  colour: string;
  phase: number;
  id: string;
}

/** A ball lit from where the sun stands; one that shines against the camera leaves a rim. */
const sun = (light: Sun, { colour, id, phase }: Now): ReactNode => {
  const [aside, above, behind] = directionOf(light, phase);
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
const farBox = (light: FarBox, { colour, phase }: Now): ReactNode => {
  const [aside, above] = directionOf(light, phase);
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

/** Where a mirroring ball shows what, in a grid over it: place in the drawing, and the direction, by how far around and how high. */
const MIRRORED = Array.from({ length: 16 * 16 }, (_, i): [number, number, number, number] | null => {
  const [x, y] = [((i % 16) - 7.5) * 1.5, (Math.floor(i / 16) - 7.5) * 1.5];
  const [nx, ny] = [x / 12, y / 12];
  const across = nx * nx + ny * ny;
  if (across > 1.1) return null;
  // the normal of the ball there, and the view mirrored at it: seen from far ahead of it, towards what lies ahead
  const nz = Math.sqrt(Math.max(0, 1 - across));
  const d = [2 * nz * nx, 2 * nz * ny, 2 * nz * nz - 1];
  return [x - 0.8, y + 0.8, Math.atan2(d[0], -d[2]), Math.min(1, Math.max(-1, d[1]))];
}).filter((cell) => cell !== null);

/** A ball that mirrors what it shows, as it is turned. */
function PanoramaDrawing({ light, id, phase }: { light: PanoramaLight; id: string; phase: number }) {
  useHere(light.of === 'own' && light.file ? [light.file] : [], 'panorama');
  const piece = usePiece();
  const { of } = light;
  const turn = turnsOf(light, phase);
  const sky = of === 'sky' ? skyAt(piece, phase) : null;
  const held = of === 'own' ? shownBy(light, null).panorama() : null;
  const seen = (d: Vec3): Rgb => {
    if (of === 'sky') return sky?.law(d) ?? [0, 0, 0];
    return of === 'own' ? lightAt(held ?? NO_PANORAMA, ...placeOf(d)) : STOCK_PANORAMAS[of].law(d);
  };
  return (
    <svg viewBox="0 0 44 32" width="44" height="32">
      <clipPath id={id}>
        <circle cx="22" cy="16" r="12" />
      </clipPath>
      <g clipPath={`url(#${id})`}>
        {MIRRORED.map(([x, y, around, up]) => {
          const level = Math.sqrt(1 - up * up);
          const angle = around - 2 * Math.PI * turn;
          const lit = seen([level * Math.sin(angle), up, -level * Math.cos(angle)]);
          return (
            <rect
              key={`${x} ${y}`}
              x={22 + x}
              y={16 - y}
              width="1.6"
              height="1.6"
              fill={linearToHex(lit.map((v) => v / (1 + v / 3)) as Rgb)}
            />
          );
        })}
      </g>
    </svg>
  );
}

const panorama = (light: PanoramaLight, { id, phase }: Now): ReactNode => (
  <PanoramaDrawing light={light} id={id} phase={phase} />
);

/** A beam from above onto a floor, as wide as its cone; broken where it falls through a pattern. */
const spot = (light: Spot, { colour, id, phase }: Now): ReactNode => {
  const half = Math.min(19, 24 * Math.tan((evaluateAnimated(light.cone, phase) * Math.PI) / 360));
  return (
    <svg viewBox="0 0 44 32" width="44" height="32">
      <defs>
        <linearGradient id={id} x1="0" y1="0" x2="0" y2="1">
          <stop offset="0" stopColor={colour} stopOpacity="0.85" />
          <stop offset="1" stopColor={colour} stopOpacity="0.1" />
        </linearGradient>
      </defs>
      <path d={`M22 3L${22 - half} 27H${22 + half}Z`} fill={`url(#${id})`} />
      <ellipse
        cx="22"
        cy="27"
        rx={half}
        ry="2.6"
        fill={colour}
        opacity="0.8"
        {...(light.mask === 'none' ? {} : { stroke: 'var(--field)', strokeWidth: 6, strokeDasharray: '2 3' })}
      />
      <circle cx="22" cy="4" r="2.2" fill={colour} />
    </svg>
  );
};

/** A bright panel, and what it throws before it. */
const softBox = (light: SoftBox, { colour, id, phase }: Now): ReactNode => {
  const high = Math.max(5, Math.min(24, 12 * evaluateAnimated(light.high, phase)));
  const wide = Math.max(4, Math.min(16, 6 * evaluateAnimated(light.wide, phase)));
  return (
    <svg viewBox="0 0 44 32" width="44" height="32">
      <defs>
        <linearGradient id={id}>
          <stop offset="0" stopColor={colour} stopOpacity="0.7" />
          <stop offset="1" stopColor={colour} stopOpacity="0" />
        </linearGradient>
      </defs>
      <path d={`M${6 + wide} ${16 - high / 2}L42 2V30L${6 + wide} ${16 + high / 2}Z`} fill={`url(#${id})`} />
      <rect x="6" y={16 - high / 2} width={wide} height={high} rx="1.5" fill={colour} />
    </svg>
  );
};

/** A lamp with its glow, as far as it reaches. */
const point = (light: PointLight, { colour, id, phase }: Now): ReactNode => (
  <svg viewBox="0 0 44 32" width="44" height="32">
    <defs>
      <radialGradient id={id}>
        <stop offset="0.1" stopColor={colour} stopOpacity="0.8" />
        <stop offset="1" stopColor={colour} stopOpacity="0" />
      </radialGradient>
    </defs>
    <circle cx="22" cy="16" r={Math.min(15, 6 + evaluateAnimated(light.reach, phase))} fill={`url(#${id})`} />
    <circle cx="22" cy="16" r={Math.min(6, 2 + 12 * evaluateAnimated(light.radius, phase))} fill={colour} />
  </svg>
);

/** The small drawing of each kind of light, from its own values. */
const DRAWINGS = { spot, softBox, point, sun, panorama, farBox, surroundings } satisfies {
  [K in LightKind]: (light: Extract<Light, { kind: K }>, now: Now) => ReactNode;
};

interface Drawing {
  of(light: Light, now: Now): ReactNode;
}

/** The colour of a light as the display can show it: dimmed, never brighter than its own. */
function shown(light: Light, phase: number): string {
  const colour = dimmed(light.colour, light.dimmer, phase);
  const most = Math.max(1, ...colour);
  return evaluateAnimated(light.strength, phase) > 0
    ? linearToHex([colour[0] / most, colour[1] / most, colour[2] / most])
    : '#000000';
}

/** A light in miniature. */
export function LightDrawing({ light, phase }: { light: Light; phase: number }) {
  const id = useId();
  const drawing: Drawing = { of: DRAWINGS[light.kind] };
  return drawing.of(light, { colour: shown(light, phase), phase, id });
}
