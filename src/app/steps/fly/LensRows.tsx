import { cameraPose, flightOf } from '../../../core/world/camera';
import { flightSteps, FLIGHT, FLIGHT_HEADINGS } from '../../../core/flight/form';
import { filling, subjectOf, type Filled } from '../../../core/world/fill';
import { dot, rotate, subtract } from '../../../core/space/vector';
import { Button } from '../../parts/Button';
import { ChoiceField } from '../../parts/ChoiceField';
import { Inspector } from '../../parts/Inspector';
import { PlainRow } from '../../parts/PlainRow';
import rows from '../../parts/Row.module.css';
import { bench, useBench, usePiece } from '../../state/bench';
import { say } from '../../state/notices';
import styles from './Fly.module.css';

/** Widths of common sensors and films in millimetres, by their trade sizes. */
const SENSORS: Record<string, string> = {
  '36': '36 mm, full frame',
  '24.89': '24.89 mm, Super 35',
  '23.6': '23.6 mm, APS-C',
  '17.3': '17.3 mm, Four Thirds',
  '13.2': '13.2 mm, 1 inch',
  '54.12': '54.12 mm, 65 mm film',
};

/** The lens: projection, focal length, what it holds in size, aperture. */
export function LensRows() {
  const piece = usePiece();
  const phase = useBench((state) => state.status?.phase ?? 0);
  const { flight } = piece;
  const holds = flight.lens === 'perspective' && flight.hold !== 'none';
  /** the width of the picture at the subject, as the camera sees it now without holding anything */
  const asNow = (): void => {
    const free = { ...piece, flight: { ...flight, hold: 'none' as const } };
    const pose = cameraPose(free, phase);
    const subject = flightOf(free).sight(flight.holdAt, phase).position;
    const depth = Math.max(0.05, dot(subtract(subject, pose.position), rotate(pose.quaternion, [0, 0, -1])));
    bench.set(['flight', 'holdWidth'], Number(((depth * pose.sensorMm) / pose.focalMm).toPrecision(5)));
  };
  /** the subject from edge to edge, as it is seen at this frame, and in focus */
  const fill = (side: Filled): void => {
    const filled = filling(piece, subjectOf(piece), side, phase);
    if (filled) bench.update((now) => ({ ...now, flight: filled }));
    else
      say(
        'Nothing can fill the frame: the camera is within its subject, or there is none. Let it aim at a layer from outside.',
      );
  };
  const key = String(flight.sensorMm);
  // a lens that follows its subject has no focal length of its own
  const hidden = [...(SENSORS[key] ? ['sensorMm'] : []), ...(holds && flight.hold === 'lens' ? ['focalMm'] : [])];
  return (
    <>
      <section className={rows.group}>
        <PlainRow
          label="Sensor"
          hint="Width of the picture behind the lens, in millimetres; with the focal length it gives the field."
        >
          <ChoiceField
            label="Sensor"
            value={key}
            choices={{ ...SENSORS, ...(SENSORS[key] ? {} : { [key]: `${key} mm` }), own: 'Another width…' }}
            onChange={(mm) => bench.set(['flight', 'sensorMm'], mm === 'own' ? 30 : Number(mm))}
          />
        </PlainRow>
      </section>
      <Inspector
        form={FLIGHT}
        path={['flight']}
        groups={[FLIGHT_HEADINGS.lens]}
        closingSteps={flightSteps(flight)}
        without={hidden}
      />
      {holds ? (
        <div className={styles.action}>
          <Button onPress={asNow}>Hold the size it has at this frame</Button>
        </div>
      ) : null}
      {flight.lens === 'perspective' ? (
        <div className={styles.action} role="group" aria-label="Fill the frame">
          <Button onPress={() => fill('height')}>Fill the height</Button>
          <Button onPress={() => fill('width')}>Fill the width</Button>
        </div>
      ) : null}
    </>
  );
}
