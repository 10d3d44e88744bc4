import { BandTabs } from '../../parts/BandTabs';
import { bench, useBench, type LookBandName } from '../../state/bench';
import { LapBand } from '../fly/lap/LapBand';
import { BandingBand } from './judging/BandingBand';
import { FlashesBand } from './judging/FlashesBand';
import { LevelsBand } from './judging/LevelsBand';
import { LightTable } from './table/LightTable';

const NAMES: Record<LookBandName, string> = {
  lights: 'Light table',
  lap: 'Unrolled lap',
  tones: 'Brightness',
  bands: 'Banding',
  flashes: 'Flashes',
};

/** The band of the look: where its lights stand, what is selected over the lap, or how the picture is judged. */
export function LookBand() {
  const shown = useBench((state) => state.lookBand);
  const tabs = <BandTabs names={NAMES} shown={shown} onShow={(lookBand) => bench.patch({ lookBand })} />;
  switch (shown) {
    case 'lights':
      return <LightTable title={tabs} />;
    case 'lap':
      return <LapBand title={tabs} />;
    case 'tones':
      return <LevelsBand title={tabs} />;
    case 'bands':
      return <BandingBand title={tabs} />;
    case 'flashes':
      return <FlashesBand title={tabs} />;
  }
}
