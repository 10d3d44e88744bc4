// Shapes that models are put together from: triangles with places on a picture, moved, turned and joined. Their normals follow from them.

/**
 * @typedef {[number, number, number]} Vec3
 * @typedef {{ position: number[], uv: number[], index: number[] }} Shape
 */
const TURN = 2 * Math.PI;

/** @param {Shape[]} shapes @returns {Shape} */
export function joined(...shapes) {
  /** @type {Shape} */
  const out = { position: [], uv: [], index: [] };
  for (const { position, uv, index } of shapes) {
    const first = out.position.length / 3;
    for (const v of position) out.position.push(v);
    for (const v of uv) out.uv.push(v);
    for (const v of index) out.index.push(first + v);
  }
  return out;
}

/** @param {Shape} shape @param {(p: Vec3) => Vec3} to @returns {Shape} */
const movedBy = ({ position, uv, index }, to) => {
  const out = [];
  for (let i = 0; i < position.length; i += 3) out.push(...to([position[i], position[i + 1], position[i + 2]]));
  return { position: out, uv, index };
};

/** @param {Shape} shape @param {number} x @param {number} y @param {number} z */
export const moved = (shape, x, y, z) => movedBy(shape, (p) => [p[0] + x, p[1] + y, p[2] + z]);

/** @param {Shape} shape @param {number} x @param {number} y @param {number} z all above 0 */
export const scaled = (shape, x, y = x, z = x) => movedBy(shape, (p) => [p[0] * x, p[1] * y, p[2] * z]);

/** Turned about an axis by a share of a turn. @param {Shape} shape @param {'x' | 'y' | 'z'} axis @param {number} turns */
export const turned = (shape, axis, turns) => {
  const [s, c] = [Math.sin(turns * TURN), Math.cos(turns * TURN)];
  const [a, b] = { x: [1, 2], y: [2, 0], z: [0, 1] }[axis];
  return movedBy(shape, (p) => {
    const out = /** @type {Vec3} */ ([...p]);
    out[a] = p[a] * c - p[b] * s;
    out[b] = p[a] * s + p[b] * c;
    return out;
  });
};

/** So many times around the upright axis. @param {number} count @param {(i: number) => Shape} each */
export const around = (count, each, axis = /** @type {'x' | 'y' | 'z'} */ ('y')) =>
  joined(...Array.from({ length: count }, (_, i) => turned(each(i), axis, i / count)));

/** An outline with its corners rounded by arcs. @param {number[][]} outline x, y and the radius there @param {boolean} closed */
export function rounded(outline, closed = false, steps = 4) {
  /** @type {number[][]} */
  const out = [];
  outline.forEach(([x, y, radius = 0], i) => {
    const before = outline[i - 1] ?? (closed ? outline[outline.length - 1] : null);
    const after = outline[i + 1] ?? (closed ? outline[0] : null);
    if (!before || !after || radius === 0) {
      out.push([x, y]);
      return;
    }
    const toward = (/** @type {number[]} */ p) => {
      const far = Math.hypot(p[0] - x, p[1] - y);
      return [(p[0] - x) / far, (p[1] - y) / far, far];
    };
    const [u, v] = [toward(before), toward(after)];
    const half = Math.acos(Math.max(-1, Math.min(1, u[0] * v[0] + u[1] * v[1]))) / 2;
    const back = Math.min(radius / Math.tan(half), u[2] * 0.49, v[2] * 0.49);
    const r = back * Math.tan(half);
    const mid = [u[0] + v[0], u[1] + v[1]];
    const long = Math.hypot(mid[0], mid[1]) || 1;
    const heart = [x + (mid[0] / long) * (r / Math.sin(half)), y + (mid[1] / long) * (r / Math.sin(half))];
    const angle = (/** @type {number[]} */ p) => Math.atan2(y + p[1] * back - heart[1], x + p[0] * back - heart[0]);
    const from = angle(u);
    let sweep = angle(v) - from;
    if (sweep > Math.PI) sweep -= TURN;
    if (sweep < -Math.PI) sweep += TURN;
    for (let k = 0; k <= steps; k++)
      out.push([
        heart[0] + r * Math.cos(from + (sweep * k) / steps),
        heart[1] + r * Math.sin(from + (sweep * k) / steps),
      ]);
  });
  return out;
}

/** Turned on a lathe. @param {number[][]} outline distance from the axis, height, and the radius it is rounded by; from below up @returns {Shape} */
export function lathe(outline, sides = 40, steps = 4) {
  const points = rounded(outline, false, steps);
  /** @type {Shape} */
  const out = { position: [], uv: [], index: [] };
  let length = 0;
  points.forEach(([r, y], j) => {
    if (j > 0) length += Math.hypot(r - points[j - 1][0], y - points[j - 1][1]);
    for (let i = 0; i <= sides; i++) {
      const at = ((i % sides) / sides) * TURN;
      out.position.push(r * Math.sin(at), y, r * Math.cos(at));
      out.uv.push(i / sides, length);
    }
  });
  const row = sides + 1;
  for (let j = 0; j + 1 < points.length; j++)
    for (let i = 0; i < sides; i++) {
      const [a, b, c, d] = [j * row + i, j * row + i + 1, (j + 1) * row + i + 1, (j + 1) * row + i];
      if (points[j][0] > 1e-9) out.index.push(a, b, c);
      if (points[j + 1][0] > 1e-9) out.index.push(a, c, d);
    }
  return out;
}

const sub = (/** @type {Vec3} */ a, /** @type {Vec3} */ b) => /** @type {Vec3} */ (a.map((v, k) => v - b[k]));
const cross = (/** @type {Vec3} */ a, /** @type {Vec3} */ b) =>
  /** @type {Vec3} */ ([a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]]);
const dot = (/** @type {Vec3} */ a, /** @type {Vec3} */ b) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const unit = (/** @type {Vec3} */ a) => /** @type {Vec3} */ (a.map((v) => v / (Math.hypot(...a) || 1)));

/**
 * A bar along points, round or of any thickness by where it is.
 * @param {Vec3[]} points @param {(along: number) => number} radius by the share of its length @returns {Shape}
 */
export function tube(points, radius, { sides = 12, closed = false } = {}) {
  /** @type {Shape} */
  const out = { position: [], uv: [], index: [] };
  const count = points.length;
  const ways = points.map((p, i) => {
    const before = points[i - 1] ?? (closed ? points[count - 1] : p);
    const after = points[i + 1] ?? (closed ? points[0] : p);
    return unit(sub(after, before));
  });
  /** @type {Vec3} */
  let side = Math.abs(ways[0][1]) < 0.9 ? [0, 1, 0] : [1, 0, 0];
  side = unit(sub(side, /** @type {Vec3} */ (ways[0].map((v) => v * dot(side, ways[0])))));
  const rows = closed ? count + 1 : count;
  for (let j = 0; j < rows; j++) {
    const at = j % count;
    side = unit(sub(side, /** @type {Vec3} */ (ways[at].map((v) => v * dot(side, ways[at])))));
    const other = cross(ways[at], side);
    const r = radius(j / (rows - 1));
    for (let i = 0; i <= sides; i++) {
      const turn = ((i % sides) / sides) * TURN;
      const [c, s] = [Math.cos(turn) * r, Math.sin(turn) * r];
      out.position.push(...points[at].map((v, k) => v + side[k] * c + other[k] * s));
      out.uv.push(i / sides, j / (rows - 1));
    }
  }
  const row = sides + 1;
  for (let j = 0; j + 1 < rows; j++)
    for (let i = 0; i < sides; i++) {
      const [a, b, c, d] = [j * row + i, j * row + i + 1, (j + 1) * row + i + 1, (j + 1) * row + i];
      out.index.push(a, b, c, a, c, d);
    }
  if (!closed)
    for (const [j, last] of [
      [0, false],
      [rows - 1, true],
    ].map(([j, last]) => /** @type {[number, boolean]} */ ([Number(j), last === true]))) {
      const heart = out.position.push(...points[j]) / 3 - 1;
      out.uv.push(0.5, j / (rows - 1));
      for (let i = 0; i < sides; i++) {
        const [a, b] = [j * row + i, j * row + i + 1];
        out.index.push(...(last ? [heart, a, b] : [heart, b, a]));
      }
    }
  return out;
}

/** Points of a circle or a part of one, about the axis z. @param {number} radius @returns {Vec3[]} */
export const arc = (radius, from = 0, to = 1, steps = 32, open = to - from < 1) =>
  Array.from({ length: steps + (open ? 1 : 0) }, (_, i) => {
    const at = (from + ((to - from) * i) / steps) * TURN;
    return /** @type {Vec3} */ ([radius * Math.cos(at), radius * Math.sin(at), 0]);
  });

/** A ring about the axis z. */
export const ring = (/** @type {number} */ radius, /** @type {number} */ thick, steps = 48, sides = 12) =>
  tube(arc(radius, 0, 1, steps, false), () => thick, { closed: true, sides });

/**
 * An outline that is given depth, its front and back edges bevelled. The outline is convex or nearly so, and runs counter-clockwise.
 * @param {number[][]} outline @param {number} depth @param {number} bevel @returns {Shape}
 */
export function slab(outline, depth, bevel = 0) {
  /** @type {Shape} */
  const out = { position: [], uv: [], index: [] };
  const count = outline.length;
  const inward = outline.map(([x, y], i) => {
    const [px, py] = outline[(i + count - 1) % count];
    const [nx, ny] = outline[(i + 1) % count];
    const edge = (/** @type {number} */ ax, /** @type {number} */ ay) => {
      const far = Math.hypot(ax, ay) || 1;
      return [-ay / far, ax / far];
    };
    const [a, b] = [edge(x - px, y - py), edge(nx - x, ny - y)];
    const sum = [a[0] + b[0], a[1] + b[1]];
    const scale = 2 / Math.max(0.3, sum[0] ** 2 + sum[1] ** 2);
    return [sum[0] * scale, sum[1] * scale];
  });
  const rows = [
    [bevel, -depth / 2],
    [0, -depth / 2 + bevel],
    [0, depth / 2 - bevel],
    [bevel, depth / 2],
  ];
  for (const [by, z] of rows)
    outline.forEach(([x, y], i) => {
      out.position.push(x + inward[i][0] * by, y + inward[i][1] * by, z);
      out.uv.push(x, y);
    });
  for (let j = 0; j < 3; j++)
    for (let i = 0; i < count; i++) {
      const k = (i + 1) % count;
      const [a, b, c, d] = [j * count + i, j * count + k, (j + 1) * count + k, (j + 1) * count + i];
      out.index.push(a, b, c, a, c, d);
    }
  for (let i = 1; i + 1 < count; i++) {
    out.index.push(0, i + 1, i);
    out.index.push(3 * count, 3 * count + i, 3 * count + i + 1);
  }
  return out;
}

/** A box about the origin. */
export const block = (
  /** @type {number} */ w,
  /** @type {number} */ h,
  /** @type {number} */ d,
  bevel = Math.min(w, h, d) * 0.12,
) =>
  slab(
    rounded(
      [
        [-w / 2, -h / 2, bevel],
        [w / 2, -h / 2, bevel],
        [w / 2, h / 2, bevel],
        [-w / 2, h / 2, bevel],
      ],
      true,
      2,
    ),
    d,
    bevel * 0.7,
  );

/** A wheel or a pin along the axis z. */
export const disc = (/** @type {number} */ radius, /** @type {number} */ depth, bevel = depth * 0.15, sides = 36) =>
  slab(
    arc(radius, 0, 1, sides, false).map(([x, y]) => [x, y]),
    depth,
    bevel,
  );
