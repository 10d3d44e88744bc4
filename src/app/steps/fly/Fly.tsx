import { FlightSchema } from '../../../core/flight/schema';
import { cameraPose } from '../../../core/flight/camera';
import { depthLimitsMm, fieldOfViewDeg, hyperfocalMm, shutterSeconds } from '../../../core/lens/optics';
import { evaluateAnimated, lawOf } from '../../../core/time/animated';
import { rateHz } from '../../../core/time/lap';
import type { Piece } from '../../../core/piece/schema';
import { Card } from '../../parts/Card';
import { Inspector } from '../../parts/Inspector';
import { bench, useBench, usePiece } from '../../state/bench';
import { FlyDrawing } from './FlyDrawing';
import styles from './Fly.module.css';

export { LapBand as FlyBand } from './LapBand';

export const FLY_GROUPS = ['Route', 'Aim', 'Handheld', 'Lens', 'Focus', 'Shutter'] as const;
export type FlyGroup = (typeof FLY_GROUPS)[number];

const metres = (mm: number): string => (mm === Infinity ? '∞' : `${(mm / 1000).toFixed(2)} m`);

function summary(piece: Piece, phase: number, group: FlyGroup): string {
  const { flight, lap } = piece;
  const pose = cameraPose(piece, phase);
  switch (group) {
    case 'Route': {
      const tunnel = piece.layers.find(({ id }) => id === flight.follow)?.name;
      const way = flight.route === 'along' && tunnel ? `along ${tunnel}` : 'straight';
      return `${way} · ${Number((flight.tilesPerLap * piece.tile).toFixed(2))} m per lap`;
    }
    case 'Aim': {
      const roll = flight.roll;
      return typeof roll === 'object' && roll.law === 'wound'
        ? `ahead · ${roll.perLap} rolls per lap`
        : 'ahead, along the tangent';
    }
    case 'Handheld':
      return flight.shake === 'none'
        ? 'still'
        : `${flight.shake} · ×${evaluateAnimated(flight.shakeScale, phase).toFixed(2)}`;
    case 'Lens':
      return `${pose.focalMm.toFixed(0)} mm · f/${pose.fNumber.toFixed(1)} · ${fieldOfViewDeg(pose.focalMm, pose.sensorMm).toFixed(1)}° wide`;
    case 'Focus': {
      const { near, far } = depthLimitsMm(pose.focalMm, pose.fNumber, pose.focusDistance * 1000);
      return `${pose.focusDistance.toFixed(2)} m · sharp ${metres(near)} to ${metres(far)}`;
    }
    case 'Shutter': {
      const angle = evaluateAnimated(flight.shutterDeg, phase);
      return `${angle.toFixed(0)}° · 1/${(1 / Math.max(1e-6, shutterSeconds(angle, rateHz(lap.rate)))).toFixed(0)} s`;
    }
  }
}

/** Where the camera goes, how it looks, what its lens does. */
export function FlyCards() {
  const piece = usePiece();
  const open = useBench((state) => state.open);
  const phase = useBench((state) => state.status?.phase ?? 0);
  const closingSteps = { roll: 1, yaw: 360, bladeTurn: 360 / Math.max(1, piece.flight.blades), tilesPerLap: 1 };
  const shown = FLY_GROUPS.find((group) => group === open) ?? null;
  return FLY_GROUPS.map((group) => (
    <Card
      key={group}
      title={group}
      summary={summary(piece, phase, group)}
      drawing={<FlyDrawing group={group} />}
      open={shown === group}
      kin={{ schema: FlightSchema, path: ['flight'], steps: closingSteps, group }}
      onToggle={() => bench.patch({ open: shown === group ? null : group })}
    >
      <Inspector schema={FlightSchema} path={['flight']} groups={[group]} closingSteps={closingSteps} />
      {group === 'Focus' ? <FocusNote piece={piece} phase={phase} /> : null}
      {group === 'Route' &&
      lawOf(piece.flight.aside) === 'fixed' &&
      piece.flight.route === 'along' &&
      !piece.flight.follow ? (
        <p className={styles.note}>Choose a tunnel to fly along; without one the run is straight.</p>
      ) : null}
    </Card>
  ));
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
