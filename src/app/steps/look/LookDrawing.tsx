import { useId } from 'react';
import { hexAt } from '../../../core/colour/animated';
import type { Light } from '../../../core/look/lights/kinds';
import { evaluateAnimated } from '../../../core/time/animated';
import type { Look, LOOK_HEADINGS } from '../../../core/look/form';

/** How strong a light is at a moment, its master included. */
const level = (light: Light, look: Look, phase: number): number =>
  light.off
    ? 0
    : evaluateAnimated(light.strength, phase) *
      evaluateAnimated(light.dimmer, phase) *
      evaluateAnimated(look.rig, phase);

/** A small drawing of what a card of the look does, in the piece's own colours. */
export function LookDrawing({ name, look, phase }: { name: keyof typeof LOOK_HEADINGS; look: Look; phase: number }) {
  const id = useId();
  switch (name) {
    case 'back':
      return (
        <svg viewBox="0 0 44 32" width="44" height="32">
          <defs>
            <radialGradient id={id}>
              <stop offset="0" stopColor={hexAt(look.background, phase)} />
              <stop offset="1" stopColor={hexAt(look.backgroundEdge, phase)} />
            </radialGradient>
          </defs>
          <rect x="1" y="2" width="42" height="28" rx="3" fill={`url(#${id})`} stroke="var(--line-strong)" />
        </svg>
      );
    case 'rig':
      return (
        <svg viewBox="0 0 44 32" width="44" height="32" stroke="currentColor" strokeWidth="1.4">
          <path d="M8 27V5M8 27h28" stroke="var(--line-strong)" />
          {look.lights.slice(0, 8).map((light, i) => (
            <path
              key={light.id}
              d={`M${12 + i * 3.4} 26v${-Math.min(20, 1 + 7 * level(light, look, phase))}`}
              stroke={hexAt(light.colour, phase)}
              strokeWidth="2.2"
            />
          ))}
        </svg>
      );
    case 'air':
      return (
        <svg viewBox="0 0 44 32" width="44" height="32" fill="none" stroke="currentColor" strokeWidth="1.4">
          {[0, 1, 2, 3, 4].map((i) => (
            <path key={i} d={`M${4 + i * 9} ${5 + i * 1.5}v${22 - i * 3}`} opacity={1 - i * 0.2} />
          ))}
          {look.mist === 'none' ? null : (
            <path d="M2 25q5-4 10 0t10 0t10 0t10 0" stroke={hexAt(look.mistColour, phase)} strokeWidth="4" />
          )}
        </svg>
      );
  }
}
