import { animated, form, tag, type ValueOf } from '../../forms';
import { evaluateAnimated } from '../../time/animated';
import { MATTER_HEADING, surfaceFields, surfaceValues, type MatterDefinition } from '../definition';
import { evolving, RUN } from '../pattern/definition';

const group = MATTER_HEADING;
const nanometres = { unit: 'nm', min: 0, max: 5000, decimals: 0, group };

const FilmForm = form({
  kind: tag('film'),
  film: animated(1, {
    label: 'Film',
    min: 0,
    max: 1,
    group,
    hint: 'Colours of a soap film, by the angle of view; 1 leaves nothing of the body but its film.',
  }),
  thick: animated(330, {
    label: 'Thickness',
    ...nanometres,
    comfort: 1200,
    hint: 'Of the film in nanometres: 100 is nearly black, 200 to 600 has the strongest colours, beyond 1500 they pale.',
  }),
  falls: animated(130, {
    label: 'Sinks',
    ...nanometres,
    min: -5000,
    comfort: 400,
    hint: 'Nanometres that it is thinner half its size higher up, where its water has run down.',
  }),
  uneven: animated(110, {
    label: 'Uneven',
    ...nanometres,
    comfort: 400,
    hint: 'Nanometres that it is thicker and thinner in streaks that wander over it.',
  }),
  streaks: animated(0.8, {
    label: 'Streaks',
    unit: '× body',
    min: 0.02,
    max: 20,
    comfort: 2,
    group,
    hint: 'About the distance from streak to streak.',
  }),
  ...evolving(group, { evolves: 'of its streaks', runs: 'How often its streaks run down by eight of them' }),
  ...surfaceFields(0.06),
});
export type Film = ValueOf<typeof FilmForm>;

export const film: MatterDefinition<Film> = {
  kind: 'film',
  label: 'Thin film',
  describe: 'A skin as thin as a soap bubble’s, seen by the colours it reflects.',
  form: FilmForm,
  values: (matter, phase) => [
    ...surfaceValues(matter, phase),
    evaluateAnimated(matter.film, phase),
    evaluateAnimated(matter.thick, phase),
    evaluateAnimated(matter.falls, phase),
    evaluateAnimated(matter.uneven, phase),
    1 / evaluateAnimated(matter.streaks, phase),
    Math.max(1, matter.cycles),
    matter.cycles > 0 ? phase - Math.floor(phase) : 0,
    RUN * matter.runs * (phase - Math.floor(phase)),
  ],
};
