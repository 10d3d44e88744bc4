import type { Finding, Repair } from '../../../core/seam/finding';
import { useEffect } from 'react';
import { Button } from '../../parts/Button';
import { CardsHead } from '../../parts/CardsHead';
import { ChoiceField } from '../../parts/ChoiceField';
import { duration } from '../../parts/duration';
import { Progress } from '../../parts/Progress';
import { bench, useBench, usePiece } from '../../state/bench';
import { checkPictures, checkState, stopPictures, useSeam } from './check';
import { JOIN_PAIRS, JOIN_VIEWS, useJoin, type JoinPair, type JoinView } from './join';
import { PictureCard } from './PictureCard';
import styles from './Seam.module.css';

export { SeamBand } from './SeamBand';

const REST_MS = 250;

/** What meets at the seam, what does not, and how to mend it. */
export function SeamCards() {
  const piece = usePiece();
  const { state, of, pictures, running, failed } = useSeam();
  useEffect(() => {
    const timer = setTimeout(() => void checkState(piece), REST_MS);
    return () => clearTimeout(timer);
  }, [piece]);
  const fresh = of === piece;
  // what can be mended at once goes before what follows from it
  const open = (state?.findings.filter(({ ok }) => !ok) ?? []).sort(
    (a, b) => Number(b.repair !== null) - Number(a.repair !== null),
  );
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
        {running.small ? (
          <Button onPress={() => stopPictures('small')}>Cancel</Button>
        ) : (
          <Button onPress={() => void checkPictures(piece)}>Check the pictures</Button>
        )}
      </CardsHead>
      {failed ? <p className={styles.failed}>The join could not be checked: {failed}</p> : null}
      {running.small ? <Progress label="Comparing frames" share={running.small.share} /> : null}
      {open.map((finding) => (
        <FindingCard key={finding.id} finding={finding} />
      ))}
      {pictures !== null && pictures.of === piece ? (
        <PictureCard report={pictures.report} quality={pictures.quality} />
      ) : null}
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
      <LooksCard />
      <FinalCard />
    </>
  );
}

function FindingCard({ finding }: { finding: Finding }) {
  const { subject, says, gap, slopeGap, repair, instead = null, layerId } = finding;
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
      {repair ? <RepairRow repair={repair} /> : null}
      {instead ? <RepairRow repair={instead} plain={repair !== null} /> : null}
      {!repair && !instead && layerId ? (
        <div className={styles.repair}>
          <span>Mend its own values first.</span>
          <Button onPress={() => bench.patch({ step: 'build', open: layerId })}>Show the layer</Button>
        </div>
      ) : null}
    </article>
  );
}

/** One press that mends something. */
function RepairRow({ repair: { says, path, value }, plain = false }: { repair: Repair; plain?: boolean }) {
  return (
    <div className={styles.repair}>
      <span>{says}</span>
      <Button kind={plain ? 'plain' : 'accent'} onPress={() => bench.set(path, value)}>
        {plain ? 'Lengthen' : 'Repair'}
      </Button>
    </div>
  );
}

const TIMES = { '1': '1 ×', '2': '2 ×', '4': '4 ×', '8': '8 ×', '16': '16 ×', '32': '32 ×', '64': '64 ×' };

/** Looking at the join with one's own eyes. */
function LooksCard() {
  const acrossSeam = useBench((state) => state.acrossSeam);
  const { view, pair, times } = useJoin();
  const show = (next: JoinView): void => {
    useJoin.setState({ view: view === next ? null : next });
    bench.patch({ playing: false });
  };
  return (
    <article className={`${styles.card} ${styles.looks}`} aria-label="See for yourself">
      <h3>See for yourself</h3>
      <div className={styles.row}>
        <Button
          pressed={acrossSeam}
          onPress={() => {
            useJoin.setState({ view: null });
            bench.patch({ acrossSeam: !acrossSeam, playing: true });
          }}
        >
          Play across the seam
        </Button>
        <small>the last and the first half second</small>
      </div>
      <div className={styles.row} role="group" aria-label="Two frames">
        {(Object.keys(JOIN_VIEWS) as JoinView[]).map((name) => (
          <Button key={name} pressed={view === name} onPress={() => show(name)}>
            {JOIN_VIEWS[name]}
          </Button>
        ))}
      </div>
      {view ? (
        <div className={styles.row}>
          <span className={styles.wide}>
            <ChoiceField
              label="Which frames"
              value={pair}
              choices={JOIN_PAIRS}
              onChange={(next) => useJoin.setState({ pair: next as JoinPair })}
            />
          </span>
          {view === 'difference' ? (
            <span className={styles.times}>
              <ChoiceField
                label="Differences blown up"
                value={String(times)}
                choices={TIMES}
                onChange={(next) => useJoin.setState({ times: Number(next) })}
              />
            </span>
          ) : null}
        </div>
      ) : null}
    </article>
  );
}

/** The same check with frames as they will be delivered, which takes its time and goes on meanwhile. */
function FinalCard() {
  const piece = usePiece();
  const { final } = useSeam(({ running }) => running);
  const left = final?.left ?? null;
  return (
    <article className={`${styles.card} ${styles.looks}`} aria-label="At final quality">
      <h3>At final quality</h3>
      {final ? (
        <>
          <Progress label="Comparing frames at final quality" share={final.share} />
          <div className={styles.row}>
            <small>
              {Math.round(final.share * 100)} % of the lap{left === null ? '' : ` · about ${duration(left)} left`}
            </small>
            <Button onPress={() => stopPictures('final')}>Cancel</Button>
          </div>
        </>
      ) : (
        <div className={styles.row}>
          <small>
            The same with {piece.samples} {piece.samples === 1 ? 'pass' : 'passes'} and the size of the frame. It goes
            on while you work.
          </small>
          <Button onPress={() => void checkPictures(piece, 'final')}>Check</Button>
        </div>
      )}
    </article>
  );
}

const gapWords = (gap: number): string =>
  gap >= 1 ? '≥ 100 %' : gap < 0.001 ? '' : `${(gap * 100).toFixed(gap < 0.1 ? 1 : 0)} %`;
