import { BandTabs } from '../../parts/BandTabs';
import { bench, useBench, type FlyBandName } from '../../state/bench';
import { MapBand } from '../build/map/MapBand';
import { ComfortBand } from './comfort/ComfortBand';
import { LapBand } from './lap/LapBand';

const NAMES: Record<FlyBandName, string> = { lap: 'Unrolled lap', map: 'Map', comfort: 'Comfort' };

/** The band of the flight: values over the lap, the route in the map, or how it feels. */
export function FlyBand() {
  const shown = useBench((state) => state.flyBand);
  const tabs = <BandTabs names={NAMES} shown={shown} onShow={(flyBand) => bench.patch({ flyBand })} />;
  if (shown === 'map') return <MapBand title={tabs} movesLayers={false} />;
  if (shown === 'comfort') return <ComfortBand title={tabs} />;
  return <LapBand title={tabs} />;
}
