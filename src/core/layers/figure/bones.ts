import type { Motion } from '../../motion/motion';
import { heldBy } from '../../motion/motion';
import { fillPose, heightOf, newPose } from '../../motion/pose';
import { orderedPoint } from '../../random/order.gen';
import { RF } from '../../kernel/scratch';
import { fromColumns, cross, length, normalize, type Quaternion, type Vec3 } from '../../space/vector';

/** The bone that ends at a joint, as shares of the figure's height. */
export interface Bone {
  joint: number;
  length: number;
  /** its radius where it begins, and at its joint */
  radii: readonly [number, number];
  /** of its length what its body leaves free where it begins and at its joint: a head is round in the middle of its bone */
  inset: readonly [number, number];
  /** how wide and how deep it is beside that */
  across: readonly [number, number];
  /** its upright (0, 1, 0), turned to where it runs, in the space of the joint that it begins at */
  turn: Quaternion;
}

/** Of its length a limb's radius where it begins and where it ends, and the least and the most that may be of the height. */
const LIMB = { first: 0.19, last: 0.135, least: 0.0095, most: 0.05 };
/** The same of what joins a branching joint and a limb that is longer: half as thick again as the limb begins. */
const SHORT = 0.13;
/** What carries the head and the arms: as wide as that of the height, wider where it branches and narrow at the neck, and flatter than wide. */
const TRUNK = { radius: 0.056, wide: 0.066, neck: 0.03, across: [1.34, 0.9] } as const;
const HEAD = { radius: 0.48, across: [0.86, 1], inset: [0.42, 0.42] } as const;
const NO_INSET = [0, 0] as const;
const EVEN = [1, 1] as const;

/** The least turn that takes upright to a direction. */
function uprightTo(direction: Vec3): Quaternion {
  const y = normalize(direction);
  // forwards stays forwards as well as it can, so what is flat lies flat
  const front: Vec3 = Math.abs(y[2]) < 0.9 ? [0, 0, 1] : [0, 1, 0];
  const x = normalize(cross(y, front));
  return fromColumns(x, y, cross(x, y));
}

/** The bones of a figure, one for each joint that hangs on another and lies away from it. */
export function bonesOf(motion: Pick<Motion, 'joints'>): Bone[] {
  const { joints } = motion;
  const height = heightOf(motion);
  const lengths = joints.map(({ parent, offset }) => (parent < 0 ? 0 : length(offset) / height));
  const branches = joints.map((_, j) => heldBy(motion, j).filter((k) => lengths[k] > 0).length > 1);
  const rest = newPose(joints.length);
  fillPose(
    rest,
    joints,
    joints.flatMap(() => [0, 0, 0, 1]),
    joints.flatMap(({ offset }) => offset),
  );
  const highest = joints.reduce((best, _, j) => (rest.places[j * 3 + 1] > rest.places[best * 3 + 1] ? j : best), 0);
  /** joints on the way from its root to its head, and the last of them that branches */
  const way: number[] = [];
  for (let j = highest; j >= 0; j = joints[j].parent) way.unshift(j);
  const lastBranch = way.filter((j) => branches[j]).at(-1) ?? -1;
  const trunk = new Set(way.slice(1, way.indexOf(lastBranch) + 2));
  const clamped = (v: number): number => Math.min(LIMB.most, Math.max(LIMB.least, v));
  return joints.flatMap(({ parent, offset }, joint): Bone[] => {
    const long = lengths[joint];
    if (parent < 0 || long < 1e-6) return [];
    const turn = uprightTo(offset);
    const made = (first: number, last: number, across: Bone['across'], inset: Bone['inset'] = NO_INSET): Bone[] => [
      { joint, length: long, radii: [first, last], inset, across, turn },
    ];
    if (joint === highest && joints[joint].end)
      return made(HEAD.radius * long * 0.92, HEAD.radius * long, HEAD.across, HEAD.inset);
    if (trunk.has(joint))
      return made(
        parent === lastBranch ? TRUNK.wide : TRUNK.radius,
        parent === lastBranch ? TRUNK.neck : joint === lastBranch ? TRUNK.wide : TRUNK.radius,
        TRUNK.across,
      );
    const next = Math.max(0, ...heldBy(motion, joint).map((k) => lengths[k]));
    const short = branches[parent] && long < SHORT && next > long;
    const [first, last] = [LIMB.first, LIMB.last].map((share) => clamped(share * (short ? next : long)));
    return short ? made(first * 1.15, first, EVEN) : made(first, last, EVEN);
  });
}

/**
 * Particles on and around bones, of which any first ones are a fair sample.
 * @param around how far from the bones some get, as a share of the height
 * @returns for each where it is in the space of its bone, whose end is the origin, and the number of its joint
 */
export function placesOnBones(
  bones: readonly Bone[],
  count: number,
  girth: number,
  around: number,
  seed: number,
): Float64Array {
  const out = new Float64Array(Math.max(1, count) * 4);
  if (bones.length === 0) return out;
  const thick = ({ radii }: Bone): number => ((radii[0] + radii[1]) / 2) * girth + around / 2;
  const sums = bones.map((bone) => bone.length * thick(bone));
  for (let i = 1; i < sums.length; i++) sums[i] += sums[i - 1];
  const all = sums[sums.length - 1];
  for (let i = 0; i < count; i++) {
    orderedPoint(i, seed);
    const [u, v, w] = [RF[0], RF[1], RF[2]];
    const drawn = u * all;
    const b = Math.min(
      bones.length - 1,
      sums.findIndex((sum) => sum >= drawn),
    );
    const bone = bones[Math.max(0, b)];
    const along = (drawn - (b > 0 ? sums[b - 1] : 0)) / (bone.length * thick(bone));
    const angle = 2 * Math.PI * v;
    // more of them near than far
    const off = (bone.radii[0] + (bone.radii[1] - bone.radii[0]) * along) * girth + around * w * w;
    out.set(
      [
        Math.cos(angle) * off * bone.across[0],
        bone.length * (along - 1),
        Math.sin(angle) * off * bone.across[1],
        bone.joint,
      ],
      i * 4,
    );
  }
  return out;
}
