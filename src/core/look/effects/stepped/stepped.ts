import { form, integer, tag, type ValueOf } from '../../../forms';
import { framePhase } from '../../../time/lap';
import { effectBase, type EffectDefinition } from '../definition';

const SteppedForm = form({
  ...effectBase,
  kind: tag('stepped'),
  steps: integer(1, {
    label: 'Pictures',
    perLap: true,
    unit: 'per lap',
    min: 1,
    max: 100_000,
    comfort: 240,
    hint: 'How many different pictures a lap has; each stays for as many whole frames as come nearest. Grain, dust and dither go on.',
  }),
});
export type Stepped = ValueOf<typeof SteppedForm>;

/** The frame of a lap whose picture a frame shows. */
export function steppedFrame({ steps }: Pick<Stepped, 'steps'>, frame: number, frames: number): number {
  if (steps >= frames) return frame;
  const lap = Math.floor(frame / frames) * frames;
  const step = Math.floor(((frame - lap + 0.5) * steps) / frames);
  return lap + Math.ceil((step * frames) / steps - 0.5);
}

export const stepped: EffectDefinition<Stepped> = {
  kind: 'stepped',
  label: 'Stepped rate',
  family: 'screen',
  describe: 'The whole picture changes in steps of several frames.',
  form: SteppedForm,
  space: 'scene',
  start: { steps: 60 },
  drawnAt: (effect, phase, frames) =>
    framePhase(steppedFrame(effect, Math.floor(phase * frames + 1e-6), frames), frames),
  summary: ({ steps }) => `${steps} pictures a lap`,
};
