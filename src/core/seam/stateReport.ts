import type { z } from 'zod';
import { cameraPose } from '../flight/camera';
import { layerElements } from '../layers/batch';
import { controlOf, isShown } from '../piece/fields';
import { definitionOf, type Layer } from '../layers/registry';
import type { Piece } from '../piece/schema';
import { multiply, type Vec3 } from '../space/vector';
import { closes, evaluateAnimated, snapAnimated, type Animated } from '../time/animated';
import { applySymmetry, sceneSymmetry, symmetryRotation, type Symmetry } from './symmetry';
import { worstMatch } from './match';

/** A change of one field of the piece that mends a finding. */
export interface Repair {
  says: string;
  path: (string | number)[];
  value: unknown;
}

export interface Finding {
  id: string;
  /** what is checked, in the user's words */
  subject: string;
  layerId: string | null;
  ok: boolean;
  /** how far apart the two sides of the seam are, as a share of what counts as large for this thing */
  gap: number;
  /** the same for the speed at which it moves */
  slopeGap: number;
  says: string;
  repair: Repair | null;
}

export interface StateReport {
  ok: boolean;
  symmetry: Symmetry;
  /** largest gap that passes, as a share */
  tolerance: number;
  findings: Finding[];
}

/** Kernels run in double precision but store float32: a ten-thousandth of the extent is well above their rounding. */
const TOLERANCE = 2e-4;
/** Slopes are differences over this much phase, so they carry more rounding. */
const STEP = 1 / 4096;
const SLOPE_TOLERANCE = 0.02;
/** Elements compared per layer: any first k are a fair sample. */
const SAMPLE = 4000;

/**
 * Compares the scene just before and just after the seam, unwrapped, under its one symmetry: value and slope of the
 * camera, every layer and every animated value. Pure computation; the picture half of the report lives with the engine.
 */
export function stateReport(piece: Piece): StateReport {
  const g = sceneSymmetry(piece);
  const findings = [
    cameraFinding(piece, g),
    ...piece.layers.filter((layer) => !layer.hidden).map((layer) => layerFinding(piece, layer, g)),
    ...valueFindings(piece),
  ];
  return { ok: findings.every((finding) => finding.ok), symmetry: g, tolerance: TOLERANCE, findings };
}

const distance = (a: readonly number[], b: readonly number[]): number => Math.hypot(...a.map((v, i) => v - b[i]));

function cameraFinding(piece: Piece, g: Symmetry): Finding {
  const at = (phase: number): number[] => {
    const pose = cameraPose(piece, phase);
    return [...pose.position, ...pose.quaternion, pose.focalMm / 50, pose.focusDistance / 10, pose.fNumber / 8];
  };
  const carried = (phase: number): number[] => {
    const pose = cameraPose(piece, phase);
    const position = applySymmetry(g, pose.position);
    const q = multiply(symmetryRotation(g), pose.quaternion);
    return [...position, ...q, pose.focalMm / 50, pose.focusDistance / 10, pose.fNumber / 8];
  };
  // a rotation and its negative are the same: compare with the nearer sign
  const align = (a: number[], b: number[]): number[] => {
    const same = a[3] * b[3] + a[4] * b[4] + a[5] * b[5] + a[6] * b[6] >= 0;
    return same ? b : b.map((v, i) => (i >= 3 && i < 7 ? -v : v));
  };
  const gap = distance(at(1), align(at(1), carried(0)));
  const before = at(1 - STEP).map((v, i) => (align(at(1 - STEP), at(1))[i] - v) / STEP);
  const after = carried(0).map((v, i) => (align(carried(0), carried(STEP))[i] - v) / STEP);
  const signed =
    align(at(1), carried(0))[6] === carried(0)[6] ? after : after.map((v, i) => (i >= 3 && i < 7 ? -v : v));
  const speed = Math.max(
    distance(
      before,
      before.map(() => 0),
    ),
    distance(
      signed,
      signed.map(() => 0),
    ),
    0.05,
  );
  const slopeGap = distance(before, signed) / speed;
  const whole = Number.isInteger(piece.flight.tilesPerLap);
  const shaken = piece.flight.shake === 'none' ? 0 : 0.25;
  const ok = gap < TOLERANCE && slopeGap < SLOPE_TOLERANCE + shaken + 0.25 && whole;
  const metres = g.advance.toFixed(2).replace(/\.?0+$/, '');
  if (!whole)
    return {
      id: 'camera',
      subject: 'Camera',
      layerId: null,
      ok: false,
      gap: Math.max(gap, wholeGap(piece.flight.tilesPerLap)),
      slopeGap,
      says: `travels ${piece.flight.tilesPerLap} tiles per lap; the world repeats after whole tiles only`,
      repair: {
        says: `Travel ${Math.round(piece.flight.tilesPerLap)} tiles instead`,
        path: ['flight', 'tilesPerLap'],
        value: Math.round(piece.flight.tilesPerLap),
      },
    };
  return {
    id: 'camera',
    subject: 'Camera',
    layerId: null,
    ok,
    gap,
    slopeGap,
    repair: null,
    says: ok
      ? g.advance === 0
        ? 'returns to where it began, at the same speed'
        : `travels ${metres} m, same speed on both sides`
      : gap < TOLERANCE
        ? `changes speed at the seam by ${(slopeGap * 100).toFixed(0)} %`
        : `ends ${gap.toFixed(3)} away from where it began`,
  };
}

const wholeGap = (n: number): number => Math.abs(n - Math.round(n));

function layerFinding(piece: Piece, layer: Layer, g: Symmetry): Finding {
  const definition = definitionOf(layer.kind);
  const share = Math.min(1, SAMPLE / definition.elementCount(layer, 1));
  const tile = piece.tile;
  const at = (phase: number) => layerElements(piece, layer.id, phase, share);
  const carry = (elements: ReturnType<typeof at>) => {
    const position = new Float32Array(elements.position.length);
    for (let i = 0; i < elements.count; i++) {
      const p: Vec3 = [elements.position[i * 3], elements.position[i * 3 + 1], elements.position[i * 3 + 2]];
      position.set(applySymmetry(g, p), i * 3);
    }
    return { ...elements, position };
  };
  const end = at(1);
  const start = carry(at(0));
  const extent = Math.max(1e-6, ...bounds(end.position));
  const match = worstMatch(end, start, tile, extent);
  const slopeGap = match.pairs ? slopeDifference(end, at(1 - STEP), start, carry(at(STEP)), match.pairs, extent) : 1;
  const lightBefore = definition.light(layer, 1);
  const lightAfter = definition.light(layer, 0);
  const lightGap = Math.abs(lightBefore - lightAfter) / Math.max(lightBefore, lightAfter, 1e-6);
  const gap = Math.max(match.gap, lightGap);
  const ok = gap < TOLERANCE && slopeGap < SLOPE_TOLERANCE;
  const counted = definition.counted(layer, 1);
  return {
    id: `layer:${layer.id}`,
    subject: layer.name,
    layerId: layer.id,
    ok,
    gap,
    slopeGap,
    repair: null,
    says: ok
      ? `${counted.count.toLocaleString('en-US')} ${counted.noun} meet, in place, colour and speed`
      : gap >= TOLERANCE
        ? `does not line up: ${(gap * 100).toFixed(gap < 0.1 ? 2 : 0)} % of its extent apart`
        : `moves differently on both sides of the seam (${(slopeGap * 100).toFixed(0)} % of its speed)`,
  };
}

function bounds(position: Float32Array): number[] {
  const low = [Infinity, Infinity, Infinity];
  const high = [-Infinity, -Infinity, -Infinity];
  for (let i = 0; i < position.length; i++) {
    low[i % 3] = Math.min(low[i % 3], position[i]);
    high[i % 3] = Math.max(high[i % 3], position[i]);
  }
  return high.map((v, i) => v - low[i]);
}

/** Largest difference of velocity between matched elements, relative to the fastest motion (or a tenth of the extent). */
function slopeDifference(
  end: { position: Float32Array; place: Float32Array },
  before: { position: Float32Array; place: Float32Array },
  start: { position: Float32Array; place: Float32Array },
  after: { position: Float32Array; place: Float32Array },
  pairs: Int32Array,
  extent: number,
): number {
  let worst = 0;
  let fastest = extent * 0.1;
  for (let i = 0; i < pairs.length; i++) {
    const j = pairs[i];
    let gap = 0;
    let speed = 0;
    for (let k = 0; k < 3; k++) {
      const incoming = (end.position[i * 3 + k] - before.position[i * 3 + k]) / STEP;
      const outgoing = (after.position[j * 3 + k] - start.position[j * 3 + k]) / STEP;
      gap += (incoming - outgoing) ** 2;
      speed = Math.max(speed, Math.abs(incoming), Math.abs(outgoing));
    }
    worst = Math.max(worst, Math.sqrt(gap));
    fastest = Math.max(fastest, speed);
  }
  // float32 positions leave a difference of this size by themselves
  const rounding = (extent * 2 ** -21) / STEP;
  return Math.max(0, worst - rounding) / fastest;
}

interface Place {
  subject: string;
  layerId: string | null;
  path: (string | number)[];
  value: Animated;
  step: number;
}

/** Every animated value of the piece, with the step that closes it. */
export function animatedPlaces(piece: Piece): Place[] {
  const inObject = (
    object: object,
    path: (string | number)[],
    subject: string,
    layerId: string | null,
    steps: Record<string, number>,
  ): Place[] =>
    Object.entries(object)
      .filter(([, value]) => typeof value === 'object' && value !== null && 'law' in value)
      .map(([name, value]) => ({
        subject: `${subject}, ${name}`,
        layerId,
        path: [...path, name],
        value: value as Animated,
        step: steps[name] ?? 0,
      }));
  return [
    ...piece.layers.flatMap((layer, i) =>
      inObject(layer, ['layers', i], layer.name, layer.id, definitionOf(layer.kind).closingSteps(layer)),
    ),
    ...inObject(piece.flight, ['flight'], 'Camera', null, {
      roll: 1,
      yaw: 360,
      bladeTurn: 360 / Math.max(1, piece.flight.blades),
    }),
    ...inObject(piece.look, ['look'], 'Look', null, {}),
  ];
}

function valueFindings(piece: Piece): Finding[] {
  const open = animatedPlaces(piece)
    .filter(({ value, step }) => !closes(value, step))
    .map((place): Finding => {
      const mended = snapAnimated(place.value, place.step);
      const gain = evaluateAnimated(place.value, 1) - evaluateAnimated(place.value, 0);
      return {
        id: `value:${place.path.join('.')}`,
        subject: place.subject,
        layerId: place.layerId,
        ok: false,
        gap: Math.max(0.01, Math.abs(gain)),
        slopeGap: 0,
        says: describeOpen(place),
        repair: { says: describeMended(mended), path: place.path, value: mended },
      };
    });
  return [...open, ...fieldFindings(piece)];
}

/** Plain numbers that must be whole steps for the world to tile and the lap to close: twist, windings, cycles. */
function fieldFindings(piece: Piece): Finding[] {
  return piece.layers.flatMap((layer, index) => {
    if (layer.hidden) return [];
    const definition = definitionOf(layer.kind);
    const fields = (definition.schema as unknown as z.ZodObject).shape as Record<string, z.ZodType>;
    return Object.entries(definition.closingSteps(layer)).flatMap(([name, step]): Finding[] => {
      const value = (layer as Record<string, unknown>)[name];
      const meta = controlOf(fields[name]);
      if (typeof value !== 'number' || meta?.control === 'animated' || !isShown(meta, layer)) return [];
      const steps = value / step;
      if (Math.abs(steps - Math.round(steps)) < 1e-6) return [];
      const mended = Math.max(meta?.min !== undefined && meta.min > 0 ? step : -Infinity, Math.round(steps) * step);
      const unit = meta?.unit ?? '';
      return [
        {
          id: `value:layers.${index}.${name}`,
          subject: `${layer.name}, ${(meta?.label ?? name).toLowerCase()}`,
          layerId: layer.id,
          ok: false,
          gap: wholeGap(steps),
          slopeGap: 0,
          says: `${Number(value.toFixed(4))} ${unit} does not close; the nearest that does is ${Number(mended.toFixed(4))}`,
          repair: {
            says: `Make it ${Number(mended.toFixed(4))} ${unit}`,
            path: ['layers', index, name],
            value: mended,
          },
        },
      ];
    });
  });
}

function describeOpen({ value, step }: Place): string {
  if (typeof value === 'number' || value.law === 'keyed') return 'does not return';
  if (value.law === 'swing') return `swings ${value.cycles} times per lap; whole cycles return`;
  return step > 0
    ? `winds ${Number(value.perLap.toFixed(4))} per lap; it looks the same only after steps of ${Number(step.toFixed(4))}`
    : `gains ${Number(value.perLap.toFixed(4))} per lap and never returns`;
}

function describeMended(value: Animated): string {
  if (typeof value === 'number' || value.law === 'keyed') return 'Hold it still';
  if (value.law === 'swing') return `Swing ${value.cycles} times instead`;
  return `Wind ${Number(value.perLap.toFixed(4))} per lap instead`;
}
