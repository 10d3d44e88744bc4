import { z } from 'zod';
import { controlled, fieldOf, type Control, type Field, type Info } from './field';

/** A reference to another layer by id, or null. @param of what the layer must have: see the layers' definition */
export const layerRef = ({
  of = 'route',
  none,
  strict,
  ...info
}: Info & Pick<Control, 'none' | 'strict'> & { of?: 'any' | 'route' | 'way' | 'ground' | 'reading' }): Field<
  string | null
> => fieldOf<string | null>(z.string().nullable(), null, controlled('layer', info, { of, none, strict }));
