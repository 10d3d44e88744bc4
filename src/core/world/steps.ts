import { treatmentContext } from './layers';
import { routeOf } from '../flight/routes/kinds';
import { flightSteps } from '../flight/form';
import type { Part } from '../forms/walk';
import { PLACE_STEPS } from '../elements/place/form';
import { definitionOf, type Layer } from '../layers/kinds';
import { effectOf } from '../look/effects/kinds';
import { lightOf } from '../look/lights/kinds';
import type { Piece } from '../piece/schema';
import { treatmentOf, type Treatment } from '../treatments/kinds';
import { routeSetting } from './setting';

/** The whole steps that close the fields of a part, by name. */
export interface Steps {
  /** of what a field gains in a lap, or of what it is */
  closing: Readonly<Record<string, number>>;
  /** of what an animated field is at any time, or its layer does not tile */
  always: ReadonlySet<string>;
  /** those that plain numbers must keep as well */
  plain: Readonly<Record<string, number>>;
}

const NONE: Steps = { closing: {}, always: new Set(), plain: {} };

function treatmentSteps(piece: Piece, layer: Layer, t: Treatment): Steps {
  const context = treatmentContext(piece, layer);
  const { closingSteps, tileSteps } = treatmentOf(t.kind);
  const tiling = tileSteps?.(t, context) ?? {};
  const plain = { ...closingSteps?.(t, context), ...tiling };
  // what stands once is met again only where it was
  return {
    closing: { reachAhead: context.once ? 0 : piece.tile, ...plain },
    always: new Set(Object.keys(tiling)),
    plain,
  };
}

const all = (closing: Readonly<Record<string, number>>): Steps => ({ ...NONE, closing, plain: closing });

/** The steps of a part of a piece. */
export function stepsOf(piece: Piece, { path }: Pick<Part, 'path'>): Steps {
  const [room, index, list, k] = path;
  if (room === 'layers' && typeof index === 'number') {
    const layer = piece.layers[index];
    if (path.length === 2) {
      const { closingSteps, placed } = definitionOf(layer.kind);
      const own = closingSteps(layer);
      // what stands in every tile may be carried on by whole ones
      const place = placed ? { ...PLACE_STEPS, ...(layer.once ? {} : { ahead: piece.tile }) } : {};
      return { ...NONE, closing: { ...place, ...own }, plain: own };
    }
    return list === 'treatments' && typeof k === 'number' ? treatmentSteps(piece, layer, layer.treatments[k]) : NONE;
  }
  if (room === 'look' && index === 'lights' && typeof list === 'number' && path.length === 3)
    return all(lightOf(piece.look.lights[list].kind).closingSteps ?? {});
  if (room === 'look' && index === 'effects' && typeof list === 'number' && path.length === 3) {
    const effect = piece.look.effects[list];
    return { ...NONE, closing: effectOf(effect.kind).closingSteps?.(effect) ?? {} };
  }
  if (room !== 'flight') return NONE;
  const { flight } = piece;
  if (path.length === 1) return { ...NONE, closing: flightSteps(flight) };
  if (path.length > 2 || index !== 'route') return NONE;
  return all(routeOf(flight.route.kind).closingSteps(flight.route, routeSetting(piece)));
}

/** The steps of a part that is itself at `root`: those of siblings, which are parts of no piece. */
export const stepsBelow =
  (piece: Piece, root: Part['path']) =>
  ({ path }: Pick<Part, 'path'>): Record<string, number> =>
    stepsOf(piece, { path: [...root, ...path] }).closing;
