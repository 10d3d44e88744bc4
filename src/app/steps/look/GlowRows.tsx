import { Plus, Trash2 } from 'lucide-react';
import { GLOW_LAYER, MOST_GLOWS, type GlowLayer } from '../../../core/look/effects/glow/glow';
import { Button } from '../../parts/Button';
import { Inspector } from '../../parts/Inspector';
import { bench, usePiece } from '../../state/bench';
import { newId } from '../../state/edit';
import styles from './Look.module.css';

/** Radii that stack well: narrow and bright, middle, wide and faint. */
const NEXT = [
  { radius: 0.005, threshold: 0.8, gain: 0.5 },
  { radius: 0.022, threshold: 0.35, gain: 0.35 },
  { radius: 0.085, threshold: 0.12, gain: 0.3 },
  { radius: 0.2, threshold: 0.05, gain: 0.2 },
];

/** The glows of a glow effect, each with its rows. */
export function GlowRows({ index }: { index: number }) {
  const effect = usePiece().look.effects[index];
  const layers = 'layers' in effect ? effect.layers : [];
  const path = ['look', 'effects', index, 'layers'];
  const set = (next: readonly GlowLayer[]): void => bench.set(path, next);
  const most = layers.length >= MOST_GLOWS;
  return (
    <>
      {layers.map(({ id }, i) => (
        <div key={id} className={styles.glow}>
          <p className={styles.title}>
            Glow {i + 1}
            <Button
              kind="bare"
              label={`Remove glow ${i + 1}`}
              onPress={() => set(layers.filter((layer) => layer.id !== id))}
            >
              <Trash2 size={14} />
            </Button>
          </p>
          <Inspector form={GLOW_LAYER} path={[...path, i]} />
        </div>
      ))}
      <footer className={styles.foot}>
        <Button
          isDisabled={most}
          onPress={() =>
            set([
              ...layers,
              { id: newId('glow'), tint: '#ffffff', soft: 0.5, ...NEXT[Math.min(layers.length, NEXT.length - 1)] },
            ])
          }
        >
          <Plus size={14} /> Add a glow
        </Button>
        {most ? <span>four is the most</span> : null}
      </footer>
    </>
  );
}
