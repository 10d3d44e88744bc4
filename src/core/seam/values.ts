import { isShown } from '../forms';
import { animatedIn, heldBy, mixedIn, type Part } from '../forms/walk';
import { setAt } from '../piece/paths';
import { partsOfPiece, type Piece } from '../piece/schema';
import { closes, evaluateAnimated, snapAnimated, type Animated } from '../time/animated';
import { closesMixed, isMoving, snapMixed, type Moving } from '../time/mixed';
import { stepsOf } from '../world/steps';
import type { Finding } from './finding';

/** An animated value of the piece, with the step that closes it. */
interface Place {
  subject: string;
  layerId: string | null;
  path: readonly (string | number)[];
  value: Animated;
  step: number;
}

const wholeGap = (n: number): number => Math.abs(n - Math.round(n));

/** The layer a part belongs to. */
const layerIdOf = (piece: Piece, { path: [room, index] }: Part): string | null =>
  room === 'layers' ? piece.layers[Number(index)].id : null;

/** What a value is called. */
const subjectOf = ({ words }: Part, label: string): string => [...words, label.toLowerCase()].join(', ');

/** The piece with every value that does not close brought to the nearest that does. */
export function mendValues(piece: Piece): Piece {
  return valueFindings(piece).reduce(
    (mended, { repair }) => (repair ? setAt(mended, repair.path, repair.value) : mended),
    piece,
  );
}

/** Whether a part is in use, given what it is a part of. */
function isUsed({ above, path, value }: Part): boolean {
  if (!above) return true;
  const name = path[above.path.length];
  const control = above.form.fields[name].control;
  return isShown(control, above.value) && isUsed(above) && value !== undefined;
}

/** Every value of the piece that changes over the lap, with the step that closes it. */
export const animatedPlaces = (piece: Piece): Place[] =>
  partsOfPiece(piece)
    .filter(isUsed)
    .flatMap((part) => {
      const { closing } = stepsOf(piece, part);
      return animatedIn(part)
        .filter(({ value, field }) => typeof value === 'object' && isShown(field.control, part.value))
        .map(({ name, field, value, path }) => ({
          subject: subjectOf(part, field.control?.label ?? name),
          layerId: layerIdOf(piece, part),
          path,
          value,
          step: closing[name] ?? 0,
        }));
    });

/** Every value, colour and gradient of a piece that changes over the lap: what it is called, and where it is. */
export const movingPlaces = (piece: Piece): Pick<Place, 'subject' | 'path'>[] => [
  ...animatedPlaces(piece),
  ...partsOfPiece(piece)
    .filter(isUsed)
    .flatMap((part) =>
      mixedIn(part)
        .filter(({ field }) => isShown(field.control, part.value))
        .map(({ name, field, path }) => ({ subject: subjectOf(part, field.control?.label ?? name), path })),
    ),
];

/** What is said of every value of a piece that does not close, with what would mend it. */
export function valueFindings(piece: Piece): Finding[] {
  const open = animatedPlaces(piece)
    .filter(({ value, step }) => !closes(value, step))
    .map((place): Finding => {
      const mended = snapAnimated(place.value, place.step);
      const gain = evaluateAnimated(place.value, 1) - evaluateAnimated(place.value, 0);
      return {
        id: `value:${place.path.join('.')}`,
        subject: place.subject,
        layerId: place.layerId,
        ok: false,
        gap: Math.max(0.01, Math.abs(gain)),
        slopeGap: 0,
        says: describeOpen(place),
        repair: { says: describeMended(mended), path: place.path, value: mended },
      };
    });
  return [
    ...open,
    ...partsOfPiece(piece).flatMap((part) => [...stepFindings(piece, part), ...colourFindings(piece, part)]),
  ];
}

/** Colours and gradients that are not after a lap what they were. */
function colourFindings(piece: Piece, part: Part): Finding[] {
  if (isOff(part) || !isUsed(part)) return [];
  return mixedIn(part)
    .filter(({ value, field: { control } }) => !closesMixed(value) && isShown(control, part.value))
    .map(({ name, field, value, path }): Finding => {
      const mended = snapMixed(value);
      const count = value.law === 'swing' ? value.cycles : value.law === 'wound' ? value.perLap : 0;
      return {
        id: `value:${path.join('.')}`,
        subject: subjectOf(part, field.control?.label ?? name),
        layerId: layerIdOf(piece, part),
        ok: false,
        gap: Math.max(0.01, wholeGap(count)),
        slopeGap: 0,
        says: describeColour(value),
        repair: { says: describeMendedColour(mended), path, value: mended },
      };
    });
}

const describeColour = (value: Moving<unknown>): string =>
  value.law === 'swing'
    ? `swings ${value.cycles} times per lap; whole cycles return`
    : value.law === 'wound'
      ? `turns its hues ${Number(value.perLap.toFixed(4))} times per lap; whole turns return`
      : 'does not return';

function describeMendedColour(value: unknown): string {
  if (!isMoving(value) || value.law === 'keyed') return 'Hold it still';
  if (value.law === 'swing') return `Swing ${value.cycles} times instead`;
  return value.perLap === 0 ? 'Hold it still' : `Turn them ${value.perLap} times instead`;
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
  if (typeof value === 'number' || value.law === 'keyed') return 'does not return';
  if (value.law === 'swing') return `swings ${value.cycles} times per lap; whole cycles return`;
  return step > 0
    ? `winds ${Number(value.perLap.toFixed(4))} per lap; it looks the same only after steps of ${Number(step.toFixed(4))}`
    : `gains ${Number(value.perLap.toFixed(4))} per lap and never returns`;
}

function describeMended(value: Animated): string {
  if (typeof value === 'number' || value.law === 'keyed') return 'Hold it still';
  if (value.law === 'swing') return `Swing ${value.cycles} times instead`;
  return `Wind ${Number(value.perLap.toFixed(4))} per lap instead`;
}
