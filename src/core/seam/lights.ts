import { lightName, type Light } from '../look/lights/kinds';
import type { Hanging } from '../look/lights/standing';
import type { Piece } from '../piece/schema';
import { rotate, scale, type Vec3 } from '../space/vector';
import { hungOnCamera } from '../world/lightMoves';
import { lightRows, lightSlots, type LightRow } from '../world/lights';
import { smallest, SLOPE_TOLERANCE, TOLERANCE, type Finding, type Repair } from './finding';
import { matchSlopes } from './slopes';
import { applySymmetry, symmetryRotation, type Symmetry } from './symmetry';

/** Hung on the camera it closes whatever is done with that. */
const onCamera = (piece: Piece, light: Light): Repair => ({
  says: 'Hang it on the camera',
  path: ['look', 'lights', piece.look.lights.indexOf(light)],
  value: hungOnCamera(piece, light),
});

/** What a light is, as numbers that may be compared: its place in metres first, then directions, colour times strength, and its own. */
function numbersOf(row: LightRow, g: Symmetry | null): number[] {
  const turned = (v: Vec3): Vec3 => (g ? rotate(symmetryRotation(g), v) : v);
  const moved = (v: Vec3): Vec3 => (g ? applySymmetry(g, v) : v);
  const given = scale(row.colour, row.strength);
  return [
    ...(row.place ? moved(row.place) : [0, 0, 0]),
    ...turned(row.from),
    ...(row.side ? turned(row.side) : [0, 0, 0]),
    ...given,
    row.size ?? 0,
    row.reach ?? 0,
    ...(row.own ?? []).flatMap((v, i) =>
      row.round?.includes(i) ? [Math.cos(2 * Math.PI * v), Math.sin(2 * Math.PI * v)] : [v],
    ),
  ];
}

/** Where a row's place begins and ends among its numbers. */
const PLACE = [0, 3] as const;

/** Rows in the order of others: to each of those the one that is nearest in place, since repetitions are numbered from the camera. */
const matched = (rows: readonly number[][], like: readonly number[][]): number[][] =>
  like.map((other) => {
    const far = (row: number[]): number => apart(row.slice(...PLACE), other.slice(...PLACE));
    return rows.reduce((best, row) => (far(row) < far(best) ? row : best));
  });

const apart = (a: readonly number[], b: readonly number[]): number => Math.hypot(...a.map((v, i) => v - b[i]));

/** How a light goes on from the end of the lap to its start, under what carries the scene from one to the next. */
export function lightFindings(piece: Piece, g: Symmetry): Finding[] {
  // where nothing is made of anything, nothing is lit
  if (!piece.layers.some((layer) => !layer.hidden && 'matter' in layer)) return [];
  const slots = lightSlots(piece);
  const { frames } = piece.lap;
  const seen = new Map<Light, number[]>();
  // what panels are is looked at with their layer
  slots.forEach(({ light, shown }, row) => {
    if (!shown) seen.set(light, [...(seen.get(light) ?? []), row]);
  });
  return [...seen].map(([light, rows]) => {
    const of = (phase: number, carried: boolean): number[][] => {
      // what is on for a stretch belongs to the frame on its own side of the seam
      const all = lightRows(piece, phase, carried ? 0 : frames);
      return rows.map((row) => numbersOf(all[row], carried ? g : null));
    };
    // of repetitions only the nearest must be there: the outermost give no light, and are others from one moment to the next
    const shown = lightRows(piece, 1, frames);
    const end = of(1, false).filter((_, i) => i === 0 || shown[rows[i]].colour.some((v) => v > 0));
    const start = matched(of(0, true), end);
    const far = Math.max(1, ...end.flatMap((numbers) => numbers.slice(...PLACE).map(Math.abs)));
    const sizeOf = (numbers: readonly number[]): number => Math.max(0.05, Math.hypot(...numbers.slice(PLACE[1])));
    const gap = Math.max(...end.map((numbers, i) => apart(numbers, start[i]) / Math.max(far * 1e-3, sizeOf(numbers))));
    const slopeGapOver = (h: number): number => {
      const beside = (phase: number, carried: boolean): number[][] => matched(of(phase, carried), end);
      const [b1, b2] = [beside(1 - h, false), beside(1 - 2 * h, false)];
      const [a1, a2] = [beside(h, true), beside(2 * h, true)];
      return Math.max(
        ...end.map((e, i) => {
          const before = e.map((v, k) => (3 * v - 4 * b1[i][k] + b2[i][k]) / (2 * h));
          const after = start[i].map((v, k) => (-3 * v + 4 * a1[i][k] - a2[i][k]) / (2 * h));
          return apart(before, after) / Math.max(Math.hypot(...before), Math.hypot(...after), 0.05 * sizeOf(e));
        }),
      );
    };
    const slopeGap = gap < TOLERANCE ? smallest(slopeGapOver) : 0;
    const ok = gap < TOLERANCE && slopeGap < SLOPE_TOLERANCE;
    const hangs = (light as Partial<Hanging>).hangs ?? null;
    const repair = ok
      ? null
      : gap < TOLERANCE
        ? matchSlopes(piece, ['look', 'lights', piece.look.lights.indexOf(light)], (mended) =>
            lightFindings(mended, g).some((one) => one.id === `light:${light.id}` && one.ok),
          )
        : hangs === 'world' && g.turns !== 0
          ? onCamera(piece, light)
          : null;
    return {
      id: `light:${light.id}`,
      subject: lightName(light),
      layerId: null,
      ok,
      gap,
      slopeGap,
      repair,
      says: ok ? okWords(hangs, g, rows.length) : openWords(hangs, g, gap),
    };
  });
}

function okWords(hangs: Hanging['hangs'] | null, g: Symmetry, of: number): string {
  if (hangs === 'camera') return 'goes with the camera, and is as strong on both sides';
  if (of > 1) return `stands in every tile, and is as strong on both sides`;
  return g.kind === 'identity' ? 'comes back to its place, colour and strength' : 'is the same on both sides';
}

function openWords(hangs: Hanging['hangs'] | null, g: Symmetry, gap: number): string {
  if (gap < TOLERANCE) return 'changes at another speed on both sides of the seam';
  if (hangs === 'world' && g.turns !== 0)
    return 'stands still in a world that is looked at from another side after the lap: it would have to turn too, or hang on the camera';
  if (hangs === null && g.turns !== 0)
    return 'is seen from another side after the lap, and is not alike from there: let the flight turn by whole turns, or make it even';
  return `does not come back: it is ${(gap * 100).toFixed(gap < 0.1 ? 2 : 0)} % of itself off`;
}
