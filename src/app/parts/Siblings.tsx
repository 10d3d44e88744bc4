import { mendValues } from '../../core/seam/values';
import { useEffect, useState } from 'react';
import type { Piece } from '../../core/piece/schema';
import { siblingOf, type Kin } from '../../core/piece/siblings';
import { startEngine } from '../../engine/client';
import { bench, useBench, usePiece } from '../state/bench';
import { getAt, setAt, type PiecePath } from '../../core/piece/paths';
import { stepsBelow } from '../../core/world/steps';
import styles from './Siblings.module.css';

interface Props {
  form: Kin['form'];
  path: PiecePath;
  groups?: Kin['groups'];
}

/** Near ones first, then farther and bolder. */
const BOLDNESS = [0.2, 0.3, 0.4, 0.55, 0.7, 0.85, 1, 1] as const;
const WIDTH = 192;

interface Sibling {
  boldness: number;
  value: object;
  picture: string | null;
}

/** A fan of siblings of one thing of the piece around the present one. Picking one adopts it and fans out anew around it. */
export function Siblings({ form, path, groups }: Props) {
  const piece = usePiece();
  const frame = useBench((state) => state.status?.frameIndex ?? 0);
  // the fan stands around what was there when it was opened or chosen, not around every drag
  const [around, setAround] = useState<{ piece: Piece; frame: number; seed: number }>({ piece, frame, seed: 1 });
  const [siblings, setSiblings] = useState<Sibling[]>([]);
  const key = path.join('.');

  useEffect(() => {
    let live = true;
    const engine = startEngine();
    const urls: string[] = [];
    const where = key.split('.').map((part) => (/^\d+$/.test(part) ? Number(part) : part));
    const own = getAt(around.piece, where) as object;
    const list = BOLDNESS.map((boldness, i): Sibling => {
      const wander = { seed: around.seed * 97 + i, boldness };
      return {
        boldness,
        value: siblingOf(own, { form, steps: stepsBelow(around.piece, where), groups }, wander),
        picture: null,
      };
    });
    const draw = async (): Promise<void> => {
      setSiblings(list);
      for (const sibling of list) {
        if (!live) return;
        const { frame: shown } = around.piece;
        const blob = await engine.api.still({
          piece: mendValues(setAt(around.piece, where, sibling.value)),
          frameIndex: around.frame,
          width: WIDTH,
          height: Math.max(16, Math.round((WIDTH * shown.height) / shown.width)),
          passes: 1,
        });
        if (!live) return;
        const url = URL.createObjectURL(blob);
        urls.push(url);
        sibling.picture = url;
        setSiblings([...list]);
      }
    };
    // a sibling that cannot be drawn leaves its place empty
    draw().catch(() => undefined);
    return () => {
      live = false;
      engine.close();
      for (const url of urls) URL.revokeObjectURL(url);
    };
    // the form belongs to the thing at the path
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [around, key, groups]);

  const pick = (sibling: Sibling): void => {
    const next = mendValues(setAt(piece, path, sibling.value));
    bench.update(() => next);
    setAround({ piece: next, frame, seed: around.seed + 1 });
  };
  return (
    <section className={styles.fan} aria-label="Siblings">
      <div className={styles.grid}>
        {siblings.map((sibling, i) => (
          <button
            key={i}
            className={styles.sibling}
            aria-label={`Sibling ${i + 1}, ${sibling.boldness < 0.5 ? 'near' : 'bold'}`}
            onClick={() => pick(sibling)}
          >
            {sibling.picture ? <img src={sibling.picture} alt="" /> : <span>drawing…</span>}
          </button>
        ))}
      </div>
      <p className={styles.words}>
        near ones first, bolder ones after
        <button className={styles.more} onClick={() => setAround({ piece, frame, seed: around.seed + 1 })}>
          Others
        </button>
      </p>
    </section>
  );
}
