export type Orders = 'ZXY' | 'ZYX' | 'XYZ' | 'YXZ';

interface Wobble {
  order?: Orders;
  frames: number;
  /** frames it takes to come back to a pose */
  period?: number;
  /** how far it goes in a frame */
  pace?: number;
  /** degrees it turns to the left in a frame */
  turning?: number;
}

const JOINTS = ['Hips', 'Chest', 'Head', 'LeftArm', 'RightArm', 'LeftLeg', 'RightLeg'] as const;

/** A small figure that wobbles all over, by sines of periods of its own; walks along z at a pace. */
export function wobblyBvh({ order = 'ZXY', frames, period = 17, pace = 0.05, turning = 0 }: Wobble): string {
  const channels = `CHANNELS 3 ${[...order].map((axis) => `${axis}rotation`).join(' ')}`;
  const end = '      End Site\n      {\n        OFFSET 0 0.3 0.02\n      }\n';
  const joint = (name: string, offset: string, inside: string): string =>
    `  JOINT ${name}\n  {\n    OFFSET ${offset}\n    ${channels}\n${inside}  }\n`;
  const head = joint('Head', '0.02 0.5 0', end);
  const arms = joint('LeftArm', '0.3 0.4 0', end) + joint('RightArm', '-0.3 0.4 0.01', end);
  const legs = joint('LeftLeg', '0.12 -0.45 0', end) + joint('RightLeg', '-0.12 -0.45 0', end);
  const tree = `ROOT Hips\n{\n  OFFSET 0 0 0\n  ${channels.replace('3', '6').replace('CHANNELS 6', 'CHANNELS 6 Xposition Yposition Zposition')}\n${joint('Chest', '0 0.3 0', head + arms)}${legs}}\n`;
  const lines = Array.from({ length: frames }, (_, f) => {
    const at = (2 * Math.PI * f) / period;
    const heading = (turning * f * Math.PI) / 180;
    const radius = turning === 0 ? 0 : pace / ((turning * Math.PI) / 180);
    const root = turning === 0 ? [0, 1, pace * f] : [radius * (1 - Math.cos(heading)), 1, radius * Math.sin(heading)];
    root[1] += 0.05 * Math.sin(2 * at);
    const angles = JOINTS.flatMap((_, j) =>
      [...order].map(
        (axis, k) => (j === 0 && axis === 'Y' ? turning * f : 0) + (8 + 5 * j) * Math.sin(at + j * 1.3 + k * 2.1),
      ),
    );
    return [...root, ...angles].map((v) => v.toFixed(6)).join(' ');
  });
  return `HIERARCHY\n${tree}MOTION\nFrames: ${frames}\nFrame Time: 0.04\n${lines.join('\n')}\n`;
}
