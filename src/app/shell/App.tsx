import { useEffect, useState } from 'react';
import { I18nProvider } from 'react-aria-components';
import { Boundary } from '../parts/Boundary';
import { useAnnouncement } from '../state/announce';
import { bench, useBench } from '../state/bench';
import { claimPiece } from '../state/claim';
import { watchFiles } from '../state/files';
import { say } from '../state/notices';
import { recipeNamed } from '../state/recipes';
import { leaveStored, openStored, startKeeping } from '../state/session';
import { storeTrouble } from '../../store/room';
import { warm } from '../state/warm';
import { Bench } from './Bench';
import { FileDrop } from './FileDrop';
import { KeptFiles } from './KeptFiles';
import { Loops } from './Loops';
import { Notices } from './Notices';
import { openCopy } from './files';
import { leaveRecipe, pieceIdOf, recipeNameOf, showLoops } from './route';
import hidden from '../parts/Unseen.module.css';

type Place = { at: 'loops' } | { at: 'opening' } | { at: 'bench'; id: string; phase: number };

/** The whole app: the loops, or the bench with one of them. The address says which, so a reload returns. */
export function App() {
  const [place, setPlace] = useState<Place>({ at: 'opening' });
  useEffect(() => {
    let current = 0;
    const open = async (id: string, turn: number): Promise<void> => {
      const opened = await openStored(id, () => turn === current);
      if (turn !== current) return;
      if (!opened.ok) {
        say('That piece is not among the loops of this browser, or cannot be read. Here are the ones that are there.');
        showLoops();
        return;
      }
      claimPiece(id);
      bench.patch({ step: opened.step });
      setPlace({ at: 'bench', id, phase: opened.phase });
    };
    const follow = (): void => {
      const turn = ++current;
      const id = pieceIdOf(location.hash);
      const name = recipeNameOf(location.hash);
      const recipe = name === null ? null : recipeNamed(name);
      leaveStored();
      setPlace(id === null && !recipe ? { at: 'loops' } : { at: 'opening' });
      if (name !== null) leaveRecipe();
      if (recipe)
        openCopy(recipe).catch((error: unknown) => {
          say(`“${recipe.name}” could not be opened: ${storeTrouble(error)}.`);
          setPlace({ at: 'loops' });
        });
      if (id === null) return;
      open(id, turn).catch((error: unknown) => {
        say(`The piece could not be opened: ${storeTrouble(error)}.`);
        showLoops();
      });
    };
    const stopKeeping = startKeeping();
    const stopWatching = watchFiles();
    warm();
    follow();
    addEventListener('hashchange', follow);
    return () => {
      removeEventListener('hashchange', follow);
      stopKeeping();
      stopWatching();
    };
  }, []);
  const announcement = useAnnouncement((state) => state.words);
  const files = useBench((state) => state.files);
  const ready = useBench((state) => state.history !== null);
  return (
    <I18nProvider locale="en-US">
      <FileDrop>
        {place.at === 'loops' ? (
          <Boundary what="The first screen">
            <Loops />
          </Boundary>
        ) : null}
        {place.at === 'bench' && ready ? (
          <Boundary what="The bench" key={place.id} escape={{ label: 'Back to the loops', act: showLoops }}>
            <Bench startPhase={place.phase} />
          </Boundary>
        ) : null}
      </FileDrop>
      <KeptFiles open={files} onClose={() => bench.patch({ files: false })} />
      <Notices />
      <p role="status" className={hidden.unseen}>
        {announcement}
      </p>
    </I18nProvider>
  );
}
