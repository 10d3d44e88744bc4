import { isShown } from '../forms';
import { animatedIn, heldBy, mixedIn, type Part } from '../forms/walk';
import { lengthened } from '../piece/lengthen';
import { setAt } from '../piece/paths';
import { partsOfPiece, type Piece } from '../piece/schema';
import { closes, evaluateAnimated, snapAnimated, type Animated } from '../time/animated';
import { closesMixed, isMoving, snapMixed, type Moving } from '../time/mixed';
import { stepsOf } from '../world/steps';
import type { Finding } from './finding';

/** Something of the piece that changes over the lap: a number, a colour, a gradient. */
interface Place {
  subject: string;
  layerId: string | null;
  path: readonly (string | number)[];
  value: Exclude<Animated, number> | Moving<unknown>;
  /** what it gains in a lap must be whole ones of these; 0 where it must come back */
  step: number;
  closed: boolean;
  /** by how much it does not come back */
  gap: number;
  /** the nearest that closes */
  mended: unknown;
}

const wholeGap = (n: number): number => Math.abs(n - Math.round(n));

/** The layer a part belongs to. */
export const layerIdOf = (piece: Piece, { path: [room, index] }: Part): string | null =>
  room === 'layers' ? piece.layers[Number(index)].id : null;

/** What a value is called. */
export const subjectOf = ({ words }: Part, label: string): string => [...words, label.toLowerCase()].join(', ');

/** The piece with every value that does not close brought to the nearest that does. */
export function mendValues(piece: Piece): Piece {
  return openValues(piece).reduce(
    (mended, { repair }) => (repair ? setAt(mended, repair.path, repair.value) : mended),
    piece,
  );
}

/** Whether a part is in use, given what it is a part of. */
export function isUsed({ above, path, value }: Part): boolean {
  if (!above) return true;
  const name = path[above.path.length];
  const control = above.form.fields[name].control;
  return isShown(control, above.value) && isUsed(above) && value !== undefined;
}

/** What changes among the numbers of a part, and how it closes. */
const numbersIn = (piece: Piece, part: Part) => {
  const { closing } = stepsOf(piece, part);
  return animatedIn(part).flatMap(({ value, ...held }) => {
    if (typeof value === 'number') return [];
    const step = closing[held.name] ?? 0;
    const gap = Math.abs(evaluateAnimated(value, 1) - evaluateAnimated(value, 0));
    return [{ ...held, value, step, closed: closes(value, step), gap, mended: snapAnimated(value, step) }];
  });
};

/** What changes among its colours and gradients: their hues are the same again after whole turns. */
const coloursIn = (part: Part) =>
  mixedIn(part).map((held) => {
    const { value } = held;
    const count = value.law === 'swing' ? value.cycles : value.law === 'wound' ? value.perLap : 0;
    return { ...held, step: 1, closed: closesMixed(value), gap: wholeGap(count), mended: snapMixed(value) };
  });

/** Everything of the piece that changes over the lap, and whether it closes. */
export const movingPlaces = (piece: Piece): Place[] =>
  partsOfPiece(piece)
    .filter(isUsed)
    .flatMap((part) =>
      [...numbersIn(piece, part), ...coloursIn(part)]
        .filter(({ field }) => isShown(field.control, part.value))
        .map(({ name, field, path, value, step, closed, gap, mended }) => ({
          subject: subjectOf(part, field.control?.label ?? name),
          layerId: layerIdOf(piece, part),
          ...{ path, value, step, closed, gap, mended },
        })),
    );

/** What is said of everything in a piece that does not close, with what would mend it. */
export function valueFindings(piece: Piece): Finding[] {
  const findings = openValues(piece);
  return findings.length === 0 ? findings : withLonger(piece, findings);
}

/** Most laps that one may be lengthened to. */
const MOST_LAPS = 8;

/** Findings with the longer lap in which they close, where there is one: the same for as many as may be. */
function withLonger(piece: Piece, findings: readonly Finding[]): Finding[] {
  const longer = Array.from({ length: MOST_LAPS - 1 }, (_, i) => {
    const mended = lengthened(piece, i + 2);
    const open = new Set(mended ? openValues(mended).map(({ id }) => id) : findings.map(({ id }) => id));
    return { laps: i + 2, mended, open };
  });
  return findings.map((finding) => {
    const closing = longer.filter(({ open }) => !open.has(finding.id));
    const [best] = [...closing].sort((a, b) => a.open.size - b.open.size || a.laps - b.laps);
    if (!best?.mended) return { ...finding, instead: null };
    const { frames } = best.mended.lap;
    const says = `Or make ${best.laps} laps one, of ${frames} frames: then it comes out whole`;
    return { ...finding, instead: { says, path: [], value: best.mended } };
  });
}

function openValues(piece: Piece): Finding[] {
  const open = movingPlaces(piece)
    .filter(({ closed }) => !closed)
    .map((place): Finding => {
      const { subject, layerId, path, gap, mended } = place;
      return {
        id: `value:${path.join('.')}`,
        ...{ subject, layerId, ok: false, gap: Math.max(0.01, gap), slopeGap: 0 },
        says: describeOpen(place),
        repair: { says: describeMended(mended), path, value: mended },
      };
    });
  return [...open, ...partsOfPiece(piece).flatMap((part) => stepFindings(piece, part))];
}

/** Whether a part, or what it is in, is switched off. */
const isOff = ({ value, above }: Part): boolean =>
  ('hidden' in value && value.hidden === true) ||
  ('off' in value && value.off === true) ||
  (above !== null && isOff(above));

/** Numbers that must be whole steps for the world to tile and the lap to close: twist, windings, cycles. */
function stepFindings(piece: Piece, part: Part): Finding[] {
  const { plain, always } = stepsOf(piece, part);
  if (isOff(part)) return [];
  return heldBy(part).flatMap(({ name, field: { control }, value: held, path }): Finding[] => {
    const step = plain[name];
    if (step === undefined || !control || (control.control === 'animated' && !always.has(name))) return [];
    if (!isShown(control, part.value)) return [];
    const value = held as Animated;
    const stated = typeof value === 'number' ? value : evaluateAnimated(value, 0);
    const count = stated / step;
    if (typeof value === 'number' && Math.abs(count - Math.round(count)) < 1e-6) return [];
    const mended = Math.max(control.min !== undefined && control.min > 0 ? step : -Infinity, Math.round(count) * step);
    const unit = control.unit ?? '';
    return [
      {
        id: `value:${path.join('.')}`,
        subject: subjectOf(part, control.label),
        layerId: layerIdOf(piece, part),
        ok: false,
        gap: Math.max(wholeGap(count), 0.01),
        slopeGap: 0,
        says:
          typeof value === 'number'
            ? `${Number(value.toFixed(4))} ${unit} does not close; the nearest that does is ${Number(mended.toFixed(4))}`
            : `may not change over the lap, or neighbouring tiles do not meet`,
        repair: { says: `Make it ${Number(mended.toFixed(4))} ${unit}`, path, value: mended },
      },
    ];
  });
}

function describeOpen({ value, step }: Place): string {
  if (value.law === 'keyed') return 'does not return';
  if (value.law === 'swing') return `swings ${value.cycles} times per lap; whole cycles return`;
  return step > 0
    ? `winds ${Number(value.perLap.toFixed(4))} per lap; it looks the same only after steps of ${Number(step.toFixed(4))}`
    : `gains ${Number(value.perLap.toFixed(4))} per lap and never returns`;
}

function describeMended(value: unknown): string {
  if (!isMoving(value) || value.law === 'keyed') return 'Hold it still';
  if (value.law === 'swing') return `Swing ${value.cycles} times instead`;
  return `Wind ${Number(value.perLap.toFixed(4))} per lap instead`;
}
