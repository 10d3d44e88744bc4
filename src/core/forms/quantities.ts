// Quantities that behave in a way of their own wherever they are; spread them into a field's declaration.

/** A count of frames: it keeps its share of the lap. */
export const FRAMES = { unit: 'frames', retimes: true } as const;
