import { useState, type ReactNode } from 'react';
import {
  effectOf,
  EFFECTS,
  inOrder,
  startedEffect,
  withEffect,
  type Effect,
  type EffectKind,
} from '../../../core/look/effects/kinds';
import { FAMILIES } from '../../../core/look/effects/definition';
import { lackOf } from '../../../core/world/lacks';
import { AddMenu } from '../../parts/AddMenu';
import { Button } from '../../parts/Button';
import { Boundary } from '../../parts/Boundary';
import { CardsHead } from '../../parts/CardsHead';
import { Reorder } from '../../parts/Reorder';
import { bench, useBench, usePiece } from '../../state/bench';
import { movedOver, newId } from '../../state/edit';
import { ChainSheet } from './chains/ChainSheet';
import { EffectDrawing } from './EffectDrawing';
import { GlowRows } from './GlowRows';
import { GradeWheels } from './GradeWheels';
import styles from './Look.module.css';
import { PartCard } from './PartCard';

/** Kinds whose values are more than rows. */
const EDITORS: Partial<Record<EffectKind, (props: { index: number }) => ReactNode>> = {
  glow: GlowRows,
  grade: GradeWheels,
};

const familyOf = (kind: EffectKind): string => FAMILIES[effectOf(kind).family];

/** Kinds of effect that can be added, family by family: a look always has those it cannot be without. */
const ADDED = Object.values(FAMILIES).flatMap((family) =>
  EFFECTS.names
    .filter((kind) => !effectOf(kind).always && familyOf(kind) === family)
    .map((kind) => ({ ...effectOf(kind), kind })),
);

/** The list stands in the order in which its effects act: what it shows is what is done. */
const setEffects = (effects: readonly Effect[]): void => bench.set(['look', 'effects'], inOrder(effects));

/** A new effect, opened. */
function add(effects: readonly Effect[], kind: EffectKind): void {
  const id = newId('effect');
  setEffects(withEffect(effects, startedEffect(kind, id)));
  bench.patch({ open: id });
}

/** What is done to the picture, in order. */
export function EffectCards() {
  const piece = usePiece();
  const phase = useBench((state) => state.status?.phase ?? 0);
  const { effects } = piece.look;
  const [chains, setChains] = useState(false);
  return (
    <section aria-label="Effects" className={styles.list}>
      <CardsHead title="Effects">
        <Button onPress={() => setChains(true)}>Chains</Button>
        <ChainSheet open={chains} onClose={() => setChains(false)} />
        <AddMenu
          words="Add"
          label="Add an effect"
          kinds={ADDED}
          groupOf={familyOf}
          onAdd={(kind) => add(effects, kind)}
        />
      </CardsHead>
      <Reorder ids={effects.map(({ id }) => id)} onMove={(id, over) => setEffects(movedOver(effects, id, over))}>
        {effects.map((effect, index) => {
          const { label, form, always = false, summary } = effectOf(effect.kind);
          const Editor = EDITORS[effect.kind];
          const lack = effect.off ? null : lackOf(piece, effect);
          return (
            <Boundary key={effect.id} what={`The card ${label}`} of={piece}>
              <PartCard
                of="effects"
                part={effect}
                title={label}
                summary={lack ? 'lacks what it needs' : summary(effect, phase)}
                drawing={<EffectDrawing effect={effect} phase={phase} />}
                form={form}
                path={['look', 'effects', index]}
                always={always}
                onRemove={() => setEffects(effects.filter(({ id }) => id !== effect.id))}
              >
                {lack ? <p className={styles.warn}>{lack}</p> : null}
                {Editor ? <Editor index={index} /> : null}
              </PartCard>
            </Boundary>
          );
        })}
      </Reorder>
    </section>
  );
}
