/** Light as it is shown: decibels of what differs, of a range of 0..1. */
export function decibels(a: readonly number[], b: readonly number[]): number {
  const shown = (v: number): number => Math.min(1, v) ** (1 / 2.2);
  let sum = 0;
  let count = 0;
  for (let i = 0; i < a.length; i++)
    if (i % 4 < 3) {
      sum += (shown(a[i]) - shown(b[i])) ** 2;
      count++;
    }
  return 10 * Math.log10(count / sum);
}
