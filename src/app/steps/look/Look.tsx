import { CompareChoice } from '../../picture/compare/CompareChoice';
import { ChannelChoice } from '../../picture/ChannelChoice';
import { CardsHead } from '../../parts/CardsHead';
import { EffectCards } from './EffectCards';
import { LightCards } from './LightCards';
import { LookCard } from './LookCard';

export { LookBand } from './LookBand';

/** What of the frame is shown, and against what; background and air; the lights; then what is done to the picture, in order. */
export function LookCards() {
  return (
    <>
      <CardsHead title="Shown">
        <ChannelChoice />
        <CompareChoice />
      </CardsHead>
      <LookCard group="back" />
      <LookCard group="air" />
      <LightCards />
      <EffectCards />
    </>
  );
}
