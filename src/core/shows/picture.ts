import { file, form, tag, type ValueOf } from '../forms';
import { stockFile } from '../kept';
import { PICTURES } from '../pictures/facts';
import type { ShowsDefinition } from './definition';
import { ofFile, shared } from './shared';

const PictureForm = form({
  ...shared,
  kind: tag('picture'),
  file: file('picture', stockFile('Depth soundings'), { ...ofFile, label: 'Picture', hint: 'What the panel shows.' }),
});
export type ShownPicture = ValueOf<typeof PictureForm>;

export const picture: ShowsDefinition<ShownPicture> = {
  kind: 'picture',
  label: 'Picture',
  describe: 'A still on a panel: PNG, JPEG, WebP, AVIF or SVG',
  form: PictureForm,
  takes: 'picture',
  sizeOf: ({ file }) => PICTURES.at(file),
  steps: false,
  shownAt: () => ({ first: 0, second: 0, share: 0 }),
  summary: () => 'still',
};
