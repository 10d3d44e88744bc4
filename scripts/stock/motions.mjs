// Writes the motions that ship, as BVH: a figure that walks, one that tumbles, one that stands still. Legs reach for where the feet are (two bones and
// the cosine rule), so feet that stand do not slide; all else are curves over the time of a step or a leap.
//   node scripts/stock/motions.mjs [NAME…]
import { createHash } from 'node:crypto';
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { modulesOf } from '../modules.mjs';
import { root } from '../run.mjs';

/** @typedef {[number, number, number]} Vec3 @typedef {[number, number, number, number]} Turn */

const vite = await modulesOf();
const { add, cross, fromAxis, fromColumns, inverse, multiply, normalize, rotate, scale, subtract } =
  await vite.ssrLoadModule('/src/core/space/vector.ts');

const RATE = 60;
const [THIGH, SHIN] = [0.43, 0.41];
/** from the ankle to the ball of the foot */
const BALL = /** @type {Vec3} */ ([0, -0.055, 0.125]);

/** Joints: name, the joint before, metres from it as the figure stands; it faces z, its left is x. @type {[string, string | null, Vec3][]} */
const JOINTS = [
  ['Hips', null, [0, 0, 0]],
  ['Spine', 'Hips', [0, 0.11, -0.005]],
  ['Chest', 'Spine', [0, 0.19, 0.005]],
  ['Neck', 'Chest', [0, 0.235, -0.01]],
  ['Head', 'Neck', [0, 0.095, 0.015]],
  ['Head end', 'Head', [0, 0.2, 0.01]],
  ...['Left', 'Right'].flatMap((side) => {
    const s = side === 'Left' ? 1 : -1;
    /** @type {[string, string | null, Vec3][]} */
    const limbs = [
      [`${side} shoulder`, 'Chest', [0.035 * s, 0.19, 0]],
      [`${side} arm`, `${side} shoulder`, [0.14 * s, -0.015, 0]],
      [`${side} forearm`, `${side} arm`, [0.015 * s, -0.285, 0]],
      [`${side} hand`, `${side} forearm`, [0.005 * s, -0.25, 0.005]],
      [`${side} hand end`, `${side} hand`, [0, -0.17, 0.01]],
      [`${side} leg`, 'Hips', [0.092 * s, -0.045, 0]],
      [`${side} shin`, `${side} leg`, [0, -THIGH, 0]],
      [`${side} foot`, `${side} shin`, [0, -SHIN, 0]],
      [`${side} toe`, `${side} foot`, BALL],
      [`${side} toe end`, `${side} toe`, [0, 0, 0.07]],
    ];
    return limbs;
  }),
];
const offsetOf = (/** @type {string} */ joint) => JOINTS.find(([name]) => name === joint)?.[2] ?? [0, 0, 0];

const about = (/** @type {Vec3} */ axis, /** @type {number} */ degrees) => fromAxis(axis, (degrees * Math.PI) / 180);
const [X, Y, Z] = /** @type {Vec3[]} */ ([
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
]);
/** Leaning forward, turning to the left, then leaning to the right, in degrees. */
const turned = (forward = 0, left = 0, right = 0) =>
  multiply(multiply(about(Y, left), about(X, forward)), about(Z, -right));

/** A curve through places of a time that is wrapped or not, level at each: [time, value]. @param {[number, number][]} keys @param {number} at */
function along(keys, at) {
  if (at <= keys[0][0]) return keys[0][1];
  for (let i = 1; i < keys.length; i++) {
    const [[t0, v0], [t1, v1]] = [keys[i - 1], keys[i]];
    if (at > t1) continue;
    const u = (at - t0) / (t1 - t0);
    return v0 + (v1 - v0) * u * u * (3 - 2 * u);
  }
  return keys[keys.length - 1][1];
}
/** A curve through places of a time that goes round, smooth at each. @param {[number, number][]} keys @param {number} at 0..1 */
function around(keys, at) {
  const n = keys.length;
  const key = (/** @type {number} */ i) => {
    const [t, v] = keys[((i % n) + n) % n];
    return [t + Math.floor(i / n), v];
  };
  let i = 0;
  while (i < n && key(i)[0] <= at) i++;
  const [p0, p1, p2, p3] = [key(i - 2), key(i - 1), key(i), key(i + 1)];
  const u = (at - p1[0]) / (p2[0] - p1[0]);
  const m1 = ((p2[1] - p0[1]) / (p2[0] - p0[0])) * (p2[0] - p1[0]);
  const m2 = ((p3[1] - p1[1]) / (p3[0] - p1[0])) * (p2[0] - p1[0]);
  const [u2, u3] = [u * u, u * u * u];
  return p1[1] * (2 * u3 - 3 * u2 + 1) + m1 * (u3 - 2 * u2 + u) + p2[1] * (3 * u2 - 2 * u3) + m2 * (u3 - u2);
}

/** The turns of a leg's bones in the world, for its foot to be somewhere. @param {Vec3} hip @param {Vec3} ankle @param {Vec3} front the way the knee bends */
function reaching(hip, ankle, front) {
  const way = subtract(ankle, hip);
  const far = Math.min(Math.hypot(...way), (THIGH + SHIN) * 0.9995);
  const down = normalize(way);
  const side = normalize(cross(down, front));
  const ahead = cross(side, down);
  // the cosine rule: the angle at the hip between the way and the thigh
  const bend = Math.acos(Math.max(-1, Math.min(1, (THIGH ** 2 + far ** 2 - SHIN ** 2) / (2 * THIGH * far))));
  const thigh = add(scale(down, Math.cos(bend)), scale(ahead, Math.sin(bend)));
  const shin = normalize(subtract(scale(down, far), scale(thigh, THIGH)));
  /** a bone that hangs down at rest, turned along a way */
  const boneTurn = (/** @type {Vec3} */ along_) => {
    const y = scale(along_, -1);
    const x = scale(side, -1);
    return fromColumns(x, y, cross(x, y));
  };
  return { thigh: boneTurn(thigh), shin: boneTurn(shin) };
}

/** @typedef {{ at: Vec3; turns: Record<string, Turn> }} Stance where the hips are and how the joints are turned in the space of those before them */

/** A pose whose feet are where they should be. @param {Stance} stance @param {Record<'Left' | 'Right', { ankle: Vec3; pitch: number }>} feet */
function standing(stance, feet) {
  const hips = stance.turns.Hips;
  for (const side of /** @type {const} */ (['Left', 'Right'])) {
    const { ankle, pitch } = feet[side];
    const hip = add(stance.at, rotate(hips, offsetOf(`${side} leg`)));
    const { thigh, shin } = reaching(hip, ankle, rotate(about(Y, 0), Z));
    const foot = about(X, pitch);
    stance.turns[`${side} leg`] = multiply(inverse(hips), thigh);
    stance.turns[`${side} shin`] = multiply(inverse(thigh), shin);
    stance.turns[`${side} foot`] = multiply(inverse(shin), foot);
    // toes that are on the ground stay flat on it
    stance.turns[`${side} toe`] = about(X, -Math.max(0, pitch) * 0.75);
  }
  return stance;
}

/** Where an ankle is that stands on the ball of its foot, or on its heel. @param {Vec3} ball @param {number} pitch degrees its heel is raised */
const ankleOver = (ball, pitch) => {
  const foot = rotate(about(X, pitch), BALL);
  // on its heel the ball is off the ground
  const lifted = pitch < 0 ? 0.19 * Math.sin((-pitch * Math.PI) / 180) : 0;
  return /** @type {Vec3} */ (add(subtract(ball, foot), [0, lifted, 0]));
};

/** Walking: four steps' pairs of 1.05 s, no two quite alike, going ahead and a little to one side. */
function walking() {
  const [period, stride, pairs] = [1.05, 1.3, 5];
  const stands = 0.61;
  /** @type {Stance[]} */
  const frames = [];
  for (let f = 0; f <= period * pairs * RATE; f++) {
    const t = f / RATE / period;
    // what makes no two alike
    const mood = Math.sin(t * 2.17 + 0.4);
    const drift = 0.02 * Math.sin(t * 1.3) + 0.012 * t;
    const wave = (/** @type {number} */ times, late = 0) => Math.cos(2 * Math.PI * (times * t - late));
    /** @type {Vec3} */
    const at = [
      drift + 0.022 * wave(1, 0.31),
      0.893 + 0.017 * wave(2, 0.31) + 0.003 * mood,
      stride * (t + 0.006 * wave(2, 0.1)),
    ];
    const yaw = 6.5 * wave(1, 0.02);
    const hips = turned(3, yaw, 2.2 * wave(1, 0.3));
    /** @param {number} late */
    const foot = (late) => {
      const p = t - late;
      const step = Math.floor(p);
      const u = p - step;
      const side = late === 0 ? 1 : -1;
      const from = stride * (step + late + 0.235);
      const pitch = around(
        [
          [0, -17],
          [0.07, -3],
          [0.14, 0],
          [0.3, 0],
          [0.44, 12],
          [0.55, 38],
          [0.62, 57],
          [0.72, 48],
          [0.84, 10],
          [0.94, -15],
        ],
        u,
      );
      const swing = Math.max(0, (u - stands) / (1 - stands));
      const ease = swing * swing * (3 - 2 * swing);
      const high = 0.005 + 0.035 * Math.sin(Math.PI * Math.min(1, swing * 1.1)) ** 2;
      const ball = /** @type {Vec3} */ ([drift + side * (0.062 + 0.004 * mood), high, from + stride * ease]);
      return { ankle: ankleOver(ball, pitch), pitch };
    };
    const arm = (/** @type {number} */ s) => {
      const swing = s * wave(1, 0.03);
      return {
        [`${s > 0 ? 'Left' : 'Right'} shoulder`]: turned(0, -3 * swing * s, 0),
        [`${s > 0 ? 'Left' : 'Right'} arm`]: turned(-23 * swing + 4, 0, -5 * s),
        [`${s > 0 ? 'Left' : 'Right'} forearm`]: turned(-24 - 13 * swing - 2 * mood, 0, 3 * s),
        [`${s > 0 ? 'Left' : 'Right'} hand`]: turned(-6 - 5 * swing, 0, 0),
      };
    };
    frames.push(
      standing(
        {
          at,
          turns: {
            Hips: hips,
            Spine: turned(1.5, -0.7 * yaw, 1.2 * -wave(1, 0.3)),
            Chest: turned(1, -1.1 * yaw, -0.8 * wave(1, 0.3)),
            Neck: turned(3 + mood, 0.35 * yaw, 0),
            Head: turned(-6 + 1.4 * wave(2, 0.4), 0.4 * yaw + 3 * mood, 0),
            // the left foot is ahead at 0, the right arm with it
            ...arm(1),
            ...arm(-1),
          },
        },
        { Left: foot(0), Right: foot(0.5) },
      ),
    );
  }
  return frames;
}

/** Tumbling: a crouch, a leap, one turn head over heels with the knees drawn up, a landing, and up again; three of them. */
function tumbling() {
  const [period, way, times] = [2.1, 1.25, 3];
  const [leaves, lands] = [0.26, 0.61];
  /** @type {Stance[]} */
  const frames = [];
  for (let f = 0; f <= period * times * RATE; f++) {
    const whole = f / RATE / period;
    const step = Math.floor(whole);
    const p = whole - step;
    const mood = Math.sin(whole * 2.3 + 1);
    const airborne = p > leaves && p < lands;
    const u = (p - leaves) / (lands - leaves);
    // hips: low before the leap and after it, a parabola between
    const ground = along(
      [
        [0, 0.87],
        [0.16, 0.5],
        [leaves, 0.95],
        [lands, 0.93],
        [0.72, 0.47],
        [0.93, 0.86],
        [1, 0.87],
      ],
      p,
    );
    const high = airborne ? 0.95 + (0.93 - 0.95) * u + 4 * (0.64 + 0.02 * mood) * u * (1 - u) : ground;
    const tuck = along(
      [
        [leaves + 0.03, 0],
        [leaves + 0.13, 1],
        [lands - 0.12, 1],
        [lands - 0.005, 0],
      ],
      p,
    );
    const lean = along(
      [
        [0, 6],
        [0.15, 44],
        [leaves, 4],
        [leaves + 0.06, 14],
        [lands - 0.03, 4],
        [0.72, 40],
        [0.94, 7],
        [1, 6],
      ],
      p,
    );
    const spin =
      360 *
      along(
        [
          [leaves - 0.005, 0],
          [leaves + 0.1, 0.16],
          [lands - 0.11, 0.86],
          [lands + 0.02, 1],
        ],
        p,
      );
    const ahead =
      along(
        [
          [leaves - 0.09, 0],
          [leaves, 0.1],
          [lands, 1.1],
          [lands + 0.12, way],
          [1, way],
        ],
        p,
      ) +
      way * step;
    const drift = 0.05 * Math.sin(whole * 1.1);
    /** @type {Vec3} */
    const at = [drift, high, ahead - 0.0016 * (1 - tuck) * lean];
    // in the air all of it turns; leaning is in the hips and the back
    const hips = multiply(about(Y, 4 * mood), turned(spin + lean * 0.45, 0, 0));
    const curl = 26 * tuck;
    const reach = along(
      [
        [0, 12],
        [0.13, 62],
        [leaves - 0.02, -150],
        [leaves + 0.05, -165],
        [leaves + 0.14, -62],
        [lands - 0.12, -62],
        [lands, -88],
        [0.74, -30],
        [0.95, 10],
        [1, 12],
      ],
      p,
    );
    const elbow = along(
      [
        [0, -14],
        [0.13, -8],
        [leaves, -14],
        [leaves + 0.14, -78],
        [lands - 0.12, -78],
        [lands, -16],
        [0.75, -22],
        [1, -14],
      ],
      p,
    );
    const out = along(
      [
        [0, 7],
        [0.13, 12],
        [leaves, 16],
        [leaves + 0.14, 10],
        [lands - 0.1, 10],
        [lands, 34],
        [0.75, 26],
        [1, 7],
      ],
      p,
    );
    /** @type {Stance} */
    const stance = {
      at,
      turns: {
        Hips: hips,
        Spine: turned(lean * 0.22 + curl, 0, 0),
        Chest: turned(lean * 0.14 + curl * 0.8, 0, 2 * mood),
        Neck: turned(curl * 0.8 - lean * 0.35, 0, 0),
        Head: turned(curl * 0.7 - lean * 0.4, 5 * mood, 0),
      },
    };
    for (const s of [1, -1]) {
      const side = s > 0 ? 'Left' : 'Right';
      stance.turns[`${side} shoulder`] = turned(0, 0, 0);
      stance.turns[`${side} arm`] = turned(reach + 3 * s * mood, 0, -out * s);
      stance.turns[`${side} forearm`] = turned(elbow, 0, 0);
      stance.turns[`${side} hand`] = turned(-6, 0, 0);
      stance.turns[`${side} leg`] = turned(-118 * tuck - 2, 0, -5 * s * tuck);
      stance.turns[`${side} shin`] = turned(128 * tuck + 4, 0, 0);
      stance.turns[`${side} foot`] = turned(24 * tuck + 18, 0, 0);
      stance.turns[`${side} toe`] = turned(0, 0, 0);
    }
    if (!airborne) {
      // on the ground before the leap or after it; leaving it on the toes
      const before = p <= leaves;
      const stood = way * (step + (before ? 0 : 1));
      const pitch = before
        ? along(
            [
              [leaves - 0.06, 0],
              [leaves, 46],
            ],
            p,
          )
        : along(
            [
              [lands, 30],
              [lands + 0.035, 0],
            ],
            p,
          );
      const foot = (/** @type {number} */ s) => ({
        ankle: ankleOver([drift * (before ? 1 : 1) + 0.1 * s, 0.005, stood + 0.075], pitch),
        pitch,
      });
      // what the legs are in the air they are no longer on the ground
      const own = standing({ at: stance.at, turns: { ...stance.turns } }, { Left: foot(1), Right: foot(-1) });
      stance.turns = own.turns;
    }
    frames.push(stance);
  }
  return smoothed(frames);
}

/** Legs that come off the ground, and to it, within a few frames. @param {Stance[]} frames */
function smoothed(frames) {
  const reach = 4;
  return frames.map((frame, f) => {
    const near = Array.from(
      { length: 2 * reach + 1 },
      (_, i) => frames[Math.min(frames.length - 1, Math.max(0, f + i - reach))],
    );
    const turns = Object.fromEntries(
      Object.entries(frame.turns).map(([joint, own]) => {
        const sum = [0, 0, 0, 0];
        near.forEach(({ turns: { [joint]: other } }, i) => {
          const weight =
            (1 - Math.abs(i - reach) / (reach + 1)) * (other.reduce((s, v, k) => s + v * own[k], 0) < 0 ? -1 : 1);
          for (let k = 0; k < 4; k++) sum[k] += other[k] * weight;
        });
        const long = Math.hypot(...sum);
        return [joint, /** @type {Turn} */ (sum.map((v) => v / long))];
      }),
    );
    return { at: frame.at, turns };
  });
}

/** Standing, at ease, for one frame. */
const mannequin = () => {
  /** @type {Record<string, Turn>} */
  const turns = { Hips: turned(0, 0, 0), Head: turned(-1, 0, 0) };
  for (const s of [1, -1]) {
    const side = s > 0 ? 'Left' : 'Right';
    turns[`${side} arm`] = turned(2, 0, -9 * s);
    turns[`${side} forearm`] = turned(-9, 0, 2 * s);
    turns[`${side} leg`] = turned(0, 0, -2.5 * s);
    turns[`${side} foot`] = turned(0, 6 * s, 2.5 * s);
  }
  return [{ at: /** @type {Vec3} */ ([0, 0.945, 0]), turns }];
};

/** Turns about z, then x, then y, in degrees, whose product is a rotation. @param {Turn} q @param {number} before about z, to go on from */
function eulers([x, y, z, w], before) {
  const sine = Math.max(-1, Math.min(1, 2 * (y * z + x * w)));
  const third = [
    Math.atan2(2 * (z * w - x * y), 1 - 2 * (x * x + z * z)),
    Math.asin(sine),
    Math.atan2(2 * (y * w - x * z), 1 - 2 * (x * x + y * y)),
  ];
  void before;
  return third.map((v) => (v * 180) / Math.PI);
}

const MOTIONS = { walking, tumbling, mannequin };
const asked = process.argv.slice(2);
const folder = join(root, 'stock/motions');
mkdirSync(folder, { recursive: true });
for (const [name, make] of Object.entries(MOTIONS)) {
  if (asked.length > 0 && !asked.includes(name)) continue;
  const frames = make();
  const tree = (/** @type {string} */ joint, deep = 0) => {
    const pad = '\t'.repeat(deep);
    const end = joint.endsWith(' end');
    const kind = end ? 'End Site' : deep === 0 ? `ROOT ${joint}` : `JOINT ${joint}`;
    const place =
      deep === 0
        ? 'CHANNELS 6 Xposition Yposition Zposition Zrotation Xrotation Yrotation'
        : 'CHANNELS 3 Zrotation Xrotation Yrotation';
    /** @type {string} */
    const inside = JOINTS.filter(([, parent]) => parent === joint)
      .map(([own]) => tree(own, deep + 1))
      .join('');
    return `${pad}${kind}\n${pad}{\n${pad}\tOFFSET ${offsetOf(joint).join(' ')}\n${end ? '' : `${pad}\t${place}\n`}${inside}${pad}}\n`;
  };
  // in the order the tree is written
  /** @type {string[]} */
  const order = [];
  const visit = (/** @type {string} */ joint) => {
    if (joint.endsWith(' end')) return;
    order.push(joint);
    for (const [own, parent] of JOINTS) if (parent === joint) visit(own);
  };
  visit('Hips');
  const lines = frames.map(({ at, turns }) =>
    [
      ...at.map((v) => v.toFixed(5)),
      ...order.flatMap((joint) => eulers(turns[joint] ?? [0, 0, 0, 1], 0).map((v) => v.toFixed(3))),
    ].join(' '),
  );
  const text = `HIERARCHY\n${tree('Hips')}MOTION\nFrames: ${frames.length}\nFrame Time: ${(1 / RATE).toFixed(7)}\n${lines.join('\n')}\n`;
  const bytes = Buffer.from(text.replaceAll('-0.00000', '0.00000'));
  writeFileSync(join(folder, `${name}.bvh`), bytes);
  console.log(
    `${name}: ${frames.length} frames, ${bytes.length} bytes, ${createHash('sha256').update(bytes).digest('hex')}`,
  );
}
await vite.close();
