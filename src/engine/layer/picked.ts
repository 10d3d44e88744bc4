/** Elements in a row of which so many are picked where a layer that lies in rows is thinned. */
export const GROUP = 20;

/** How many of every group are picked: all of them at a density of 1, and never none. */
export const pickedOf = (density: number): number => Math.min(GROUP, Math.max(1, Math.round(GROUP * density)));

/**
 * Where what is picked of a stretch of elements is kept: group after group. Stretches that follow one another stay so; a last group
 * that is not whole is left out.
 */
export function placesOf(
  { first, count }: { first: number; count: number },
  picked: number,
): { first: number; count: number } {
  if (picked === GROUP) return { first, count };
  const at = (element: number): number => Math.floor(element / GROUP) * picked;
  return { first: at(first), count: at(first + count) - at(first) };
}

/**
 * `uint pickedAt(uint place)`: the element that is kept at a place. Groups begin at a place of their own and go on in steps that
 * meet each element once, so that no rows are left.
 */
export const pickedSource = `uniform int uPicked;
uint pickedAt(uint place) {
  uint picked = uint(uPicked);
  uint group = place / picked;
  uint start = (group * 2654435761u) >> 16u;
  uint found = group * ${GROUP}u + ((place - group * picked) * 7u + start) % ${GROUP}u;
  return uPicked == ${GROUP} ? place : found;
}
`;
