import { routedBy, standsOnce } from '../layers/route';
import type { z } from 'zod';
import { cameraPose, type CameraPose } from '../flight/camera';
import { routeOf, RouteSchema } from '../flight/routes/registry';
import { FlightSchema, flightSteps } from '../flight/schema';
import { TargetSchema } from '../flight/target';
import { LookSchema } from '../look/schema';
import { layerPoints, type LayerPoints } from '../layers/batch';
import type { LayerContext } from '../layers/definition';
import { layerContext, treatmentContext } from '../layers/context';
import { controlOf, isShown, shapeOf } from '../piece/fields';
import { setAt } from '../piece/paths';
import { definitionOf, type Layer } from '../layers/registry';
import { treatmentOf, type Treatment } from '../treatments/registry';
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

/** A ten-thousandth of the extent: invisible, and well above what lens and curve tables round. */
const TOLERANCE = 2e-4;
/** Slopes are differences over these shares of a lap, from what is quick and smooth to what is nearly the seam itself. */
const STEPS = [2 ** -12, 2 ** -24];
const SLOPE_TOLERANCE = 0.02;
/** Where elements set off one after another, this share of them (one at least, of several) may do so at the seam as anywhere. */
const MAY_SET_OFF = 0.06;
/** Elements compared per layer: any first k are a fair sample. */
const SAMPLE = 4000;
/** Vertices of bodies compared per layer, of as many whole bodies as they give, within bounds. */
const VERTICES = 3000;

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

/**
 * The gap of slopes over ever shorter steps until it passes: a jerk at the seam shows in every one; an element that sets
 * off near it, as it might anywhere, soon lies outside.
 */
function smallest(slopeGapOver: (step: number) => number): number {
  let gap = Infinity;
  for (const step of STEPS) {
    gap = Math.min(gap, slopeGapOver(step));
    if (gap < SLOPE_TOLERANCE) break;
  }
  return gap;
}

const distance = (a: readonly number[], b: readonly number[]): number => Math.hypot(...a.map((v, i) => v - b[i]));

function cameraFinding(piece: Piece, g: Symmetry): Finding {
  const values = ({ position, quaternion, ...pose }: CameraPose): number[] => [
    ...position,
    ...quaternion,
    pose.focalMm / 50,
    pose.focusDistance / 10,
    pose.fNumber / 8,
    (pose.orthoWidth ?? 0) / 10,
  ];
  const end = values(cameraPose(piece, 1));
  // a rotation and its negative are the same: all are compared with the sign of the end's
  const aligned = (v: number[]): number[] =>
    end[3] * v[3] + end[4] * v[4] + end[5] * v[5] + end[6] * v[6] >= 0
      ? v
      : v.map((n, i) => (i >= 3 && i < 7 ? -n : n));
  const at = (phase: number): number[] => aligned(values(cameraPose(piece, phase)));
  const carried = (phase: number): number[] => {
    const pose = cameraPose(piece, phase);
    return aligned(
      values({
        ...pose,
        position: applySymmetry(g, pose.position),
        quaternion: multiply(symmetryRotation(g), pose.quaternion),
      }),
    );
  };
  const gap = distance(end, carried(0));
  const size = (v: readonly number[]): number => Math.hypot(...v);
  // one-sided differences of second order
  const slopeGapOver = (h: number): number => {
    const [b1, b2, a0, a1, a2] = [at(1 - h), at(1 - 2 * h), carried(0), carried(h), carried(2 * h)];
    const before = end.map((v, i) => (3 * v - 4 * b1[i] + b2[i]) / (2 * h));
    const after = a0.map((v, i) => (-3 * v + 4 * a1[i] - a2[i]) / (2 * h));
    return distance(before, after) / Math.max(size(before), size(after), 0.05);
  };
  const slopeGap = smallest(slopeGapOver);
  const ok = gap < TOLERANCE && slopeGap < SLOPE_TOLERANCE;
  const metres = g.advance.toFixed(2).replace(/\.?0+$/, '');
  const same = g.advance !== 0 ? `travels ${metres} m` : g.turns !== 0 ? `turns ${turnWords(g.turns)}` : 'returns';
  return {
    id: 'camera',
    subject: 'Camera',
    layerId: null,
    ok,
    gap,
    slopeGap,
    repair: null,
    says: ok
      ? `${same}, at the same speed on both sides`
      : gap < TOLERANCE
        ? `changes speed at the seam by ${(slopeGap * 100).toFixed(0)} %`
        : `ends ${gap.toFixed(3)} away from where it began`,
  };
}

/** Turns as a fraction where they are one, backwards where that is shorter. */
function turnWords(turns: number): string {
  const signed = turns > 0.5 ? turns - 1 : turns;
  const part = Math.round(1 / signed);
  return Math.abs(1 / signed - part) < 1e-6 ? `1/${Math.abs(part)} of a turn` : `${signed.toFixed(3)} of a turn`;
}

const wholeGap = (n: number): number => Math.abs(n - Math.round(n));

function bodiesToCompare(layer: Layer, context: LayerContext): number {
  const most = Math.max(
    1,
    ...definitionOf(layer.kind)
      .drawings(layer, 1, context)
      .map((d) => (d.as === 'bodies' ? d.mesh.sample.length : 1)),
  );
  return Math.min(300, Math.max(2, VERTICES / most));
}

function layerFinding(piece: Piece, layer: Layer, g: Symmetry): Finding {
  const definition = definitionOf(layer.kind);
  const context = layerContext(piece);
  if (standsOnce(piece, layer) && g.advance !== 0) return onceFinding(piece, layer);
  const share = Math.min(
    1,
    (definition.bodies?.(layer) ? bodiesToCompare(layer, context) : SAMPLE) /
      definition.elementCount(layer, 1, context),
  );
  const tile = standsOnce(piece, layer) ? Infinity : piece.tile;
  // what is held in steps belongs to the frame on its own side of the seam
  const at = (phase: number, framePhase = phase) => layerPoints(piece, layer.id, phase, share, framePhase);
  const carry = (elements: LayerPoints) => {
    const position = new Float64Array(elements.position.length);
    for (let i = 0; i < elements.count; i++) {
      const p: Vec3 = [elements.position[i * 3], elements.position[i * 3 + 1], elements.position[i * 3 + 2]];
      position.set(applySymmetry(g, p), i * 3);
    }
    return { ...elements, position };
  };
  const end = at(1);
  const start = carry(at(0));
  // what is a point is measured against where it stands: float32 places have no finer meaning
  const far = end.position.reduce((most, v) => Math.max(most, Math.abs(v)), Math.max(piece.tile, Math.abs(g.advance)));
  const extent = Math.max(far * 1e-3, ...bounds(end.position));
  const match = worstMatch(end, start, tile, extent);
  const oneByOne = layer.treatments.some((t) => !t.off && treatmentOf(t.kind).oneByOne);
  const slopeGapOver = (step: number): number =>
    slopeDifference(
      [end, at(1 - step, 1), at(1 - 2 * step, 1)],
      [start, carry(at(step, 0)), carry(at(2 * step, 0))],
      match.pairs,
      extent,
      step,
      oneByOne,
    );
  const slopeGap = smallest(slopeGapOver);
  const lightBefore = definition.light(layer, 1);
  const lightAfter = definition.light(layer, 0);
  const lightGap = Math.abs(lightBefore - lightAfter) / Math.max(lightBefore, lightAfter, 1e-6);
  const gap = Math.max(match.gap, lightGap);
  const ok = gap < TOLERANCE && slopeGap < SLOPE_TOLERANCE;
  const counted = definition.counted(layer, 1, context);
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

/** A layer that stands once cannot close when the camera ends somewhere else. */
function onceFinding(piece: Piece, layer: Layer): Finding {
  const repair: Repair = layer.once
    ? { says: 'Let it stand in every tile', path: ['layers', piece.layers.indexOf(layer), 'once'], value: false }
    : {
        says: 'Fly round along it',
        path: ['flight', 'route'],
        value: RouteSchema.parse({ kind: 'along', follow: routedBy(layer), tilesPerLap: 1 }),
      };
  return {
    id: `layer:${layer.id}`,
    subject: layer.name,
    layerId: layer.id,
    ok: false,
    gap: 1,
    slopeGap: 0,
    says: layer.once
      ? 'stands once in the world, but the camera travels on and would have to come back to it'
      : 'lies along a route that closes on itself, but the camera travels on and would have to come back to it',
    repair,
  };
}

function bounds(position: Float64Array): number[] {
  const low = [Infinity, Infinity, Infinity];
  const high = [-Infinity, -Infinity, -Infinity];
  for (let i = 0; i < position.length; i++) {
    low[i % 3] = Math.min(low[i % 3], position[i]);
    high[i % 3] = Math.max(high[i % 3], position[i]);
  }
  return high.map((v, i) => v - low[i]);
}

/**
 * Largest difference of velocity between matched elements, relative to the fastest motion (or a tenth of the extent).
 */
function slopeDifference(
  [end, before, earlier]: readonly LayerPoints[],
  [start, after, later]: readonly LayerPoints[],
  pairs: Int32Array,
  extent: number,
  step: number,
  oneByOne: boolean,
): number {
  const gaps = new Map<number, number>();
  let fastest = extent * 0.1;
  for (let i = 0; i < pairs.length; i++) {
    const j = pairs[i];
    // what is not there on one side, or only comes to be, has no speed
    if (end.light[i] === 0 || earlier.light[i] === 0 || start.light[j] === 0 || later.light[j] === 0) continue;
    let gap = 0;
    let speed = 0;
    for (let k = 0; k < 3; k++) {
      const [p, q] = [i * 3 + k, j * 3 + k];
      // one-sided differences of second order, so that an accelerating element is not taken for a jerk
      const incoming = (3 * end.position[p] - 4 * before.position[p] + earlier.position[p]) / (2 * step);
      const outgoing = (-3 * start.position[q] + 4 * after.position[q] - later.position[q]) / (2 * step);
      gap += (incoming - outgoing) ** 2;
      speed = Math.max(speed, Math.abs(incoming), Math.abs(outgoing));
    }
    gaps.set(end.owner[i], Math.max(gaps.get(end.owner[i]) ?? 0, Math.sqrt(gap)));
    fastest = Math.max(fastest, speed);
  }
  // numbers leave a difference of this size by themselves
  const rounding = (extent * 2 ** -44) / step;
  const sorted = [...gaps.values()].sort((a, b) => b - a);
  const settingOff = oneByOne && sorted.length > 1 ? Math.max(1, Math.floor(sorted.length * MAY_SET_OFF)) : 0;
  return Math.max(0, (sorted[settingOff] ?? 0) - rounding) / fastest;
}

interface Place {
  subject: string;
  layerId: string | null;
  path: (string | number)[];
  value: Animated;
  step: number;
}

/** What a field is called on screen. */
const labelOf = (schema: z.ZodType, name: string): string =>
  (controlOf((schema as unknown as z.ZodObject).shape[name] as z.ZodType)?.label ?? name).toLowerCase();

/** Whether a field of an object is in use, given its siblings. */
function inUse(schema: z.ZodType, name: string, object: object): boolean {
  const field = (schema as unknown as z.ZodObject).shape[name] as z.ZodType | undefined;
  return field === undefined || isShown(controlOf(field), object);
}

/** The piece with every value that does not close brought to the nearest that does. */
export function mendValues(piece: Piece): Piece {
  return valueFindings(piece).reduce(
    (mended, { repair }) => (repair ? setAt(mended, repair.path, repair.value) : mended),
    piece,
  );
}

/** Every animated value of the piece, with the step that closes it. */
export function animatedPlaces(piece: Piece): Place[] {
  const inObject = (
    object: object,
    schema: z.ZodType,
    path: (string | number)[],
    subject: string,
    layerId: string | null,
    steps: Record<string, number>,
  ): Place[] =>
    Object.entries(object)
      // what this version does not know is kept, and does nothing
      .filter(
        ([name, value]) =>
          Object.hasOwn(shapeOf(schema), name) &&
          typeof value === 'object' &&
          value !== null &&
          inUse(schema, name, object),
      )
      .flatMap(([name, value]): Place[] => {
        const words = `${subject}, ${labelOf(schema, name)}`;
        const here = [...path, name];
        if (controlOf(shapeOf(schema)[name])?.control === 'animated')
          return [{ subject: words, layerId, path: here, value: value as Animated, step: steps[name] ?? 0 }];
        const meta = controlOf((schema as unknown as z.ZodObject).shape[name] as z.ZodType);
        return meta?.control === 'target' ? inObject(value as object, TargetSchema, here, words, layerId, {}) : [];
      });
  return [
    ...piece.layers.flatMap((layer, i) => [
      ...inObject(
        layer,
        definitionOf(layer.kind).schema,
        ['layers', i],
        layer.name,
        layer.id,
        definitionOf(layer.kind).closingSteps(layer),
      ),
      ...layer.treatments.flatMap((t, k) =>
        inObject(
          t,
          treatmentOf(t.kind).schema,
          ['layers', i, 'treatments', k],
          `${layer.name}, ${treatmentOf(t.kind).label}`,
          layer.id,
          {
            ...treatmentSteps(piece, layer, t),
          },
        ),
      ),
    ]),
    ...inObject(piece.flight, FlightSchema, ['flight'], 'Camera', null, flightSteps(piece.flight)),
    ...inObject(
      piece.flight.route,
      routeOf(piece.flight.route.kind).schema,
      ['flight', 'route'],
      'Camera',
      null,
      routeOf(piece.flight.route.kind).closingSteps(piece.flight.route, piece),
    ),
    ...inObject(piece.look, LookSchema, ['look'], 'Look', null, {}),
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

/** The steps that close a treatment's animated fields: with its gain per lap, or at all times where it must tile. */
export function treatmentSteps(piece: Piece, layer: Layer, t: Treatment): Record<string, number> {
  const context = treatmentContext(piece, layer);
  const { closingSteps, tileSteps } = treatmentOf(t.kind);
  return {
    // what stands once is met again only where it was
    reachAhead: context.once ? 0 : piece.tile,
    ...closingSteps?.(t, context),
    ...tileSteps?.(t, context),
  };
}

/** Numbers that must be whole steps for the world to tile and the lap to close: twist, windings, cycles. */
function fieldFindings(piece: Piece): Finding[] {
  const { route } = piece.flight;
  const { schema, closingSteps } = routeOf(route.kind);
  const where = { subject: 'Camera', layerId: null, path: ['flight', 'route'] };
  const flown = stepFindings(route, schema, closingSteps(route, piece), where);
  const layers = piece.layers.flatMap((layer, index) => {
    if (layer.hidden) return [];
    const definition = definitionOf(layer.kind);
    const own = stepFindings(layer, definition.schema, definition.closingSteps(layer), {
      subject: layer.name,
      layerId: layer.id,
      path: ['layers', index],
    });
    const treated = layer.treatments.flatMap((t, k) => {
      if (t.off) return [];
      const { label, schema, closingSteps, tileSteps } = treatmentOf(t.kind);
      const context = treatmentContext(piece, layer);
      const steps = { ...closingSteps?.(t, context), ...tileSteps?.(t, context) };
      const always = new Set(Object.keys(tileSteps?.(t, context) ?? {}));
      const where = { subject: `${layer.name}, ${label}`, layerId: layer.id, path: ['layers', index, 'treatments', k] };
      return stepFindings(t, schema, steps, where, always);
    });
    return [...own, ...treated];
  });
  return [...flown, ...layers];
}

/** @param always animated fields that may not leave their steps at any time */
function stepFindings(
  owner: object,
  schema: z.ZodType,
  steps: Record<string, number>,
  where: { subject: string; layerId: string | null; path: (string | number)[] },
  always: ReadonlySet<string> = new Set(),
): Finding[] {
  const fields = (schema as unknown as z.ZodObject).shape as Record<string, z.ZodType>;
  return Object.entries(steps).flatMap(([name, step]): Finding[] => {
    const value = (owner as Record<string, Animated>)[name];
    const meta = controlOf(fields[name]);
    if ((meta?.control === 'animated' && !always.has(name)) || !isShown(meta, owner)) return [];
    const stated = typeof value === 'number' ? value : evaluateAnimated(value, 0);
    const count = stated / step;
    if (typeof value === 'number' && Math.abs(count - Math.round(count)) < 1e-6) return [];
    const mended = Math.max(meta?.min !== undefined && meta.min > 0 ? step : -Infinity, Math.round(count) * step);
    const unit = meta?.unit ?? '';
    return [
      {
        id: `value:${[...where.path, name].join('.')}`,
        subject: `${where.subject}, ${(meta?.label ?? name).toLowerCase()}`,
        layerId: where.layerId,
        ok: false,
        gap: Math.max(wholeGap(count), 0.01),
        slopeGap: 0,
        says:
          typeof value === 'number'
            ? `${Number(value.toFixed(4))} ${unit} does not close; the nearest that does is ${Number(mended.toFixed(4))}`
            : `may not change over the lap, or neighbouring tiles do not meet`,
        repair: { says: `Make it ${Number(mended.toFixed(4))} ${unit}`, path: [...where.path, name], value: mended },
      },
    ];
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
