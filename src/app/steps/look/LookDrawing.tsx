import { useId } from 'react';
import type { Look, LOOK_HEADINGS } from '../../../core/look/form';

/** A small drawing of what a card of the look does, in the piece's own colours. */
export function LookDrawing({ name, look }: { name: keyof typeof LOOK_HEADINGS; look: Look }) {
  const id = useId();
  switch (name) {
    case 'back':
      return (
        <svg viewBox="0 0 44 32" width="44" height="32">
          <defs>
            <radialGradient id={id}>
              <stop offset="0" stopColor={look.background} />
              <stop offset="1" stopColor={look.backgroundEdge} />
            </radialGradient>
          </defs>
          <rect x="1" y="2" width="42" height="28" rx="3" fill={`url(#${id})`} stroke="var(--line-strong)" />
        </svg>
      );
    case 'rig':
      return (
        <svg viewBox="0 0 44 32" width="44" height="32">
          <defs>
            <radialGradient id={id} cx="0.68" cy="0.3" r="0.8">
              <stop offset="0" stopColor={look.rigKey} />
              <stop offset="0.7" stopColor={look.rigFill} stopOpacity="0.35" />
              <stop offset="1" stopColor={look.rigRim} />
            </radialGradient>
          </defs>
          <circle cx="22" cy="16" r="12" fill={`url(#${id})`} />
        </svg>
      );
    case 'air':
      return (
        <svg viewBox="0 0 44 32" width="44" height="32" fill="none" stroke="currentColor" strokeWidth="1.4">
          {[0, 1, 2, 3, 4].map((i) => (
            <path key={i} d={`M${4 + i * 9} ${5 + i * 1.5}v${22 - i * 3}`} opacity={1 - i * 0.2} />
          ))}
        </svg>
      );
  }
}
