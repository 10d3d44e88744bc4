import { Eye, Move3d } from 'lucide-react';
import { useMemo } from 'react';
import { cameraPose } from '../../../core/world/camera';
import { routeOf } from '../../../core/flight/routes/kinds';
import { nameIn } from '../../../core/layers/kinds';
import { FLIGHT, FLIGHT_HEADINGS, flightSteps } from '../../../core/flight/form';
import { routeSetting } from '../../../core/world/setting';
import { depthLimitsMm, fieldOfViewDeg, hyperfocalMm, shutterSeconds } from '../../../core/lens/optics';
import type { Piece } from '../../../core/piece/schema';
import { evaluateAnimated } from '../../../core/time/animated';
import { rateHz } from '../../../core/time/lap';
import { Boundary } from '../../parts/Boundary';
import { Button } from '../../parts/Button';
import { Card } from '../../parts/Card';
import { CardsHead } from '../../parts/CardsHead';
import { Inspector } from '../../parts/Inspector';
import { bench, useBench, usePiece } from '../../state/bench';
import { flyByHand, observe } from './byhand/modes';
import { FlyDrawing, type FlyGroup } from './FlyDrawing';
import { HandRows, handNameOf } from './HandRows';
import { LensRows } from './LensRows';
import { RouteRows } from './route/RouteRows';
import styles from './Fly.module.css';

export { FlyBand } from './FlyBand';

const GROUPS = Object.keys(FLIGHT_HEADINGS) as FlyGroup[];

/** Fields that mean nothing on a route that keeps its own time. */
const TIMED = ['speed'];

const metres = (mm: number): string => (mm === Infinity ? '∞' : `${(mm / 1000).toFixed(2)} m`);
const turns = (n: number): string => `${Number(n.toFixed(3))} ${Math.abs(n) === 1 ? 'roll' : 'rolls'} per lap`;

function nameOf(piece: Piece, target: Piece['flight']['aimAt']): string {
  if (target.on === 'point') return 'a point';
  const layer = piece.layers.find(({ id }) => id === target.layer);
  return layer ? nameIn(layer, target.on === 'element' ? target.element : undefined) : 'no layer yet';
}

function summary(piece: Piece, phase: number, group: FlyGroup): string {
  const { flight, lap } = piece;
  const pose = cameraPose(piece, phase);
  switch (group) {
    case 'route':
      return routeOf(flight.route.kind).summary(flight.route, routeSetting(piece));
    case 'aim': {
      if (flight.lens === 'isometric')
        return `fixed by the isometric view${flight.aim === 'target' ? `, on ${nameOf(piece, flight.aimAt)}` : ''}`;
      if (flight.aim === 'target') return `at ${nameOf(piece, flight.aimAt)}`;
      if (flight.aim === 'own') return 'by its own direction';
      return flight.lookAhead > 0 ? `${flight.lookAhead} m ahead on the way` : 'ahead, along the tangent';
    }
    case 'roll': {
      const { roll, bank, horizon } = flight;
      const parts = [
        horizon === 'level' ? 'level' : 'carried',
        ...(typeof roll === 'object' && roll.law === 'wound' ? [turns(roll.perLap)] : []),
        ...(bank !== 0 ? [`banks ×${bank}`] : []),
      ];
      return parts.join(' · ');
    }
    case 'hand': {
      const name = handNameOf(flight);
      return name === 'none'
        ? 'still'
        : `${name ?? 'own figures'} · ×${evaluateAnimated(flight.handScale, phase).toFixed(2)}`;
    }
    case 'lens': {
      const sees = pose.fisheye
        ? `fisheye · ${flight.circleDeg}°${flight.raisedDeg === 0 ? '' : ` · raised ${flight.raisedDeg}°`}`
        : pose.orthoWidth === null
          ? `${pose.focalMm.toFixed(0)} mm · ${fieldOfViewDeg(pose.focalMm, pose.sensorMm).toFixed(1)}° wide`
          : `${flight.lens} · ${Number(pose.orthoWidth.toFixed(2))} m wide`;
      return `${sees} · f/${pose.fNumber.toFixed(1)}${flight.lens !== 'perspective' || flight.hold === 'none' ? '' : ' · dolly zoom'}`;
    }
    case 'sharp': {
      const { near, far } = depthLimitsMm(pose.focalMm, pose.fNumber, pose.focusDistance * 1000);
      const sharp = `${pose.focusDistance.toFixed(2)} m`;
      return pose.orthoWidth === null ? `${sharp} · sharp ${metres(near)} to ${metres(far)}` : sharp;
    }
    case 'shutter': {
      const angle = evaluateAnimated(flight.shutterDeg, phase);
      return `${angle.toFixed(0)}° · 1/${(1 / Math.max(1e-6, shutterSeconds(angle, rateHz(lap.rate)))).toFixed(0)} s`;
    }
  }
}

/** Where the camera goes, how it looks, what its lens does. */
export function FlyCards() {
  const piece = usePiece();
  const flying = useBench((state) => state.byHand !== null);
  const observing = useBench((state) => state.observer !== null);
  return (
    <>
      <CardsHead title="Flight">
        <span className={styles.modes}>
          <Button pressed={flying} onPress={flyByHand}>
            <Move3d size={14} /> Fly by hand
          </Button>
          <Button pressed={observing} onPress={observe}>
            <Eye size={14} /> Observe
          </Button>
        </span>
      </CardsHead>
      {GROUPS.map((group) => (
        <Boundary key={group} what={`The card ${FLIGHT_HEADINGS[group].label}`} of={piece}>
          <FlyCard group={group} />
        </Boundary>
      ))}
    </>
  );
}

function FlyCard({ group }: { group: FlyGroup }) {
  const piece = usePiece();
  const open = useBench((state) => state.open);
  const phase = useBench((state) => state.status?.phase ?? 0);
  const steps = flightSteps(piece.flight);
  const route = routeOf(piece.flight.route.kind);
  const heading = FLIGHT_HEADINGS[group];
  const shown = open === heading.label;
  const groups = useMemo(() => [heading], [heading]);
  return (
    <Card
      title={heading.label}
      summary={summary(piece, phase, group)}
      drawing={<FlyDrawing group={group} piece={piece} />}
      open={shown}
      kin={
        group === 'route' ? { form: route.form, path: ['flight', 'route'] } : { form: FLIGHT, path: ['flight'], groups }
      }
      onToggle={() => bench.patch({ open: shown ? null : heading.label })}
    >
      {group === 'route' ? <RouteRows /> : null}
      {group === 'hand' ? (
        <HandRows />
      ) : group === 'lens' ? (
        <LensRows />
      ) : (
        <Inspector
          form={FLIGHT}
          path={['flight']}
          groups={[heading]}
          closingSteps={steps}
          without={route.timed ? TIMED : []}
        />
      )}
      {group === 'sharp' ? <FocusNote piece={piece} phase={phase} /> : null}
    </Card>
  );
}

/** The circle of confusion behind the limits: 0.03 mm on 36 mm, common practice. */
function FocusNote({ piece, phase }: { piece: Piece; phase: number }) {
  const pose = cameraPose(piece, phase);
  return (
    <p className={styles.note}>
      Limits for a blur of 0.03 mm on the sensor; hyperfocal {metres(hyperfocalMm(pose.focalMm, pose.fNumber))}. The
      band shown in the map is what is sharp.
    </p>
  );
}
