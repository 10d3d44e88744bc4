import { CLIPS } from '../clips';
import type { FileKind, FileRef, Held } from '../kept';
import { PANORAMAS } from '../panorama/facts';
import { TABLES } from '../colour/table';
import { PICTURES } from '../pictures/facts';
import { MOTIONS } from '../motion/motion';
import { MODELS } from '../solids/models/model';
import { SOUNDS } from '../sound/facts';
import { FONTS } from '../type/font';
import { MARKS } from '../type/mark';

/** What files of each kind have become. */
export const HERE = {
  font: FONTS,
  mark: MARKS,
  picture: PICTURES,
  clip: CLIPS,
  panorama: PANORAMAS,
  table: TABLES,
  model: MODELS,
  motion: MOTIONS,
  sound: SOUNDS,
} satisfies Record<FileKind, Held<unknown>>;

/** Whether a file has been taken in. */
export const isHere = (kind: FileKind, ref: FileRef): boolean => HERE[kind].has(ref.hash);
