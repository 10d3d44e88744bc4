import { STEPS, bench, useBench } from '../state/bench';
import { player } from '../state/player';
import { flyByHand, observe } from '../steps/fly/byhand/modes';
import { MOVES } from '../steps/fly/byhand/move';

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
  { keys: 'H', does: 'take the camera into your hand: W A S D, R F, Q E, drag, wheel; Escape leaves' },
  { keys: 'O', does: 'observe the camera from outside' },
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
/**
 * Whether the focus is in a control that uses Space and arrows itself. A button that was merely clicked does not count:
 * after adding a layer with the mouse, Space plays.
 */
function operating(target: EventTarget | null): boolean {
  if (!(target instanceof Element)) return false;
  if (target.closest('[role=menu], [role=listbox], [role=dialog], [role=slider], [role=switch]')) return true;
  const control = target.closest('button, a');
  // the accessible components know better than the browser whether the keyboard brought the focus
  return (
    control !== null &&
    (control.hasAttribute('data-rac') ? control.hasAttribute('data-focus-visible') : control.matches(':focus-visible'))
  );
}

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
    // a highlighted result of the finder gets its keys second-hand, while the focus is where the letters go
    if (command || event.altKey || typing(event.target) || typing(document.activeElement)) return;
    const act = actionOf(event, sheets);
    if (!act) return;
    event.preventDefault();
    event.stopPropagation();
    act();
  };
  // before the focused button hears of it
  addEventListener('keydown', press, { capture: true });
  return () => removeEventListener('keydown', press, { capture: true });
}

function actionOf(event: KeyboardEvent, sheets: Sheets): (() => void) | null {
  const { playing, acrossSeam, working, byHand, observer } = useBench.getState();
  const step = STEPS[Number(event.key) - 1];
  if (step) return () => bench.patch({ step });
  const inside = operating(event.target);
  // these keys move the camera while it is in the hand
  if ((byHand ?? observer) && event.code in MOVES) return null;
  if ((byHand ?? observer) && event.key === 'Escape') return () => bench.patch({ byHand: null, observer: null });
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
    case 'h':
      return flyByHand;
    case 'o':
      return observe;
    case '/':
      return sheets.find;
    case '?':
      return sheets.showKeys;
    default:
      return null;
  }
}
