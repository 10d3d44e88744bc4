import { routeOf } from '../flight/routes/kinds';
import type { Piece } from '../piece/schema';
import { layerFinding } from './layers';
import { lightFindings } from './lights';
import { mistFindings } from './mist';
import { patternFindings } from './patterns';
import { sceneSymmetry } from './symmetry';

/** The most parts that are looked for, as many as an orbit takes. */
const MOST_PARTS = 360;

/** A piece flown in one of so many parts of a turn; null where its route closes in whole turns alone, or does not turn. */
export function flownInParts(piece: Piece, parts: number): Piece | null {
  const { flight } = piece;
  const route = routeOf(flight.route.kind).inParts?.(flight.route, parts);
  return route ? { ...piece, flight: { ...flight, route } } : null;
}

/** Whether all that is seen, in place, colour and light, is the same after one of so many parts of a turn. */
function closes(piece: Piece, parts: number): boolean {
  const turned = flownInParts(piece, parts);
  if (!turned) return false;
  const g = sceneSymmetry(turned);
  const alike = (findings: readonly { ok: boolean }[]): boolean => findings.every(({ ok }) => ok);
  return (
    alike(lightFindings(turned, g)) &&
    alike(mistFindings(turned, g)) &&
    turned.layers
      .filter((layer) => !layer.hidden)
      .every((layer) => alike(patternFindings(turned, layer, g)) && layerFinding(turned, layer, g).ok)
  );
}

const isPrime = (n: number): boolean => {
  for (let k = 2; k * k <= n; k++) if (n % k === 0) return false;
  return n > 1;
};

/**
 * How often the world of an orbit looks the same in one turn about its middle; 1 where it does only after a whole turn, and null where the
 * camera flies no route that may close in a part of one. What closes under a half and under a third closes under a sixth, so powers of primes tell all;
 * it is what the seam report checks, tried for each.
 */
export function partsOfTurn(piece: Piece): number | null {
  if (!flownInParts(piece, 1)) return null;
  let parts = 1;
  for (let prime = 2; prime * parts <= MOST_PARTS; prime++) {
    if (!isPrime(prime)) continue;
    for (let power = prime; parts * prime <= MOST_PARTS && closes(piece, power); power *= prime) parts *= prime;
  }
  return parts;
}

/** Into how many parts a turn may be cut that is the same after one of so many: the largest number first, without 1. */
export const cutsOf = (parts: number): number[] =>
  Array.from({ length: parts }, (_, i) => parts - i).filter((cut) => cut > 1 && parts % cut === 0);
