import type { Piece } from '../../../core/piece/schema';
import { lightName } from '../../../core/look/lights/kinds';
import { effectOf } from '../../../core/look/effects/kinds';
import { goesOn } from '../../../core/seam/slopes';
import type { PictureReport } from '../../../engine/protocol';
import { popsAtJoin } from '../../../engine/seam/pops';
import type { Quality } from '../../../engine/seam/quality';
import { Button } from '../../parts/Button';
import { bench, usePiece } from '../../state/bench';
import styles from './Seam.module.css';

const percent = (share: number): string => {
  const of = share * 100;
  return `${of < 0.1 ? '< 0.1' : of < 10 ? of.toFixed(1) : Math.round(of)} %`;
};

const TITLE: Record<PictureReport['verdict'], string> = {
  jumps: 'The picture jumps at the join',
  stops: 'The picture stops at the join',
  differs: 'A lap later the picture is another',
  remembers: 'The first frame is not the same drawn twice',
  closes: 'The pictures close',
  still: 'The picture is still',
};

/** What was found in the pictures, with numbers. */
function foundWords({ verdict, score, pace, pop, later, twice, step }: PictureReport): string {
  switch (verdict) {
    case 'jumps':
      return popsAtJoin(pop)
        ? `one place changes ${pop.score.toFixed(1)} times as much as ever around it; at no other frame does any more than ${pop.elsewhere.toFixed(1)} times`
        : `the change there is ${Math.max(score, pace).toFixed(1)} times that of the frames around it`;
    case 'stops':
      return `it moves at ${Math.round(pace * 100)} % of the pace around it, and stands nowhere else in the lap`;
    case 'differs':
      return `${percent(later.share)} of its colours differ, by up to ${Math.round(later.most)} code values, although no frame jumps`;
    case 'remembers':
      return `it differs by up to ${twice.toFixed(1)} code values: something is carried over from the frames before`;
    case 'still':
      return 'nothing moves, so nothing jumps';
    case 'closes': {
      const same =
        later.most < 1 ? 'a lap later it is the same' : `a lap later it is the same but for ${percent(later.share)}`;
      return `${step.length} frames compared: the join changes ${score.toFixed(2)} times as much as the frames around it, and ${same}`;
    }
  }
}

/** What is said of what makes most of it, and where that is changed. */
function guiltOf(piece: Piece, { verdict, guilty, excess }: PictureReport): { says: string; show?: () => void } | null {
  if (verdict !== 'jumps' && verdict !== 'differs') return null;
  if (!guilty)
    return { says: 'Nothing makes most of it by itself: look at what layers, lights and effects have in common.' };
  const { part, id } = guilty;
  if (part === 'camera')
    return { says: 'The camera does, which moves everything.', show: () => bench.patch({ step: 'fly' }) };
  const where = excess.of === 'block' ? ', in the block that is marked in the picture' : '';
  const says = (name: string): string => `${name} makes ${Math.round(guilty.share * 100)} % of it${where}.`;
  const { lights, effects } = piece.look;
  if (part === 'layer') {
    const layer = piece.layers.find((one) => one.id === id);
    return { says: says(layer?.name ?? 'A layer'), show: () => bench.patch({ step: 'build', open: id }) };
  }
  const light = lights.find((one) => one.id === id);
  const effect = effects.find((one) => one.id === id);
  const name = light ? lightName(light) : effect ? effectOf(effect.kind).label : 'An effect';
  return { says: says(name), show: () => bench.patch({ step: 'look', open: id }) };
}

/** What the pictures of a lap say. */
export function PictureCard({ report, quality }: { report: PictureReport; quality: Quality }) {
  const piece = usePiece();
  const { verdict, ok } = report;
  const guilt = guiltOf(piece, report);
  const repair = verdict === 'stops' ? goesOn(piece) : null;
  return (
    <article className={`${styles.card} ${ok ? '' : styles.open}`} aria-label="What the pictures say">
      <div className={styles.finding}>
        <svg viewBox="0 0 44 32" width="44" height="32" fill="none" strokeWidth="1.6" aria-hidden>
          <rect x="4" y="8" width="15" height="16" rx="2" stroke="var(--text)" />
          <rect x="25" y="8" width="15" height="16" rx="2" stroke="var(--text)" />
          <circle cx="22" cy="16" r="2.6" fill={ok ? 'var(--time)' : 'var(--trouble)'} />
        </svg>
        <span>
          <b>
            {TITLE[verdict]}
            {quality === 'final' ? ', at final quality' : ''}
          </b>
          <small>{foundWords(report)}</small>
        </span>
      </div>
      {guilt ? (
        <div className={styles.repair}>
          <span>{guilt.says}</span>
          {guilt.show ? <Button onPress={guilt.show}>Show it</Button> : null}
        </div>
      ) : null}
      {repair ? (
        <div className={styles.repair}>
          <span>{repair.says}</span>
          <Button kind="accent" onPress={() => bench.set(repair.path, repair.value)}>
            Repair
          </Button>
        </div>
      ) : null}
    </article>
  );
}
