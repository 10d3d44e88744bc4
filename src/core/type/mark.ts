import { Held } from '../kept';
import type { Shape } from './shape';

/** A mark: its shapes in the order they are drawn, one unit high, about its own middle. */
export interface Mark {
  readonly name: string;
  /** one list for each path, which is an element of its own */
  readonly paths: readonly (readonly Shape[])[];
}

/** Every mark that is open. */
export const MARKS = new Held<Mark>();

/** What stands in for a mark that is not there: a frame. */
export const NO_MARK: Mark = {
  name: 'no mark',
  paths: [
    [
      {
        outline: Float64Array.of(-0.5, -0.5, 0.5, -0.5, 0.5, 0.5, -0.5, 0.5),
        holes: [Float64Array.of(-0.42, -0.42, -0.42, 0.42, 0.42, 0.42, 0.42, -0.42)],
      },
    ],
  ],
};
