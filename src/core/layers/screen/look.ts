import { colourAt } from '../../colour/animated';
import { evaluateAnimated } from '../../time/animated';
import type { PanelLook } from '../drawing';
import type { ScreenLayer } from './form';

/** How the panels of a layer look at a phase. */
export const panelLook = (layer: ScreenLayer, phase: number): PanelLook => ({
  emission: evaluateAnimated(layer.emission, phase),
  surface: layer.surface,
  opacity: evaluateAnimated(layer.opacity, phase),
  back: layer.back,
  edgeColour: colourAt(layer.edgeColour, phase),
  edgeLight: evaluateAnimated(layer.edgeLight, phase),
  edge: layer.edge,
  dots: layer.dots,
  dotRows: layer.dotRows,
  dotGap: layer.dotGap,
  open: layer.between === 'open',
  smooth: layer.smooth,
  behindLight: layer.behindLight,
  lineRows: layer.lineRows,
  lineDark: layer.lineDark,
  lineRun: layer.lineRun,
  loads: layer.loads,
  blockRows: layer.blockRows,
  before: layer.before,
  run: [layer.runX, layer.runY],
});

/**
 * How far a panel is loaded.
 * @param loaded 0..1, of all @param follows 0 all together .. 1 one after another @param turn of count
 */
export function loadedShare(loaded: number, follows: number, turn: number, count: number): number {
  const lasts = 1 / (1 + follows * Math.max(0, count - 1));
  return Math.min(1, Math.max(0, (loaded - turn * follows * lasts) / lasts));
}
