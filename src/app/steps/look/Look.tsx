import { GLOW, LOOK, LOOK_HEADINGS } from '../../../core/look/form';
import { Plus, Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { evaluateAnimated } from '../../../core/time/animated';
import type { Piece } from '../../../core/piece/schema';
import { Boundary } from '../../parts/Boundary';
import { Button } from '../../parts/Button';
import { Card } from '../../parts/Card';
import { Inspector } from '../../parts/Inspector';
import { bench, useBench, usePiece } from '../../state/bench';
import { newId } from '../../state/edit';
import { LookDrawing } from './LookDrawing';
import styles from './Look.module.css';

export { HistogramBand as LookBand } from './HistogramBand';

type LookGroup = keyof typeof LOOK_HEADINGS;

/** Radii that stack well: narrow and bright, middle, wide and faint. */
const NEXT_GLOW = [
  { radius: 0.005, threshold: 0.8, gain: 0.5 },
  { radius: 0.022, threshold: 0.35, gain: 0.35 },
  { radius: 0.085, threshold: 0.12, gain: 0.3 },
  { radius: 0.2, threshold: 0.05, gain: 0.2 },
];

function summary(piece: Piece, phase: number, group: LookGroup): string {
  const { look } = piece;
  switch (group) {
    case 'back':
      return `${look.background} to ${look.backgroundEdge}`;
    case 'rig':
      return `${evaluateAnimated(look.rig, phase).toFixed(2)} × · ${look.rigKey}, soft boxes ${look.surround.toFixed(2)} ×`;
    case 'air':
      return `clear for ${evaluateAnimated(look.fogDistance, phase).toFixed(1)} m · drawn to ${look.reach.toFixed(0)} m`;
    case 'tone': {
      const ev = evaluateAnimated(look.exposure, phase);
      return `${ev >= 0 ? '+' : ''}${ev.toFixed(2)} EV · ${look.curve === 'soft' ? 'soft shoulder' : look.curve === 'deep' ? 'deep contrast' : 'straight'}`;
    }
    case 'finish':
      return `vignette ${Math.round(look.vignette * 100)} % · grain ${Math.round(look.grain * 100)} %`;
  }
}

/** Air, glow, tone and texture. */
export function LookCards() {
  const piece = usePiece();
  const bounded = (name: string, card: ReactNode) => (
    <Boundary key={name} what={`The card ${name}`} of={piece}>
      {card}
    </Boundary>
  );
  const card = (group: LookGroup) => bounded(LOOK_HEADINGS[group].label, <LookCard group={group} />);
  return [card('back'), card('rig'), card('air'), bounded('Glow', <GlowCard />), card('tone'), card('finish')];
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

function GlowCard() {
  const piece = usePiece();
  const open = useBench((state) => state.open === 'Glow');
  const { glow } = piece.look;
  const add = (): void => {
    const start = NEXT_GLOW[Math.min(glow.length, NEXT_GLOW.length - 1)];
    bench.set(['look', 'glow'], [...glow, { id: newId('glow'), tint: '#ffffff', ...start }]);
  };
  return (
    <Card
      title="Glow"
      summary={
        glow.length === 0
          ? 'none'
          : glow.map(({ radius }) => `${Number((radius * 100).toFixed(1))} %`).join(' + ') + ' of the height'
      }
      drawing={<LookDrawing name="glow" look={piece.look} />}
      open={open}
      onToggle={() => bench.patch({ open: open ? null : 'Glow' })}
    >
      {glow.map(({ id }, index) => (
        <div key={id} className={styles.glow}>
          <p className={styles.title}>
            Glow {index + 1}
            <Button
              kind="bare"
              label={`Remove glow ${index + 1}`}
              onPress={() =>
                bench.set(
                  ['look', 'glow'],
                  glow.filter((layer) => layer.id !== id),
                )
              }
            >
              <Trash2 size={14} />
            </Button>
          </p>
          <Inspector form={GLOW} path={['look', 'glow', index]} />
        </div>
      ))}
      <footer className={styles.foot}>
        <Button isDisabled={glow.length >= 4} onPress={add}>
          <Plus size={14} /> Add a glow
        </Button>
        {glow.length >= 4 ? <span>four is the most</span> : null}
      </footer>
    </Card>
  );
}
