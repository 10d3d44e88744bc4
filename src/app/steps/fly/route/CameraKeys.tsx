import { Eye, Trash2 } from 'lucide-react';
import { cameraKeys, easeCameraKey, moveCameraKey, removeCameraKey } from '../../../../core/piece/cameraKeys';
import { Button } from '../../../parts/Button';
import { ChoiceField } from '../../../parts/ChoiceField';
import { EASE_WORDS, easeCalled, easeName } from '../../../parts/eases';
import { NumberField } from '../../../parts/NumberField';
import rows from '../../../parts/Row.module.css';
import { bench, usePiece } from '../../../state/bench';
import { player } from '../../../state/player';
import styles from './Route.module.css';

/** The frames at which views are kept, each standing for the keys of place and direction together. */
export function CameraKeys() {
  const piece = usePiece();
  const { frames } = piece.lap;
  const keys = cameraKeys(piece);
  return (
    <section className={rows.group} aria-label="Camera keys">
      <p className={rows.title}>Keys, place and direction together</p>
      {keys.length === 0 ? (
        <p className={styles.describe}>None yet. Fly by hand and keep views as keys, at different frames.</p>
      ) : null}
      {keys.map(({ frame, ease }, i) => {
        const name = ease === null ? '' : easeName(ease);
        return (
          <div key={i} className={styles.cameraKey}>
            <NumberField
              spec={{ label: `Camera key ${i + 1}, frame`, min: 0, max: frames - 1, unit: 'f' }}
              whole
              value={frame}
              onChange={(to) => bench.update((now) => moveCameraKey(now, frame, to))}
            />
            <ChoiceField
              label={`Camera key ${i + 1}, easing to the next`}
              value={name in EASE_WORDS ? name : ''}
              choices={name in EASE_WORDS ? EASE_WORDS : { '': ease === null ? 'several' : 'own curve', ...EASE_WORDS }}
              onChange={(to) => to !== '' && bench.update((now) => easeCameraKey(now, frame, easeCalled(to)))}
            />
            <Button
              kind="bare"
              label={`Go to camera key ${i + 1}`}
              onPress={() => (bench.patch({ playing: false }), player.seek(frame / frames))}
            >
              <Eye size={14} />
            </Button>
            <Button
              kind="bare"
              label={`Remove camera key ${i + 1}`}
              onPress={() => bench.update((now) => removeCameraKey(now, frame))}
            >
              <Trash2 size={13} />
            </Button>
          </div>
        );
      })}
    </section>
  );
}
