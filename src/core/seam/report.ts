import type { Piece } from '../piece/schema';
import { cameraFinding } from './camera';
import { courseFindings } from './courses';
import { TOLERANCE, type Finding } from './finding';
import { layerFinding, shownFindings } from './layers';
import { lightFindings } from './lights';
import { mistFindings } from './mist';
import { patternFindings } from './patterns';
import { sceneSymmetry, type Symmetry } from './symmetry';
import { valueFindings } from './values';

export interface StateReport {
  ok: boolean;
  symmetry: Symmetry;
  /** largest gap that passes, as a share */
  tolerance: number;
  findings: Finding[];
}

/**
 * Compares the scene just before and just after the seam, unwrapped, under its one symmetry: value and slope of the
 * camera, every layer and every animated value. Pure computation; the picture half of the report lives with the engine.
 */
export function stateReport(piece: Piece): StateReport {
  const g = sceneSymmetry(piece);
  const seen = piece.layers.filter((layer) => !layer.hidden);
  const findings = [
    cameraFinding(piece, g),
    ...seen.map((layer) => layerFinding(piece, layer, g)),
    ...seen.flatMap((layer) => shownFindings(piece, layer)),
    ...seen.flatMap((layer) => patternFindings(piece, layer, g)),
    ...lightFindings(piece, g),
    ...mistFindings(piece, g),
    ...valueFindings(piece),
  ];
  // what a layer that breaks off has it from is named with the layer
  const named = new Set(findings.filter(({ ok }) => !ok).map(({ layerId }) => layerId));
  findings.push(...courseFindings(piece).filter(({ layerId }) => layerId === null || !named.has(layerId)));
  return { ok: findings.every((finding) => finding.ok), symmetry: g, tolerance: TOLERANCE, findings };
}
