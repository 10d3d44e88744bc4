import { useId } from 'react';
import type { Look, LOOK_HEADINGS } from '../../../core/look/form';

/** A small drawing of what a card of the look does, in the piece's own colours. */
export function LookDrawing({ name, look }: { name: keyof typeof LOOK_HEADINGS | 'glow'; look: Look }) {
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
    case 'tone':
      return (
        <svg viewBox="0 0 44 32" width="44" height="32" fill="none" stroke="currentColor" strokeWidth="1.4">
          <path d="M4 28h36M4 28V4" stroke="var(--line-strong)" />
          <path
            d={
              look.curve === 'straight'
                ? 'M4 28L36 5'
                : look.curve === 'deep'
                  ? 'M4 28c14 0 12-22 36-23'
                  : 'M4 28C12 12 22 6 40 5'
            }
            stroke="var(--time)"
          />
        </svg>
      );
    case 'finish':
      return (
        <svg viewBox="0 0 44 32" width="44" height="32" fill="currentColor">
          {Array.from({ length: 40 }, (_, i) => (
            <circle
              key={i}
              cx={3 + ((i * 37) % 39)}
              cy={3 + ((i * 53) % 27)}
              r={0.5 + ((i * 7) % 5) / 6}
              opacity={0.35 + ((i * 11) % 7) / 12}
            />
          ))}
        </svg>
      );
    case 'glow':
      return (
        <svg viewBox="0 0 44 32" width="44" height="32">
          {look.glow.map((glow, i) => (
            <circle
              key={glow.id}
              cx="22"
              cy="16"
              r={Math.min(15, 3 + glow.radius * 130)}
              fill={glow.tint}
              opacity={0.5 / (i + 1.2)}
            />
          ))}
          <circle cx="22" cy="16" r="2" fill="var(--text)" />
        </svg>
      );
  }
}
