/** Noise scale per axis and its period: the number of patches along the tile is whole, across it is free. */
export function fitNoise(
  metres: number,
  tile: number,
): { scale: [number, number, number]; period: [number, number, number] } {
  const along = Math.max(2, Math.round(tile / metres));
  return { scale: [1 / metres, 1 / metres, along / tile], period: [512, 512, along] };
}
