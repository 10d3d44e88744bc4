import { useEffect, useState } from 'react';
import { I18nProvider } from 'react-aria-components';
import { bench, useBench } from '../state/bench';
import { claimPiece, releasePiece } from '../state/claim';
import { autosave, openStored } from '../state/session';
import { Bench } from './Bench';
import { FileDrop } from './FileDrop';
import { Loops } from './Loops';
import { Notice } from './Notice';
import { pieceIdOf, showLoops } from './route';

type Place = { at: 'loops' } | { at: 'opening' } | { at: 'bench'; id: string; phase: number };

/** The whole app: the loops, or the bench with one of them. The address says which, so a reload returns. */
export function App() {
  const [place, setPlace] = useState<Place>({ at: 'opening' });
  useEffect(() => {
    let current = 0;
    const follow = async (): Promise<void> => {
      const turn = ++current;
      const id = pieceIdOf(location.hash);
      if (id === null) {
        releasePiece();
        bench.close();
        setPlace({ at: 'loops' });
        return;
      }
      setPlace({ at: 'opening' });
      const opened = await openStored(id);
      if (turn !== current) return;
      if (!opened.ok) {
        bench.patch({ notice: 'That piece is not stored in this browser any more. Here are the ones that are.' });
        showLoops();
        return;
      }
      claimPiece(id);
      bench.patch({ step: opened.step });
      setPlace({ at: 'bench', id, phase: opened.phase });
    };
    void follow();
    addEventListener('hashchange', follow);
    const stopSaving = autosave();
    return () => {
      removeEventListener('hashchange', follow);
      stopSaving();
    };
  }, []);
  const ready = useBench((state) => state.history !== null);
  return (
    <I18nProvider locale="en-US">
      <FileDrop>
        {place.at === 'loops' ? <Loops /> : null}
        {place.at === 'bench' && ready ? <Bench key={place.id} startPhase={place.phase} /> : null}
      </FileDrop>
      <Notice />
    </I18nProvider>
  );
}
