import { hexAt } from '../../../core/colour/animated';
import { LOOK, LOOK_HEADINGS } from '../../../core/look/form';
import type { Piece } from '../../../core/piece/schema';
import { evaluateAnimated } from '../../../core/time/animated';
import { Boundary } from '../../parts/Boundary';
import { Card } from '../../parts/Card';
import { Inspector } from '../../parts/Inspector';
import { bench, useBench, usePiece } from '../../state/bench';
import { LookDrawing } from './LookDrawing';

export type LookGroup = keyof typeof LOOK_HEADINGS;

function summary({ look }: Piece, phase: number, group: LookGroup): string {
  switch (group) {
    case 'back':
      return `${hexAt(look.background, phase)} to ${hexAt(look.backgroundEdge, phase)}`;
    case 'rig':
      return `${evaluateAnimated(look.rig, phase).toFixed(2)} × · around ${look.surround.toFixed(2)} ×`;
    case 'air': {
      const haze = evaluateAnimated(look.haze, phase);
      return [
        `clear for ${evaluateAnimated(look.fogDistance, phase).toFixed(1)} m`,
        `drawn to ${look.reach.toFixed(0)} m`,
        ...(look.mist === 'none' ? [] : [`mist up to ${evaluateAnimated(look.mistFloor, phase).toFixed(1)} m`]),
        ...(haze > 0 ? [`haze ${haze.toFixed(3)}`] : []),
      ].join(' · ');
    }
  }
}

/** The rows of one heading of the look, opened in place. */
export function LookCard({ group }: { group: LookGroup }) {
  const piece = usePiece();
  const open = useBench((state) => state.open);
  const phase = useBench((state) => state.status?.phase ?? 0);
  const groups = LOOK_HEADINGS[group];
  const [heading] = groups;
  const shown = open === heading.label;
  return (
    <Boundary what={`The card ${heading.label}`} of={piece}>
      <Card
        title={heading.label}
        summary={summary(piece, phase, group)}
        drawing={<LookDrawing name={group} look={piece.look} phase={phase} />}
        open={shown}
        kin={{ form: LOOK, path: ['look'], groups }}
        onToggle={() => bench.patch({ open: shown ? null : heading.label })}
      >
        <Inspector form={LOOK} path={['look']} groups={groups} />
      </Card>
    </Boundary>
  );
}
