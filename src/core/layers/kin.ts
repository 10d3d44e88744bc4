import type { Piece } from '../piece/schema';
import type { Kin } from '../piece/siblings';
import { treatmentSteps } from '../seam/stateReport';
import { treatmentOf } from '../treatments/registry';
import { definitionOf, type Layer } from './registry';

/** What siblings of a layer are made from: its own fields, and those of its treatments. */
export const layerKin = (piece: Piece, layer: Layer): Kin => ({
  schema: definitionOf(layer.kind).schema,
  steps: definitionOf(layer.kind).closingSteps(layer),
  parts: {
    treatments: layer.treatments.map((t) => ({
      schema: treatmentOf(t.kind).schema,
      steps: treatmentSteps(piece, layer, t),
    })),
  },
});
