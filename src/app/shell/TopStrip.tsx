import { ChevronDown, CircleQuestionMark, Redo2, Undo2 } from 'lucide-react';
import { useEffect } from 'react';
import { Button as AriaButton, Menu, MenuItem, MenuTrigger, Popover } from 'react-aria-components';
import { Button } from '../parts/Button';
import { bench, STEPS, useBench, usePiece, type Step } from '../state/bench';
import { chooseFile, openCopy } from './files';
import { saveFile } from './save';
import { LapSettings } from './LapSettings';
import { Mark } from './Mark';
import { PieceName } from './PieceName';
import { showLoops } from './route';
import menu from '../parts/Menu.module.css';
import hidden from '../parts/Unseen.module.css';
import styles from './TopStrip.module.css';

const WORDS: Record<Step, string> = { build: 'Build', fly: 'Fly', look: 'Look', seam: 'Seam', export: 'Export' };
const SAVED = { saved: 'Saved', saving: 'Saving…', failed: 'Not saved' };

/** Piece, steps, undo and whether all is saved. */
export function TopStrip({ onKeys, onVersions }: { onKeys(): void; onVersions(): void }) {
  const piece = usePiece();
  const step = useBench((state) => state.step);
  const saved = useBench((state) => state.saved);
  const claim = useBench((state) => state.claim);
  const canUndo = useBench((state) => (state.history?.past.length ?? 0) > 0);
  const canRedo = useBench((state) => (state.history?.future.length ?? 0) > 0);
  useEffect(() => {
    const save = (event: KeyboardEvent): void => {
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 's') return;
      event.preventDefault();
      saveFile(piece);
    };
    addEventListener('keydown', save);
    return () => removeEventListener('keydown', save);
  }, [piece]);
  const act: Record<string, () => void> = {
    loops: showLoops,
    save: () => saveFile(piece),
    open: chooseFile,
    files: () => bench.patch({ files: true }),
    versions: onVersions,
    copy: () => void openCopy(piece, `${piece.name}, copy`),
  };
  return (
    <header className={styles.strip}>
      <div className={styles.piece}>
        <AriaButton className={styles.home} onPress={showLoops} aria-label="Back to the loops">
          <Mark />
        </AriaButton>
        <h1 className={hidden.unseen}>{piece.name}</h1>
        <PieceName />
        <MenuTrigger>
          <Button kind="bare" label="Piece: save, open, copy">
            <ChevronDown size={15} />
          </Button>
          <Popover className={menu.popover} placement="bottom start">
            <Menu aria-label="Piece" onAction={(key) => act[String(key)]?.()} className={menu.items}>
              <MenuItem id="save">Save a file</MenuItem>
              <MenuItem id="open">Open a file</MenuItem>
              <MenuItem id="copy">Make a copy</MenuItem>
              <MenuItem id="versions">Versions</MenuItem>
              <MenuItem id="files">Kept files</MenuItem>
              <MenuItem id="loops">Back to the loops</MenuItem>
            </Menu>
          </Popover>
        </MenuTrigger>
        <LapSettings />
      </div>
      <nav className={styles.steps} aria-label="Steps">
        {STEPS.map((name) => (
          <button
            key={name}
            aria-current={name === step ? 'step' : undefined}
            onClick={() => bench.patch({ step: name })}
          >
            {WORDS[name]}
          </button>
        ))}
      </nav>
      <div className={styles.right}>
        <Button kind="bare" label="Undo" isDisabled={!canUndo} onPress={bench.undo}>
          <Undo2 size={17} />
        </Button>
        <Button kind="bare" label="Redo" isDisabled={!canRedo} onPress={bench.redo}>
          <Redo2 size={17} />
        </Button>
        <span className={saved === 'failed' || claim !== 'mine' ? styles.failed : styles.saved} role="status">
          {claim === 'mine' ? SAVED[saved] : 'Not saved here'}
        </span>
        <Button kind="bare" label="Keys" onPress={onKeys}>
          <CircleQuestionMark size={17} />
        </Button>
      </div>
    </header>
  );
}
