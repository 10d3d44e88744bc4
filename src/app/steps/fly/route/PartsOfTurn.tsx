import { useMemo, useState } from 'react';
import { cutsOf, flownInParts } from '../../../../core/seam/parts';
import type { Piece } from '../../../../core/piece/schema';
import { troubleWords } from '../../../../core/trouble';
import { Button } from '../../../parts/Button';
import { PlainRow } from '../../../parts/PlainRow';
import rows from '../../../parts/Row.module.css';
import { bench, usePiece } from '../../../state/bench';
import { overtaken, player } from '../../../state/player';
import styles from './Route.module.css';

/** Cuts that are offered at most: more are too small a part of a turn for a lap. */
const MOST_OFFERED = 8;

/** What of a piece the parts of a turn follow from: where another, they are to be found anew. */
const worldOf = (piece: Piece): string =>
  JSON.stringify([piece.layers, piece.look, piece.tile, flownInParts(piece, 1)?.flight.route]);

type Found = { parts: number | null } | { failed: string } | 'looking';

/** What is found of the piece, in words. */
function wordsOf(found: Found | null): string {
  if (found === null) return 'A lap may be a part of a turn, if the world is the same after it.';
  if (found === 'looking') return 'Turning the world …';
  if ('failed' in found) return found.failed;
  if (found.parts === null) return 'Tilted, it closes after whole turns alone.';
  if (found.parts === 1) return 'It looks the same after a whole turn alone.';
  return `It looks the same ${found.parts} times a turn. A lap of:`;
}

/** Finds the parts of a turn under which the world of an orbit closes, and flies one of them in a press. */
export function PartsOfTurn() {
  const piece = usePiece();
  const [last, setLast] = useState<{ of: string; found: Found | null } | null>(null);
  // what was found holds for the world it was found in
  const world = useMemo(() => worldOf(piece), [piece]);
  const found = last?.of === world ? last.found : null;
  const setFound = (now: Found | null): void => setLast({ of: world, found: now });
  const find = (): void => {
    setFound('looking');
    player
      .measure('parts', (engine) => engine.partsOfTurn(piece))
      .then(
        (parts) => setFound({ parts }),
        (error: unknown) => setFound(overtaken(error) ? null : { failed: troubleWords(error) }),
      );
  };
  const cuts = found !== null && found !== 'looking' && 'parts' in found ? cutsOf(found.parts ?? 1) : [];
  return (
    <section className={rows.group} aria-label="Parts of a turn">
      <PlainRow
        label="Parts of a turn"
        hint="How often all that is seen, its colours and lights too, looks the same in one turn about the middle."
      >
        <Button onPress={find} isDisabled={found === 'looking'}>
          Find
        </Button>
      </PlainRow>
      <p className={styles.describe} role="status">
        {wordsOf(found)}
      </p>
      {cuts.length > 0 ? (
        <div className={styles.cuts}>
          {cuts.slice(0, MOST_OFFERED).map((cut) => (
            <Button key={cut} onPress={() => bench.update((now) => flownInParts(now, cut) ?? now)}>
              1/{cut}
            </Button>
          ))}
        </div>
      ) : null}
    </section>
  );
}
