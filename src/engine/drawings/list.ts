import type { Drawing, DrawingOf } from '../../core/layers/drawing';
import { bodies } from './bodies/bodies';
import { dome } from './dome/dome';
import type { DrawingKind } from './drawing';
import { links } from './links/links';
import { segments } from './segments/segments';
import { sheet } from './sheet/sheet';
import { sprites } from './sprites/sprites';
import { surface } from './surface/surface';

/** Every sort of drawing: the compiler asks for one of each. */
export const DRAWINGS = { sprites, segments, links, surface, sheet, bodies, dome } satisfies {
  [As in Drawing['as']]: DrawingKind<DrawingOf<As>>;
};
