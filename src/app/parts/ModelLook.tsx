import { useCallback, useState } from 'react';
import { linearToHex, type Rgb } from '../../core/colour/colour';
import type { HeldModel } from '../../core/solids/models/model';
import { Canvas } from './Canvas';
import styles from './FileField.module.css';

/** How it stands at first, in turns about its upright axis, and how far one looks down on it. */
const HEADING = 0.09;
const DOWN = 0.06;
/** Where light comes from, towards the viewer, up and from the left; and what is left of it in the shade. */
const LIGHT: Rgb = [-0.45, 0.62, 0.64];
const SHADE = 0.16;

/** The places and the colours of a model's triangles as they are seen, those farthest away first. */
function facesOf(model: HeldModel, heading: number): { at: Float32Array; order: Uint32Array; colours: string[] } {
  const { position, normal, uv, dye, details, materials } = model;
  const { index } = details[0];
  const [s, c] = [Math.sin(heading * 2 * Math.PI), Math.cos(heading * 2 * Math.PI)];
  const [sd, cd] = [Math.sin(DOWN * 2 * Math.PI), Math.cos(DOWN * 2 * Math.PI)];
  const seen = (of: Float32Array): Float32Array => {
    const out = new Float32Array(of.length);
    for (let i = 0; i < of.length; i += 3) {
      const [x, z] = [of[i] * c + of[i + 2] * s, of[i + 2] * c - of[i] * s];
      out[i] = x;
      out[i + 1] = of[i + 1] * cd - z * sd;
      out[i + 2] = of[i + 1] * sd + z * cd;
    }
    return out;
  };
  const [at, facing] = [seen(position), seen(normal)];
  const count = index.length / 3;
  const depth = new Float32Array(count);
  const colours = Array.from({ length: count }, (_, t) => {
    const corners = [index[t * 3], index[t * 3 + 1], index[t * 3 + 2]];
    depth[t] = corners.reduce((sum, v) => sum + at[v * 3 + 2], 0);
    const own = materials[Math.round(uv[corners[0] * 3 + 2])];
    const lit = corners.reduce(
      (sum, v) =>
        sum +
        Math.max(
          0,
          [0, 1, 2].reduce((along, k) => along + facing[v * 3 + k] * LIGHT[k], 0),
        ) /
          3,
      SHADE,
    );
    const rgb = [0, 1, 2].map((k) => {
      const base = own.colour[k] * (dye?.[corners[0] * 3 + k] ?? 1) + 0.03;
      return Math.min(1, base * lit + Math.min(1, own.glow[k]));
    });
    return linearToHex(rgb as Rgb);
  });
  const order = Uint32Array.from({ length: count }, (_, t) => t).sort((a, b) => depth[a] - depth[b]);
  return { at, order, colours };
}

/** A model, small: it turns with the pointer over it. */
export function ModelLook({ model }: { model: HeldModel | null }) {
  const [turn, setTurn] = useState(0);
  const draw = useCallback(
    (context: CanvasRenderingContext2D, width: number, height: number) => {
      if (!model) return;
      const { at, order, colours } = facesOf(model, HEADING + turn);
      const { index } = model.details[0];
      const scale = Math.min(width, height) * 0.92;
      const [x, y] = [width / 2, height / 2];
      context.lineWidth = 0.6;
      for (const t of order) {
        context.beginPath();
        for (let k = 0; k < 3; k++) {
          const v = index[t * 3 + k] * 3;
          context.lineTo(x + at[v] * scale, y - at[v + 1] * scale);
        }
        context.closePath();
        context.fillStyle = context.strokeStyle = colours[t];
        context.fill();
        // no seams between neighbours
        context.stroke();
      }
    },
    [model, turn],
  );
  return (
    <span
      className={styles.model}
      onPointerMove={({ currentTarget, clientX }) => {
        const { left, width } = currentTarget.getBoundingClientRect();
        setTurn((clientX - left) / width - 0.5);
      }}
      onPointerLeave={() => setTurn(0)}
    >
      <Canvas label={null} draw={draw} />
    </span>
  );
}
