import { heading, type Condition } from '../../forms';

/** What a title says stands under this. */
export const words = heading('Words');

/** Where it shows one of these. */
export const shows = (...is: string[]): Condition => ({ field: 'shows', is });
