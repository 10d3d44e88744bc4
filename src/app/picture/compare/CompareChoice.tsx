import { useShallow } from 'zustand/react/shallow';
import { Button } from '../../parts/Button';
import { ChoiceField } from '../../parts/ChoiceField';
import { bench, useBench, usePiece } from '../../state/bench';
import { comparedKey, comparedOf, comparisons } from './compared';
import styles from './Compare.module.css';

/** What the picture is compared with, and holding it as it is to compare with later. */
export function CompareChoice() {
  const piece = usePiece();
  const { history, held, compared } = useBench(
    useShallow(({ history, held, compared }) => ({ history, held, compared })),
  );
  if (!history) return null;
  return (
    <span className={styles.choice}>
      <ChoiceField
        label="Compared with"
        value={comparedKey(compared)}
        choices={comparisons(history, held)}
        onChange={(key) => {
          const to = comparedOf(key);
          bench.patch(to ? { compared: to, playing: false } : { compared: null });
        }}
      />
      <Button onPress={() => bench.patch({ held: piece })}>Hold</Button>
    </span>
  );
}
