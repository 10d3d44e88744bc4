// The public names of the core. Other rooms and the tests import from here or from the file that owns a name.
export { PieceSchema, DOCUMENT_VERSION, type Piece } from './piece/schema';
export { migratePiece } from './piece/migrate';
export { parsePiece, toDocument, type ParsedPiece, type Problem } from './piece/document';
export { evaluateAnimated, type Animated } from './time/animated';
export { cameraPose, type CameraPose } from './flight/camera';
export { layerBatch, type Batch } from './layers/batch';
export { definitionOf, layerKinds, newLayer, type Layer, type LayerKind } from './layers/registry';
export { flowNoise, flowNoiseInto } from './noise/flow';
export { PRESETS, presetLayer } from './layers/presets';
export { hash4 } from './random/hash';
export { pathFromSpec, type Path, type PathSpec } from './space/path';
export { blurCircleMm, hyperfocalMm, fieldOfViewDeg } from './lens/optics';
export { apertureCells, type LensPass } from './lens/cells';
export { sceneSymmetry, type Symmetry } from './seam/symmetry';
export { stateReport, type StateReport, type Finding } from './seam/stateReport';
