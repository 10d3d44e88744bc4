import { z } from 'zod';
import { controlled, fieldOf, type Field, type Info } from './field';

const MOST = 10_000_000;

/** One of the elements of the layer that the field beside it, `layer`, names; by number from 0, or by name where they have names. */
export const elementRef = (info: Omit<Info, 'min' | 'max' | 'comfort'>): Field<number> =>
  fieldOf(z.number().int().min(0).max(MOST), 0, controlled('element', { ...info, min: 0, max: MOST, comfort: 40 }));
