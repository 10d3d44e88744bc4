import type { Drawing } from '../../core/layers/drawing';
import type { DrawingKind, Drawn, DrawingMeans } from './drawing';
import { DRAWINGS } from './list';

/** The kind of a drawing. It takes only drawings of that sort. */
const kindOf = ({ as }: Drawing): DrawingKind<Drawing> => DRAWINGS[as];

/** Whether it needs the rotations of the elements. */
export const isTurned = (drawing: Drawing): boolean => kindOf(drawing).turned?.(drawing) === true;

export const drawn = (drawing: Drawing, means: DrawingMeans): Drawn => kindOf(drawing).make(drawing, means);
