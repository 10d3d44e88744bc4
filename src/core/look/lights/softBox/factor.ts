/**
 * Configuration factor from a small patch to a rectangle that faces it, the patch before the rectangle's middle: the share of the light
 * leaving the patch evenly that meets it (Howell, A Catalog of Radiation Heat Transfer Configuration Factors, B-3, four times a quarter).
 * @param wide, high sides of the rectangle, and `away` its distance, all in one unit, above 0
 */
export function facingFactor(wide: number, high: number, away: number): number {
  const [a, b] = [wide / 2 / away, high / 2 / away];
  const part = (p: number, q: number): number => (p / Math.hypot(1, p)) * Math.atan(q / Math.hypot(1, p));
  return (4 / (2 * Math.PI)) * (part(a, b) + part(b, a));
}
