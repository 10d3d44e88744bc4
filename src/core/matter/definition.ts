import { heading, number, type Form } from '../forms';

/** What the core and the interface know about one kind of matter. One definition per folder of `matter/`; its program is the engine's. */
export interface MatterDefinition<M extends object> {
  kind: string;
  label: string;
  /** one sentence */
  describe: string;
  form: Form<M>;
  /** at most eight numbers, as its program reads them */
  values(matter: M): readonly number[];
}

const group = heading('Matter', 1);

/** Values of every matter that gives light back by itself, or shines. */
export const surfaceFields = (rough: number) => ({
  metal: number(0, { label: 'Metal', min: 0, max: 1, group, hint: '0: stone or plastic. 1: metal.' }),
  rough: number(rough, { label: 'Roughness', min: 0.02, max: 1, group, hint: '0: a mirror. 1: chalk.' }),
  glowing: number(0, {
    label: 'Shines',
    unit: '×',
    min: 0,
    max: 1000,
    comfort: 8,
    group,
    hint: 'Light of its own, in its colour.',
  }),
});

/** Where the rows of matter stand. */
export const MATTER_HEADING = group;
