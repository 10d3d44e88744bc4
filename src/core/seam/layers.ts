import type { World } from '../elements/world';
import { gradientOf } from '../colour/animated';
import { gradientAt } from '../colour/colour';
import { ROUTES } from '../flight/routes/kinds';
import { definitionOf, routedBy, type Layer } from '../layers/kinds';
import type { Piece } from '../piece/schema';
import type { Vec3 } from '../space/vector';
import { treatmentOf } from '../treatments/kinds';
import type { LayerPoints } from '../world/elements';
import { steppedPiece } from '../world/exposed';
import { layerPoints, worldOf } from '../world/layers';
import { rides, standsOnce } from '../world/route';
import { smallest, SLOPE_TOLERANCE, TOLERANCE, type Finding, type Repair } from './finding';
import { worstMatch } from './match';
import { matchSlopes } from './slopes';
import { applySymmetry, type Symmetry } from './symmetry';

/** Where elements set off one after another, this share of them (one at least, of several) may do so at the seam as anywhere. */
const MAY_SET_OFF = 0.06;
/** Laps around the seam within which what happens on whole frames is that of the frame on its side of it. */
const AROUND = 0.1;
/** Elements compared per layer: any first k are a fair sample. */
const SAMPLE = 4000;
/** Vertices of bodies compared per layer, of as many whole bodies as they give, within bounds. */
const VERTICES = 3000;

function bodiesToCompare(layer: Layer, context: World): number {
  const most = Math.max(
    1,
    ...definitionOf(layer.kind)
      .drawings(layer, 1, context)
      .map((d) => (d.as === 'bodies' ? d.mesh.sample.length : 1)),
  );
  return Math.min(300, Math.max(2, VERTICES / most));
}

/** The same elements with the colours at their places, of layers in which a place says nothing else. */
function coloured<T extends LayerPoints>(layer: Layer, phase: number, elements: T): T & { colour?: Float64Array } {
  if (!('gradient' in layer) || definitionOf(layer.kind).placesTell) return elements;
  const gradient = gradientOf(layer.gradient, phase);
  const colour = new Float64Array(elements.count * 3);
  for (let i = 0; i < elements.count; i++) colour.set(gradientAt(gradient, elements.place[i]), i * 3);
  return { ...elements, colour };
}

/** How a layer goes on from the end of the lap to its start. */
export function layerFinding(piece: Piece, layer: Layer, g: Symmetry): Finding {
  const definition = definitionOf(layer.kind);
  const context = worldOf(piece);
  if (standsOnce(piece, layer) && !rides(layer) && g.advance !== 0) return onceFinding(piece, layer);
  const share = Math.min(
    1,
    (definition.bodies?.(layer) ? bodiesToCompare(layer, context) : SAMPLE) /
      definition.elementCount(layer, 1, context),
  );
  const tile = standsOnce(piece, layer) ? Infinity : piece.tile;
  // what is held in steps belongs to the frame on its own side of the seam
  const onFrame = (frame: number): Piece => steppedPiece(piece, { frame, reach: AROUND, frames: piece.lap.frames });
  const sides = new Map([0, 1].map((frame) => [frame, onFrame(frame)]));
  const at = (phase: number, framePhase = phase) =>
    coloured(layer, phase, layerPoints(sides.get(framePhase) ?? piece, layer.id, phase, share, framePhase));
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
    repair: ok || gap >= TOLERANCE ? null : slopesRepair(piece, layer, g),
    says: ok
      ? `${counted.count.toLocaleString('en-US')} ${counted.noun} ${counted.count === 1 ? 'meets' : 'meet'}, in place, colour and speed`
      : gap >= TOLERANCE
        ? `does not line up: ${(gap * 100).toFixed(gap < 0.1 ? 2 : 0)} % of its extent apart`
        : `moves differently on both sides of the seam (${(slopeGap * 100).toFixed(0)} % of its speed)`,
  };
}

/** What brings the slopes of a layer together that meets at the seam and moves otherwise on its other side. */
function slopesRepair(piece: Piece, { id }: Layer, g: Symmetry): Repair | null {
  const index = piece.layers.findIndex((layer) => layer.id === id);
  return matchSlopes(piece, ['layers', index], (mended) => layerFinding(mended, mended.layers[index], g).ok);
}

/** How what a layer shows goes on by itself, as a clip on a panel. */
export const shownFindings = (piece: Piece, layer: Layer): Finding[] =>
  (definitionOf(layer.kind).ownSeams?.(layer) ?? []).map(({ id, repair, ...found }) => ({
    ...found,
    id: `shown:${id}`,
    layerId: layer.id,
    slopeGap: 0,
    repair: repair && { ...repair, path: ['layers', piece.layers.indexOf(layer), ...repair.path] },
  }));

/** A layer that stands once cannot close when the camera ends somewhere else. */
function onceFinding(piece: Piece, layer: Layer): Finding {
  const repair: Repair = layer.once
    ? { says: 'Let it stand in every tile', path: ['layers', piece.layers.indexOf(layer), 'once'], value: false }
    : {
        says: 'Fly round along it',
        path: ['flight', 'route'],
        value: ROUTES.schema.parse({ kind: 'along', follow: routedBy(layer), tilesPerLap: 1 }),
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
