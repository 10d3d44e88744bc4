// The public names of the core. Other rooms and the tests import from here or from the file that owns a name.
export { PieceSchema, DOCUMENT_VERSION, type Piece } from './piece/schema';
export { migratePiece } from './piece/migrate';
export { toDocument, type ParsedPiece } from './piece/document';
export type { Problem } from './piece/problem';
export { parsePiece } from './world/open';
export { evaluateAnimated, type Animated } from './time/animated';
export { cameraPose, type CameraPose } from './world/camera';
export { layerBatch, type Batch } from './world/batch';
export { definitionOf, LAYERS, newLayer, presetLayer, type Layer, type LayerKind } from './layers/kinds';
export { flowNoise, flowNoiseInto } from './noise/flow';
export { hash4 } from './random/hash';
export { pathFromSpec, type PathSpec } from './space/path';
export type { Path } from './space/frame';
export { blurCircleMm, hyperfocalMm, fieldOfViewDeg } from './lens/optics';
export { apertureCells, type LensPass } from './lens/cells';
export { sceneSymmetry, type Symmetry } from './seam/symmetry';
export { stateReport, type StateReport } from './seam/report';
export type { Finding } from './seam/finding';
