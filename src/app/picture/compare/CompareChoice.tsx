import { useShallow } from 'zustand/react/shallow';
import { Button } from '../../parts/Button';
import { ChoiceField } from '../../parts/ChoiceField';
import { bench, useBench, usePiece } from '../../state/bench';
import { keep, useVersions } from '../../state/versions';
import { comparedKey, comparedOf, comparisons } from './compared';
import styles from './Compare.module.css';

/** What the picture is compared with, and keeping it as it is to compare with later. */
export function CompareChoice() {
  const piece = usePiece();
  const { history, compared } = useBench(useShallow(({ history, compared }) => ({ history, compared })));
  const versions = useVersions(piece.id);
  if (!history) return null;
  return (
    <span className={styles.choice}>
      <ChoiceField
        label="Compared with"
        value={comparedKey(compared)}
        choices={comparisons(history, versions)}
        onChange={(key) => {
          const to = comparedOf(key);
          bench.patch(to ? { compared: to, playing: false } : { compared: null });
        }}
      />
      <Button label="Keep a version" onPress={() => void keep(piece)}>
        Keep
      </Button>
    </span>
  );
}
