import { LOOK, LOOK_HEADINGS } from '../../../core/look/form';
import { effectOf, EFFECTS, inOrder, newEffect, type Effect, type EffectKind } from '../../../core/look/effects/kinds';
import type { Piece } from '../../../core/piece/schema';
import { evaluateAnimated } from '../../../core/time/animated';
import { AddMenu } from '../../parts/AddMenu';
import { Boundary } from '../../parts/Boundary';
import { Card } from '../../parts/Card';
import { CardsHead } from '../../parts/CardsHead';
import { Inspector } from '../../parts/Inspector';
import { Reorder } from '../../parts/Reorder';
import { bench, useBench, usePiece } from '../../state/bench';
import { movedOver, newId } from '../../state/edit';
import { EffectCard } from './EffectCard';
import { LookDrawing } from './LookDrawing';

export { HistogramBand as LookBand } from './HistogramBand';

type LookGroup = keyof typeof LOOK_HEADINGS;
const GROUPS = Object.keys(LOOK_HEADINGS) as LookGroup[];

function summary(piece: Piece, phase: number, group: LookGroup): string {
  const { look } = piece;
  switch (group) {
    case 'back':
      return `${look.background} to ${look.backgroundEdge}`;
    case 'rig':
      return `${evaluateAnimated(look.rig, phase).toFixed(2)} × · ${look.rigKey}, soft boxes ${look.surround.toFixed(2)} ×`;
    case 'air':
      return `clear for ${evaluateAnimated(look.fogDistance, phase).toFixed(1)} m · drawn to ${look.reach.toFixed(0)} m`;
  }
}

/** Kinds of effect that can be added: a look always has those it cannot be without. */
const ADDED = EFFECTS.names.filter((kind) => !effectOf(kind).always).map((kind) => ({ ...effectOf(kind), kind }));

/** The list stands in the order in which its effects act: what it shows is what is done. */
const setEffects = (effects: readonly Effect[]): void => bench.set(['look', 'effects'], inOrder(effects));

/** A new effect after those that act on the same, opened. */
function add(effects: readonly Effect[], kind: EffectKind): void {
  const id = newId('effect');
  setEffects([...effects, newEffect(kind, id)]);
  bench.patch({ open: id });
}

/** Background, light and air; then what is done to the picture, in order. */
export function LookCards() {
  const piece = usePiece();
  const { effects } = piece.look;
  return (
    <>
      {GROUPS.map((group) => (
        <Boundary key={group} what={`The card ${LOOK_HEADINGS[group].label}`} of={piece}>
          <LookCard group={group} />
        </Boundary>
      ))}
      <CardsHead title="Effects">
        <AddMenu words="Add" label="Add an effect" kinds={ADDED} onAdd={(kind) => add(effects, kind)} />
      </CardsHead>
      <Reorder ids={effects.map(({ id }) => id)} onMove={(id, over) => setEffects(movedOver(effects, id, over))}>
        {effects.map((effect, index) => (
          <Boundary key={effect.id} what={`The card ${effectOf(effect.kind).label}`} of={piece}>
            <EffectCard
              effect={effect}
              index={index}
              onRemove={() => setEffects(effects.filter(({ id }) => id !== effect.id))}
            />
          </Boundary>
        ))}
      </Reorder>
    </>
  );
}

function LookCard({ group }: { group: LookGroup }) {
  const piece = usePiece();
  const open = useBench((state) => state.open);
  const phase = useBench((state) => state.status?.phase ?? 0);
  const heading = LOOK_HEADINGS[group];
  const shown = open === heading.label;
  return (
    <Card
      title={heading.label}
      summary={summary(piece, phase, group)}
      drawing={<LookDrawing name={group} look={piece.look} />}
      open={shown}
      kin={{ form: LOOK, path: ['look'], group: heading }}
      onToggle={() => bench.patch({ open: shown ? null : heading.label })}
    >
      <Inspector form={LOOK} path={['look']} groups={[heading]} />
    </Card>
  );
}
