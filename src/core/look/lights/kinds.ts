import { kinds, type KindValue } from '../../forms';
import type { LightDefinition } from './definition';
import { LIST } from './list';

/** Every kind: see list.ts. */
export const LIGHTS = kinds(...LIST);

export type Light = KindValue<(typeof LIGHTS)['list'][number]>;
export type LightKind = Light['kind'];

/** The most lights of a look: they share one table. */
export const MOST_LIGHTS = 16;

/** The definition of a kind. It takes only lights of that kind, which the document's validation guarantees. */
export const lightOf = (kind: string): LightDefinition<Light> => LIGHTS.of(kind);

/** A light of a kind with what its fields are at first. */
export const newLight = (kind: LightKind, id: string, fields: object = {}): Light =>
  LIGHTS.schema.parse({ ...fields, kind, id });

/** What a person calls a light. */
export const lightName = ({ kind, name }: Light): string => name || lightOf(kind).label;

/**
 * What a new look has: a warm key from the right behind the camera, a cool fill from the left, a rim from ahead, and three
 * far boxes that polished things reflect.
 */
export const standardLights = (): Light[] => [
  newLight('sun', 'key', { name: 'Key' }),
  newLight('sun', 'fill', {
    name: 'Fill',
    colour: '#8fb4e0',
    strength: 0.29,
    ...{ aside: -0.86, above: 0.12, behind: 0.49, shadow: false },
  }),
  newLight('sun', 'rim', {
    name: 'Rim',
    colour: '#cfe4ff',
    strength: 0.7,
    ...{ aside: -0.25, above: 0.55, behind: -0.8, shadow: false },
  }),
  newLight('farBox', 'top', { name: 'Box above', lamp: 'warm', strength: 1.5, wide: 2.2, high: 1.1 }),
  newLight('farBox', 'right', {
    name: 'Box on the right',
    colour: '#ffe9cf',
    strength: 0.5,
    ...{ aside: 0.958, above: 0.287, behind: 0, wide: 0.44, high: 1.7 },
  }),
  newLight('farBox', 'left', {
    name: 'Box on the left',
    colour: '#8fb4e0',
    strength: 0.9,
    ...{ aside: -0.97, above: 0, behind: 0.243, wide: 0.24, high: 1.8 },
  }),
  newLight('surroundings', 'around', {}),
];

/** Whether a list of lights has room for so many more of a kind. */
export const hasRoom = (lights: readonly Pick<Light, 'kind'>[], kind: string, more = 1): boolean =>
  lights.filter((light) => light.kind === kind).length + more <= (lightOf(kind).most ?? MOST_LIGHTS);

/** What is wrong with a list of lights as a whole, in words; null when nothing is. */
export function lightsTrouble(lights: readonly Light[]): string | null {
  const many = LIST.find((definition) => !hasRoom(lights, definition.kind, 0));
  if (many) return `has more of the kind “${many.label}” than there may be: ${many.most}`;
  const twice = lights.find(({ id }, i) => lights.findIndex((other) => other.id === id) < i);
  return twice ? `names two lights "${twice.id}"` : null;
}
