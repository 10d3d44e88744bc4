import { choice, file, flag, form, tag, type ValueOf } from '../../../forms';
import { stockFile } from '../../../kept';
import { drivingFields, lyingFields, PATTERN_HEADING, type PatternDefinition } from '../definition';

/** The numbers of how a picture is put on, for the program. */
export const PUT_ON = { front: 0, sides: 1, around: 2 } as const;

const PictureForm = form({
  kind: tag('picture'),
  file: file('picture', stockFile('Weathered planks'), {
    label: 'Picture',
    group: PATTERN_HEADING,
    hint: 'A picture that ships, or one of your own.',
  }),
  putOn: choice(
    'front',
    { front: 'From the front', sides: 'On every side', around: 'Round about' },
    {
      label: 'Put on',
      group: PATTERN_HEADING,
      when: { field: 'lies', is: ['body', 'layer', 'world'] },
      hint: 'Seen as a whole from the front, on each of six sides, or rolled about the upright.',
    },
  ),
  ...lyingFields({ own: 1, metres: 4, view: 1, hint: 'The height of the picture' }),
  fits: flag(true, {
    label: 'Fills the layer',
    group: PATTERN_HEADING,
    when: { field: 'lies', is: ['layer'] },
    hint: 'As large as the layer is from its front, whatever the size says.',
  }),
  repeats: flag(false, {
    label: 'Repeats',
    group: PATTERN_HEADING,
    hint: 'Beyond its borders it begins again; without, nothing is changed there.',
  }),
  own: choice(
    'own',
    { own: 'The picture', gradient: 'A gradient' },
    {
      label: 'Colours from',
      group: PATTERN_HEADING,
      hint: 'The picture’s own, or those that the gradient gives its dark and bright.',
    },
  ),
  ...drivingFields(['#0d1218', '#6b7f86', '#f4ead6'], { colour: 1, relief: 0 }, [{ field: 'own', is: ['gradient'] }]),
});
export type Picture = ValueOf<typeof PictureForm>;

export const picture: PatternDefinition<Picture> = {
  kind: 'picture',
  label: 'Picture',
  describe: 'A picture on each body, through a whole word or arrangement, or as the camera sees it.',
  form: PictureForm,
  choices: ({ putOn, lies, repeats, own }) => [
    lies === 'view' ? PUT_ON.front : PUT_ON[putOn],
    Number(repeats),
    Number(own === 'own'),
  ],
  picture: ({ file: ref }) => ref,
};
