import { hexToLinear, linearToHex } from '../colour/colour';
import type { Picture } from './pixmap';

const SIZE = 64;
let drawn: Picture | null = null;

/** The light of a six-armed salt crystal at a place −1..1: arms with pairs of side arms, and a plate in the middle. */
function lightAt(x: number, y: number): number {
  const r = Math.hypot(x, y);
  // every place is brought into one half of one arm
  const sector = Math.PI / 3;
  let angle = Math.atan2(x, y) % sector;
  if (angle < 0) angle += sector;
  if (angle > sector / 2) angle = sector - angle;
  const [along, off] = [r * Math.cos(angle), r * Math.sin(angle)];
  const line = (distance: number, width: number): number => Math.exp(-((distance / width) ** 2));
  const arm = along < 0.92 ? line(off, 0.035 + 0.02 * (1 - along)) : line(Math.hypot(off, along - 0.92), 0.04);
  const branch = [0.38, 0.58, 0.76].map((from) => {
    // a side arm leaves at 60°, as long as there is room
    const s = (along - from) * Math.cos(Math.PI / 3) + off * Math.sin(Math.PI / 3);
    const across = Math.abs((along - from) * Math.sin(Math.PI / 3) - off * Math.cos(Math.PI / 3));
    const length = 0.34 * (1 - from * 0.75);
    return s > 0 && s < length ? line(across, 0.028) : 0;
  });
  const plate = line(Math.max(0, along - 0.12), 0.05) * 0.8;
  return Math.min(1, Math.max(arm, plate, ...branch) + 0.16 * Math.max(0, 1 - r * r) ** 4);
}

/** The picture that is there until the user chooses one: made by this formula, four samples a side of a pixel. */
export function crystalPicture(): Picture {
  if (drawn) return drawn;
  const rgb = new Uint8Array(SIZE * SIZE * 3);
  const fine = 4;
  const tint = hexToLinear('#eef6ff');
  for (let row = 0; row < SIZE; row++)
    for (let column = 0; column < SIZE; column++) {
      let sum = 0;
      for (let i = 0; i < fine * fine; i++) {
        const u = (column + ((i % fine) + 0.5) / fine) / SIZE;
        const v = (row + (Math.floor(i / fine) + 0.5) / fine) / SIZE;
        sum += lightAt(u * 2 - 1, 1 - v * 2);
      }
      const hex = linearToHex(tint.map((v) => (v * sum) / fine ** 2) as [number, number, number]);
      for (let k = 0; k < 3; k++) rgb[(row * SIZE + column) * 3 + k] = parseInt(hex.slice(1 + 2 * k, 3 + 2 * k), 16);
    }
  drawn = { width: SIZE, height: SIZE, rgb };
  return drawn;
}
