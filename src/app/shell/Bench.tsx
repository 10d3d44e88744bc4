import { useEffect, useRef, useState } from 'react';
import { Boundary } from '../parts/Boundary';
import { Picture } from '../picture/Picture';
import { Transport } from '../picture/Transport';
import { useBench, type Step } from '../state/bench';
import { finishLaps } from '../state/lap';
import { BuildBand, BuildCards } from '../steps/build/Build';
import { ExportBand, ExportCards } from '../steps/export/Export';
import { FlyBand, FlyCards } from '../steps/fly/Fly';
import { LookBand, LookCards } from '../steps/look/Look';
import { SeamBand, SeamCards } from '../steps/seam/Seam';
import { Finder } from './Finder';
import { listenToKeys } from './shortcuts';
import { ShortcutSheet } from './ShortcutSheet';
import { TopStrip } from './TopStrip';
import { Versions } from './Versions';
import styles from './Bench.module.css';

const CARDS: Record<Step, () => React.ReactNode> = {
  build: BuildCards,
  fly: FlyCards,
  look: LookCards,
  seam: SeamCards,
  export: ExportCards,
};
const BANDS: Record<Step, () => React.ReactNode> = {
  build: BuildBand,
  fly: FlyBand,
  look: LookBand,
  seam: SeamBand,
  export: ExportBand,
};

/** One piece open for work: the picture with its track, the band and the cards of the step. */
export function Bench({ startPhase }: { startPhase: number }) {
  const step = useBench((state) => state.step);
  const piece = useBench((state) => state.history?.present);
  const [sheet, setSheet] = useState<'keys' | 'find' | 'versions' | null>(null);
  const [folded, setFolded] = useState(false);
  const main = useRef<HTMLElement>(null);
  // what was pressed to come here is gone
  useEffect(() => main.current?.focus({ preventScroll: true }), []);
  useEffect(() => listenToKeys({ showKeys: () => setSheet('keys'), find: () => setSheet('find') }), []);
  useEffect(finishLaps, []);
  const StepCards = CARDS[step];
  const StepBand = BANDS[step];
  return (
    <div className={styles.bench}>
      <TopStrip onKeys={() => setSheet('keys')} onVersions={() => setSheet('versions')} />
      <main ref={main} tabIndex={-1} className={`${styles.main} ${folded ? styles.folded : ''}`}>
        <section className={styles.left}>
          <Boundary what="The picture" of={piece}>
            <Picture startPhase={startPhase} />
          </Boundary>
          <Transport />
          <section className={styles.band} aria-label={`Band of the step ${step}`}>
            <button
              className={styles.fold}
              onClick={() => setFolded(!folded)}
              aria-expanded={!folded}
              aria-label={folded ? 'Unfold the band' : 'Fold the band'}
            >
              <i />
            </button>
            {folded ? null : (
              <Boundary key={step} what="This band" of={piece}>
                <StepBand />
              </Boundary>
            )}
          </section>
        </section>
        {/* each step has a column of its own, which begins at its head */}
        <aside key={step} className={styles.cards} aria-label={`Cards of the step ${step}`}>
          <Boundary what="The cards of this step" of={piece}>
            <StepCards />
          </Boundary>
        </aside>
      </main>
      <ShortcutSheet open={sheet === 'keys'} onClose={() => setSheet(null)} />
      <Versions open={sheet === 'versions'} onClose={() => setSheet(null)} />
      <Finder open={sheet === 'find'} onClose={() => setSheet(null)} />
    </div>
  );
}
