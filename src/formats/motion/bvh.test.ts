import { describe, expect, it } from 'vitest';
import { AnimationMixer, Group, LoopOnce, Quaternion, Vector3, type Bone } from 'three';
import { BVHLoader } from 'three/examples/jsm/loaders/BVHLoader.js';
import { poseOf } from '../../core/motion/pose';
import { Trouble } from '../../core/trouble';
import { wobblyBvh, type Orders } from '../../../tests/motions';
import { readBvh } from './bvh';

const read = (text: string, name = 'walk.bvh') => readBvh(new TextEncoder().encode(text), name);

describe('a motion file', () => {
  it.each<Orders>(['ZXY', 'ZYX', 'XYZ', 'YXZ'])(
    'with turns in the order %s has every joint of every frame where three has it',
    (order) => {
      const text = wobblyBvh({ order, frames: 12 });
      const motion = read(text);
      const { clip, skeleton } = new BVHLoader().parse(text);
      const root = new Group().add(skeleton.bones[0]);
      const mixer = new AnimationMixer(root);
      const action = mixer.clipAction(clip, skeleton.bones[0]).setLoop(LoopOnce, 1);
      action.clampWhenFinished = true;
      action.play();
      expect(motion.joints.map(({ parent }) => parent)).toEqual(
        skeleton.bones.map(({ parent }) => skeleton.bones.indexOf(parent as Bone)),
      );
      for (let frame = 0; frame < 12; frame++) {
        mixer.setTime(frame * motion.step);
        root.updateMatrixWorld(true);
        const pose = poseOf(motion, frame);
        skeleton.bones.forEach((bone, j) => {
          const at = bone.getWorldPosition(new Vector3()).toArray();
          at.forEach((v, k) => expect(pose.places[j * 3 + k]).toBeCloseTo(v, 3));
          const turn = bone.getWorldQuaternion(new Quaternion());
          const [x, y, z, w] = pose.turns.subarray(j * 4, j * 4 + 4);
          expect(Math.abs(turn.x * x + turn.y * y + turn.z * z + turn.w * w)).toBeCloseTo(1, 5);
        });
      }
    },
  );

  it('whose joints say their whole place in each frame has them there, and not twice as far', () => {
    const offset = [0, 0.5, 0.1];
    const text = (moved: readonly number[]): string =>
      `HIERARCHY\nROOT hips\n{\nOFFSET 0 0 0\nCHANNELS 3 Xposition Yposition Zposition\nJOINT head\n{\nOFFSET ${offset.join(' ')}\nCHANNELS 3 Xposition Yposition Zposition\n}\n}\nMOTION\nFrames: 1\nFrame Time: 0.1\n1 2 3 ${moved.join(' ')}\n`;
    expect([...poseOf(read(text(offset)), 0).places.subarray(3)].map((v) => Number(v.toFixed(6)))).toEqual([
      1, 2.5, 3.1,
    ]);
    expect([...poseOf(read(text([0, 0, 0])), 0).places.subarray(3)].map((v) => Number(v.toFixed(6)))).toEqual([
      1, 2.5, 3.1,
    ]);
  });

  it('may have lines that end in any way, any case, tabs, and names of several words', () => {
    const text = wobblyBvh({ frames: 2 });
    const other = text
      .replaceAll('\n', '\r\n')
      .replace('ROOT ', 'root ')
      .replaceAll('  ', '\t')
      .replace('JOINT Head', 'JOINT Head of it');
    const motion = read(other);
    expect([...motion.turns]).toEqual([...read(text).turns]);
    expect(motion.joints.map(({ name }) => name)).toContain('Head of it');
  });

  const good = wobblyBvh({ frames: 3 });
  it.each([
    ['nothing', '', 'line 1: it does not begin with HIERARCHY'],
    ['no joints', 'HIERARCHY\nMOTION', 'it has no joints'],
    ['an end too early', good.slice(0, good.indexOf('MOTION')), 'it ends before its motion begins'],
    ['frames that are missing', good.trimEnd().split('\n').slice(0, -1).join('\n'), 'it ends in frame 3 of 3'],
    ['frames too many', `${good}1 2 3`, 'there is more after its 3 frames'],
    [
      'a word in place of a number',
      good.replace(/OFFSET 0/, 'OFFSET nought'),
      'its offset should be a number, not “nought”',
    ],
    ['a number that is none', good.trimEnd().replace(/\S+$/, 'NaN'), '“NaN” is no number that can be used'],
    ['a number beyond all use', good.trimEnd().replace(/\S+$/, '1e99'), '“1e99” is no number that can be used'],
    [
      'joints that are all at one place',
      good.replaceAll(/OFFSET .*/g, 'OFFSET 0 0 0'),
      'all its joints are at one place',
    ],
    ['no time', good.replace(/Frame Time: \S+/, 'Frame Time: 0'), 'a frame should last up to ten seconds'],
    ['a channel that is not known', good.replace('Xposition', 'Xscale'), '“Xscale” is no channel'],
  ])('with %s is refused in words', (_, text, words) => {
    let said: unknown = null;
    try {
      read(text);
    } catch (error) {
      said = error;
    }
    expect(said).toBeInstanceOf(Trouble);
    expect((said as Trouble).message).toContain('“walk.bvh” is not a motion that can be used');
    expect((said as Trouble).message).toContain(words);
  });
});
