import { flightOf } from '../../../core/world/camera';
import { useMemo } from 'react';
import type { Piece } from '../../../core/piece/schema';
import type { FLIGHT_HEADINGS } from '../../../core/flight/form';

/** A card of the flight. */
export type FlyGroup = keyof typeof FLIGHT_HEADINGS;

const SHAPES: Record<Exclude<FlyGroup, 'route'>, React.ReactNode> = {
  aim: (
    <>
      <path d="M6 16h24" />
      <path d="M25 10l7 6-7 6" />
      <circle cx="38" cy="16" r="2" fill="var(--time)" stroke="none" />
    </>
  ),
  roll: (
    <>
      <path d="M5 21L39 11" />
      <path d="M22 16l-3.500-9" stroke="var(--time)" />
      <path d="M8 16h28" opacity="0.4" strokeDasharray="2 3" />
    </>
  ),
  hand: <path d="M4 16c3-9 5 9 8 0s4-7 7 1 4 6 7-2 4-6 6 2 4 4 8-1" />,
  lens: (
    <>
      <path d="M14 4c6 7 6 17 0 24M14 4c-6 7-6 17 0 24" />
      <path d="M22 12l16-6M22 20l16 6" stroke="var(--time)" />
    </>
  ),
  sharp: (
    <>
      <path d="M4 8l20 8L4 24M24 16l16-6M24 16l16 6" />
      <path d="M24 6v20" stroke="var(--time)" />
    </>
  ),
  shutter: (
    <>
      <circle cx="22" cy="16" r="11" />
      <path d="M22 16V5a11 11 0 0 1 0 22Z" fill="var(--time)" fillOpacity="0.35" stroke="var(--time)" />
    </>
  ),
};

/** The piece's own route seen from above, fitted into the drawing. */
function RouteDrawing({ piece }: { piece: Piece }) {
  const { path, start } = useMemo(() => {
    const { track } = flightOf(piece);
    const places = Array.from({ length: 49 }, (_, i) => track.at(i / 48).position);
    const flat = places.map(([x, y, z]): [number, number] => [-z, x - 0.35 * y]);
    const range = (k: 0 | 1): [number, number] => [
      Math.min(...flat.map((p) => p[k])),
      Math.max(...flat.map((p) => p[k])),
    ];
    const [[left, right], [low, high]] = [range(0), range(1)];
    const scale = Math.min(36 / Math.max(1e-6, right - left), 22 / Math.max(1e-6, high - low), 40);
    const at = ([x, y]: [number, number]): [string, string] => [
      (22 + (x - (left + right) / 2) * scale).toFixed(1),
      (16 + (y - (low + high) / 2) * scale).toFixed(1),
    ];
    return { path: `M${flat.map((p) => at(p).join(' ')).join('L')}`, start: at(flat[0]) };
  }, [piece]);
  return (
    <>
      <path d={path} />
      <circle cx={start[0]} cy={start[1]} r="2.4" fill="var(--time)" stroke="none" />
    </>
  );
}

export function FlyDrawing({ group, piece }: { group: FlyGroup; piece: Piece }) {
  return (
    <svg
      viewBox="0 0 44 32"
      width="44"
      height="32"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.4"
      strokeLinecap="round"
      strokeLinejoin="round"
    >
      {group === 'route' ? <RouteDrawing piece={piece} /> : SHAPES[group]}
    </svg>
  );
}
