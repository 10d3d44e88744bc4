import { MeshBuilder, type Mesh } from '../../solids/mesh';

const STEPS = 12;

/**
 * A studio sweep: a floor that bends up into a wall behind, seen from its front. One unit wide, its floor's near edge in
 * front of the middle.
 * @param curve radius of the bend in units of the width
 */
export function sweep(curve: number): Mesh {
  const builder = new MeshBuilder();
  const radius = Math.min(0.45, Math.max(0.01, curve));
  const line: { y: number; z: number; ny: number; nz: number }[] = [{ y: -0.25, z: 0.5, ny: 1, nz: 0 }];
  for (let i = 0; i <= STEPS; i++) {
    const a = (Math.PI / 2) * (i / STEPS);
    line.push({
      y: -0.25 + radius * (1 - Math.cos(a)),
      z: -0.5 + radius - radius * Math.sin(a),
      ny: Math.cos(a),
      nz: Math.sin(a),
    });
  }
  line.push({ y: 0.5, z: -0.5, ny: 0, nz: 1 });
  const rows = line.map(({ y, z, ny, nz }) => [
    builder.vertex([-0.5, y, z], [0, ny, nz]),
    builder.vertex([0.5, y, z], [0, ny, nz]),
  ]);
  for (let i = 0; i + 1 < rows.length; i++) builder.quad(rows[i][0], rows[i][1], rows[i + 1][1], rows[i + 1][0]);
  return builder.build(true);
}
