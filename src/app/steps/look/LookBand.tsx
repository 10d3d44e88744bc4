import { BandTabs } from '../../parts/BandTabs';
import { bench, useBench, type LookBandName } from '../../state/bench';
import { HistogramBand } from './HistogramBand';
import { LightTable } from './table/LightTable';

const NAMES: Record<LookBandName, string> = { lights: 'Light table', tones: 'Brightness' };

/** The band of the look: where its lights stand, or how bright the picture is. */
export function LookBand() {
  const shown = useBench((state) => state.lookBand);
  const tabs = <BandTabs names={NAMES} shown={shown} onShow={(lookBand) => bench.patch({ lookBand })} />;
  return shown === 'lights' ? <LightTable title={tabs} /> : <HistogramBand title={tabs} />;
}
