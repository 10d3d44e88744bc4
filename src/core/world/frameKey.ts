import { definitionOf } from '../layers/kinds';
import { keyedIn } from '../forms/walk';
import { drawnMoments, usedEffects } from '../look/effects/kinds';
import { missingFiles } from '../piece/files';
import { textKey } from '../piece/key';
import { setAt, type PiecePath } from '../piece/paths';
import { partsOfPiece, type Layer, type Piece } from '../piece/schema';
import { framePhase } from '../time/lap';
import { evaluateAnimated, type Keyed } from '../time/animated';
import { mixtureAt, type KeyedMix } from '../time/mixed';
import { treatmentOf } from '../treatments/kinds';
import { cameraPose } from './camera';
import { exposedPiece, exposureOf, openLaps, withShutter } from './exposed';

/** Moments of a shutter that is open so many frames, from its opening to its closing, at which what keys do is looked at: shares of that. */
function momentsOf(open: number): number[] {
  const steps = Math.max(4, Math.ceil(open * 2));
  return Array.from({ length: steps + 1 }, (_, i) => i / steps - 0.5);
}

/** Keys that a frame sees only while its own shutter is open. */
interface Local {
  path: PiecePath;
  value: Keyed | KeyedMix<unknown>;
}

/** What a value with keys is at a phase. */
const stateAt = (value: Local['value'], phase: number): unknown =>
  isOfNumbers(value) ? evaluateAnimated(value, phase) : mixtureAt(value, phase).of;

const isOfNumbers = (value: Local['value']): value is Keyed => typeof value.keys[0].value === 'number';

/** Whether a layer shows only the moments of the frame itself. */
const ofItsMoment = ({ treatments }: Layer): boolean =>
  treatments.every(({ kind, off }) => off || !(treatmentOf(kind).echoes ?? treatmentOf(kind).moment));

const carries = (piece: Piece, { id }: Layer): boolean =>
  piece.layers.some((other) => definitionOf(other.kind).carriedBy?.(other) === id);

/** The piece without what is not seen, and is not what anything seen depends on. */
function seenOf(piece: Piece): Piece {
  const named = (layer: Layer): boolean => {
    const others = piece.layers.filter((other) => other !== layer);
    return JSON.stringify([others, piece.flight, piece.look]).includes(JSON.stringify(layer.id));
  };
  const layers = piece.layers
    .filter((layer) => !layer.hidden || named(layer))
    .map((layer) => ({ ...layer, name: '', treatments: layer.treatments.filter(({ off }) => !off) }));
  const look = { ...piece.look, effects: usedEffects(piece.look.effects) };
  return { ...piece, id: '', name: '', deliveries: [], samples: 1, layers, look };
}

/** The keys that act on a frame only at its own moments: not what is summed up over the lap, what a layer’s reach follows from, nor what is shown later. */
function localKeys(piece: Piece): Local[] {
  const { flight } = piece;
  return partsOfPiece(piece).flatMap((part) => {
    const [room, index] = part.path;
    if (room === 'layers') {
      const layer = piece.layers[Number(index)];
      // what the camera follows may be looked at at any moment, and what carries something shows in where that was
      if (carries(piece, layer) || !ofItsMoment(layer) || JSON.stringify(flight).includes(JSON.stringify(layer.id)))
        return [];
    }
    return keyedIn(part).flatMap(({ value, path, field }) =>
      field.control?.summed || field.control?.reaches ? [] : [{ path, value }],
    );
  });
}

/**
 * For every frame of a piece a key of all that its picture depends on, whatever its size and passes: another key is another
 * picture, as far as anyone can tell; the same key is the same picture. Keys of values change only the frames between
 * which they act.
 */
export function frameKeys(piece: Piece): (frame: number) => string {
  const seen = seenOf(piece);
  const local = localKeys(seen);
  const rest = textKey(JSON.stringify(local.reduce<Piece>((so, { path }) => setAt(so, path, 0), seen)));
  // a stand-in is another picture
  const missing = missingFiles(seen).map(({ ref }) => ref.hash);
  const known = new Map<number, string>();
  const keyOf = (frame: number): string => {
    const { frames } = piece.lap;
    const drawn = drawnMoments(seen.look.effects, { phase: framePhase(frame, frames), frame, frames });
    const states = drawn.map(({ phase, open: wide }) => {
      const shot = withShutter(seen, wide);
      const open = openLaps(shot, phase);
      const exposed = exposedPiece(shot, exposureOf(shot, phase));
      const moments = momentsOf(open * frames).map((share) => phase + share * open);
      const values = local.map(({ value }) => moments.map((at) => stateAt(value, at)));
      return [values, moments.map((at) => cameraPose(exposed, at))];
    });
    return textKey(JSON.stringify([rest, frame, states, ...missing]));
  };
  return (frame) => {
    const key = known.get(frame) ?? keyOf(frame);
    known.set(frame, key);
    return key;
  };
}
