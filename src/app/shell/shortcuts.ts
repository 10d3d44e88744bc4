import { STEPS, bench, useBench } from '../state/bench';
import { player } from '../state/player';

interface Shortcut {
  keys: string;
  does: string;
}

/** What the keyboard does anywhere in the bench, as shown by `?`. */
export const SHORTCUTS: readonly Shortcut[] = [
  { keys: 'Space', does: 'play or pause' },
  { keys: '← →', does: 'one frame back or on; with Shift ten' },
  { keys: 'Home', does: 'to the seam' },
  { keys: 'S', does: 'play across the seam' },
  { keys: '1 – 5', does: 'Build, Fly, Look, Seam, Export' },
  { keys: 'W', does: 'working or final counts' },
  { keys: '/', does: 'find a value or a command' },
  { keys: 'Ctrl Z', does: 'undo; with Shift redo' },
  { keys: 'Ctrl S', does: 'save a file' },
  { keys: '↑ ↓ in a number', does: 'more or less; Shift fine, Ctrl coarse; double-click resets' },
  { keys: '?', does: 'these keys' },
];

interface Sheets {
  showKeys(): void;
  find(): void;
}

const typing = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || target.matches('input:not([type=checkbox]), textarea, select'));
/** Controls that use Space, Enter and arrows themselves. */
const operating = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  target.closest('button, [role=slider], [role=listbox], [role=menu], [role=dialog], [role=switch], a') !== null;

/** Starts listening. @returns stops */
export function listenToKeys(sheets: Sheets): () => void {
  const press = (event: KeyboardEvent): void => {
    if (event.defaultPrevented) return;
    const command = event.ctrlKey || event.metaKey;
    if (command && event.key.toLowerCase() === 'z') {
      event.preventDefault();
      if (event.shiftKey) bench.redo();
      else bench.undo();
      return;
    }
    if (command || event.altKey || typing(event.target)) return;
    const act = actionOf(event, sheets);
    if (!act) return;
    event.preventDefault();
    act();
  };
  addEventListener('keydown', press);
  return () => removeEventListener('keydown', press);
}

function actionOf(event: KeyboardEvent, sheets: Sheets): (() => void) | null {
  const { playing, acrossSeam, working } = useBench.getState();
  const step = STEPS[Number(event.key) - 1];
  if (step) return () => bench.patch({ step });
  const inside = operating(event.target);
  switch (event.key) {
    case ' ':
      return inside ? null : () => bench.patch({ playing: !playing });
    case 'ArrowLeft':
    case 'ArrowRight': {
      const by = (event.key === 'ArrowLeft' ? -1 : 1) * (event.shiftKey ? 10 : 1);
      return inside ? null : () => player.step(by);
    }
    case 'Home':
      return inside ? null : () => player.seek(0);
    case 's':
      return () => bench.patch({ acrossSeam: !acrossSeam, playing: true });
    case 'w':
      return () => bench.patch({ working: !working });
    case '/':
      return sheets.find;
    case '?':
      return sheets.showKeys;
    default:
      return null;
  }
}
