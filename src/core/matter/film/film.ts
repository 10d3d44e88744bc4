import { form, number, tag, type ValueOf } from '../../forms';
import { MATTER_HEADING, surfaceFields, type MatterDefinition } from '../definition';

const FilmForm = form({
  kind: tag('film'),
  film: number(1, {
    label: 'Film',
    min: 0,
    max: 1,
    group: MATTER_HEADING,
    hint: 'Colours of a soap film, by the angle of view; 1 leaves nothing of the body but its film.',
  }),
  ...surfaceFields(0.06),
});
export type Film = ValueOf<typeof FilmForm>;

export const film: MatterDefinition<Film> = {
  kind: 'film',
  label: 'Thin film',
  describe: 'A skin as thin as a soap bubble’s, seen by the colours it reflects.',
  form: FilmForm,
  values: ({ metal, rough, glowing, film: amount }) => [metal, rough, glowing, amount],
};
