import { animated, choice, form, FRAMES, heading, integer, tag, type ValueOf } from '../../forms';
import { evaluateAnimated } from '../../time/animated';
import { stretchLasts } from '../../time/stretch';
import { wholeFrame, type OnFrames } from '../../time/exposure';
import { treatmentBase, treatmentReach } from '../base';
import type { TreatmentDefinition } from '../definition';
import { appearKernel, type AppearValues } from './appear.gen';

const group = heading('Appear');
/** Several that are gone leave several stretches; several that are there leave none. */
const gone = { field: 'how', is: ['gone'] };
const frames = { ...FRAMES, min: 0, max: 100_000, comfort: 250, group };

const AppearForm = form({
  ...treatmentBase,
  kind: tag('appear'),
  amount: animated(1, {
    label: 'Amount',
    min: 0,
    max: 1,
    decimals: 2,
    group,
    hint: '0: all are there all the lap. 1: outside of their stretch they are gone.',
  }),
  how: choice(
    'there',
    { there: 'There, and not otherwise', gone: 'Gone, and there otherwise' },
    { label: 'In the stretch', group, hint: 'Several that are gone leave several stretches in which it is there.' },
  ),
  from: integer(0, {
    label: 'From',
    moment: gone,
    ...frames,
    hint: 'Frame on which the first element comes, or goes.',
  }),
  to: integer(120, {
    label: 'Up to',
    moment: gone,
    ...frames,
    hint: 'Frame on which that is over for the first; earlier than the one before, it goes on across the seam.',
  }),
  comes: integer(0, { label: 'Comes over', ...frames, comfort: 50, hint: 'Frames over which that begins; 0 at once.' }),
  goes: integer(0, { label: 'Goes over', ...frames, comfort: 50, hint: 'Frames over which it ends, before the last.' }),
  wait: integer(0, {
    label: 'One by one',
    ...frames,
    comfort: 60,
    hint: 'Frames from the first element’s turn to the last one’s.',
  }),
  ...treatmentReach,
});
export type Appear = ValueOf<typeof AppearForm> & OnFrames;

/** Elements that come and go on whole frames, so that the open shutter never sees one half there but by its fade. */
export const appear: TreatmentDefinition<Appear, AppearValues> = {
  kind: 'appear',
  label: 'Appear',
  describe: 'There for a stretch of whole frames, at once or fading, or gone for one',
  sort: 'element',
  form: AppearForm,
  kernel: appearKernel,
  onFrames: true,
  oneByOne: true,
  values: (t, { world }, phase) => ({
    amount: evaluateAnimated(t.amount, wholeFrame(t, phase, world.frames)),
    frame: Math.round(wholeFrame(t, phase, world.frames) * world.frames),
    frames: world.frames,
    begins: t.from,
    lasts: stretchLasts(t, world.frames),
    comes: t.comes,
    goes: t.goes,
    wait: Math.min(t.wait, world.frames),
    gone: t.how === 'gone' ? 1 : 0,
  }),
  summary: (t) => `${t.how === 'gone' ? 'gone ' : ''}${t.from} to ${t.to}`,
};
