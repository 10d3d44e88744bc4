import { EffectCards } from './EffectCards';
import { LightCards } from './LightCards';
import { LookCard } from './LookCard';

export { LookBand } from './LookBand';

/** Background and air; the lights; then what is done to the picture, in order. */
export function LookCards() {
  return (
    <>
      <LookCard group="back" />
      <LookCard group="air" />
      <LightCards />
      <EffectCards />
    </>
  );
}
