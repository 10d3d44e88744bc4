import { EffectCards } from './EffectCards';
import { LightCards } from './LightCards';
import { LookCard } from './LookCard';

export { HistogramBand as LookBand } from './HistogramBand';

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
