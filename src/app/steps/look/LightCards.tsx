import {
  hasRoom,
  lightName,
  lightOf,
  LIGHTS,
  MOST_LIGHTS,
  newLight,
  type Light,
  type LightKind,
} from '../../../core/look/lights/kinds';
import { Lamp } from 'lucide-react';
import { RIGS } from '../../../core/look/lights/rigs';
import type { Piece } from '../../../core/piece/schema';
import { sceneSymmetry } from '../../../core/seam/symmetry';
import { sweepUnder } from '../../../core/world/sweep';
import { tableFrame } from '../../../core/world/lightMoves';
import { unshaded } from '../../../engine/shadows/slots';
import { AddMenu } from '../../parts/AddMenu';
import { Boundary } from '../../parts/Boundary';
import { CardsHead } from '../../parts/CardsHead';
import { NameRow } from '../../parts/NameRow';
import { Reorder } from '../../parts/Reorder';
import rows from '../../parts/Row.module.css';
import { bench, useBench, usePiece } from '../../state/bench';
import { movedOver, newId } from '../../state/edit';
import { LightDrawing } from './LightDrawing';
import styles from './Look.module.css';
import { LookCard } from './LookCard';
import { PartCard } from './PartCard';

const ADDED = LIGHTS.names.map((kind) => ({ ...lightOf(kind), kind }));

const setLights = (lights: readonly Light[]): void => bench.set(['look', 'lights'], lights);

/** A new light after the others, opened. */
function add(lights: readonly Light[], kind: LightKind): void {
  const id = newId('light');
  setLights([...lights, newLight(kind, id)]);
  bench.patch({ open: id });
}

/** Lights to start from instead of those there are, about what the camera is focused on now. */
function setUp(piece: Piece, phase: number, kind: string): void {
  const rig = RIGS.find((one) => one.kind === kind);
  // where the world does not stand still about the camera, lamps go with that
  const onCamera = sceneSymmetry(piece).kind !== 'identity';
  if (!rig) return;
  const frame = tableFrame(piece, phase);
  // the world goes by: nothing stands under the subject
  const sweep = rig.sweep && !onCamera ? sweepUnder(piece, phase, frame, newId('layer')) : null;
  bench.update((before) => ({
    ...before,
    layers: sweep ? [...before.layers, sweep] : before.layers,
    look: { ...before.look, lights: rig.lights({ ...frame, onCamera }) },
  }));
}

/** The master of all lights, then each of them. */
export function LightCards() {
  const piece = usePiece();
  const phase = useBench((state) => state.status?.phase ?? 0);
  const { lights } = piece.look;
  const dark = unshaded(piece);
  return (
    <section aria-label="Lights" className={styles.list}>
      <CardsHead title="Lights">
        <AddMenu
          words="Set up"
          label="Set up lights"
          icon={<Lamp size={14} />}
          kinds={RIGS}
          onAdd={(kind) => setUp(piece, phase, kind)}
        />
        {lights.length < MOST_LIGHTS ? (
          <AddMenu
            words="Add"
            label="Add a light"
            kinds={ADDED.filter(({ kind }) => hasRoom(lights, kind))}
            onAdd={(kind) => add(lights, kind)}
          />
        ) : (
          <span className={styles.most}>{MOST_LIGHTS} is the most</span>
        )}
      </CardsHead>
      <LookCard group="rig" />
      <Reorder ids={lights.map(({ id }) => id)} onMove={(id, over) => setLights(movedOver(lights, id, over))}>
        {lights.map((light, index) => {
          const { form, label, summary } = lightOf(light.kind);
          const path = ['look', 'lights', index];
          return (
            <Boundary key={light.id} what={`The card ${lightName(light)}`} of={piece}>
              <PartCard
                of="lights"
                part={light}
                title={lightName(light)}
                summary={summary(light, phase)}
                drawing={<LightDrawing light={light} phase={phase} />}
                form={form}
                path={path}
                onRemove={() => setLights(lights.filter(({ id }) => id !== light.id))}
              >
                <section className={rows.group}>
                  {dark.includes(light) ? (
                    <p className={styles.warn}>
                      Lights above it in the list cast all the shadows there is room for: this one casts none.
                    </p>
                  ) : null}
                  <NameRow path={[...path, 'name']} name={light.name} of="light" placeholder={label} />
                </section>
              </PartCard>
            </Boundary>
          );
        })}
      </Reorder>
    </section>
  );
}
