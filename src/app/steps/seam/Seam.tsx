import type { Piece } from '../../../core/piece/schema';
import type { Finding } from '../../../core/seam/finding';
import type { PictureReport } from '../../../engine/protocol';
import { useEffect } from 'react';
import { Button } from '../../parts/Button';
import { CardsHead } from '../../parts/CardsHead';
import { Progress } from '../../parts/Progress';
import { bench, useBench, usePiece } from '../../state/bench';
import { checkPictures, checkState, stopPictures, useSeam } from './check';
import styles from './Seam.module.css';

export { SeamBand } from './SeamBand';

const REST_MS = 250;

/** What meets at the seam, what does not, and how to mend it. */
export function SeamCards() {
  const piece = usePiece();
  const acrossSeam = useBench((state) => state.acrossSeam);
  const { state, of, pictures, progress, failed } = useSeam();
  useEffect(() => {
    const timer = setTimeout(() => void checkState(piece), REST_MS);
    return () => clearTimeout(timer);
  }, [piece]);
  const fresh = of === piece;
  const open = state?.findings.filter(({ ok }) => !ok) ?? [];
  const closed = state?.findings.filter(({ ok }) => ok) ?? [];
  const pictureFails = pictures !== null && pictures.of === piece && !pictures.report.ok;
  const closes = state?.ok && !pictureFails;
  return (
    <>
      <CardsHead
        tone={state ? (closes ? 'good' : 'trouble') : undefined}
        title={
          <>
            {state ? (closes ? 'The lap closes' : 'The join shows') : 'Checking…'}
            {state && !fresh ? <small> checking the change…</small> : null}
          </>
        }
      >
        {progress === null ? (
          <Button onPress={() => void checkPictures(piece)}>Check the pictures</Button>
        ) : (
          <Button onPress={stopPictures}>Cancel</Button>
        )}
      </CardsHead>
      {failed ? <p className={styles.failed}>The join could not be checked: {failed}</p> : null}
      {progress === null ? null : <Progress label="Comparing frames" share={progress} />}
      {open.map((finding) => (
        <FindingCard key={finding.id} finding={finding} />
      ))}
      {pictureFails ? <PictureCard report={pictures.report} /> : null}
      {closed.length > 0 ? (
        <article className={styles.card}>
          <h3>Close exactly</h3>
          <ul>
            {closed.map(({ id, subject, says }) => (
              <li key={id}>
                <b>{subject}</b> {says}
              </li>
            ))}
            <li>
              <b>Grain and dither</b> repeat with the lap
            </li>
          </ul>
        </article>
      ) : null}
      <article className={styles.card}>
        <h3>See for yourself</h3>
        <p>Repeats the last and the first half second until the join is either plain to see or cannot be found.</p>
        <Button pressed={acrossSeam} onPress={() => bench.patch({ acrossSeam: !acrossSeam, playing: true })}>
          Play across the seam
        </Button>
      </article>
    </>
  );
}

function FindingCard({ finding }: { finding: Finding }) {
  const { subject, says, gap, slopeGap, repair, layerId } = finding;
  const jump = gap > 1e-3;
  return (
    <article className={`${styles.card} ${styles.open}`}>
      <div className={styles.finding}>
        <svg viewBox="0 0 44 32" width="44" height="32" fill="none" strokeWidth="1.6" aria-hidden>
          <path d={jump ? 'M3 25c10 0 12-6 19-13' : 'M3 22c8-2 12-2 19-6'} stroke="var(--text)" />
          <path d={jump ? 'M22 20c7-8 10-13 19-14' : 'M22 16c4 4 12 2 19-10'} stroke="var(--text)" />
          <circle cx="22" cy={jump ? 12 : 16} r="2.6" fill="var(--trouble)" />
          {jump ? <circle cx="22" cy="20" r="2.6" fill="var(--trouble)" /> : null}
        </svg>
        <span>
          <b>{subject}</b>
          <small>{says}</small>
        </span>
        <span className={styles.score}>{gapWords(Math.max(gap, slopeGap))}</span>
      </div>
      {repair ? (
        <div className={styles.repair}>
          <span>{repair.says}</span>
          <Button kind="accent" onPress={() => bench.set(repair.path, repair.value)}>
            Repair
          </Button>
        </div>
      ) : layerId ? (
        <div className={styles.repair}>
          <span>Its own values are named above; mend those first.</span>
          <Button onPress={() => bench.patch({ step: 'build', open: layerId })}>Show the layer</Button>
        </div>
      ) : null}
    </article>
  );
}

/** What is said of what makes most of a jump. */
function guiltWords(piece: Piece, { verdict, guilty, excess }: PictureReport): string | null {
  if (verdict !== 'jumps') return null;
  if (!guilty)
    return 'No layer makes most of it by itself: look at lights, effects, and what all of them have in common.';
  if (guilty.layerId === null) return 'The camera does, which moves everything.';
  const name = piece.layers.find(({ id }) => id === guilty.layerId)?.name ?? 'A layer';
  const where = excess.of === 'block' ? 'in the block that is marked in the picture' : 'all over the picture';
  return `${name} makes ${Math.round(guilty.share * 100)} % of it, ${where}.`;
}

function PictureCard({ report }: { report: PictureReport }) {
  const piece = usePiece();
  const { verdict, score, pace, guilty } = report;
  const says = guiltWords(piece, report);
  const layerId = guilty?.layerId ?? null;
  return (
    <article className={`${styles.card} ${styles.open}`}>
      <div className={styles.finding}>
        <span />
        <span>
          <b>{verdict === 'jumps' ? 'The picture jumps at the join' : 'The picture stops at the join'}</b>
          <small>
            {verdict === 'jumps'
              ? `the change there is ${Math.max(score, pace).toFixed(1)} times that of the frames around it`
              : `it moves at ${Math.round(pace * 100)} % of the pace around it`}
          </small>
        </span>
      </div>
      {says ? (
        <div className={styles.repair}>
          <span>{says}</span>
          {layerId === null ? null : (
            <Button onPress={() => bench.patch({ step: 'build', open: layerId })}>Show the layer</Button>
          )}
        </div>
      ) : null}
    </article>
  );
}

const gapWords = (gap: number): string =>
  gap >= 1 ? '≥ 100 %' : gap < 0.001 ? '' : `${(gap * 100).toFixed(gap < 0.1 ? 1 : 0)} %`;
