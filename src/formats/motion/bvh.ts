import { MOST_FRAMES, MOST_JOINTS, MOST_NUMBERS, type Joint, type Motion } from '../../core/motion/motion';
import { fromAxis, multiply, type Vec3 } from '../../core/space/vector';
import { Trouble } from '../../core/trouble';

const WOULD = 'Bring in a .bvh file: its joints, and a line of numbers for each frame.';
const CHANNEL = /^([xyz])(position|rotation)$/i;
const AXES: readonly Vec3[] = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
];

/** A number a frame has for a joint: along or about which axis. */
interface Channel {
  joint: number;
  axis: number;
  turns: boolean;
}

/** Words of a text one after another, and the line each is on, without a list of all of them. */
class Words {
  private at = 0;
  /** of the word that was read last, from 1 */
  line = 1;
  word = '';

  constructor(private readonly text: string) {}

  /** @returns the next word; empty at the end */
  next(): string {
    const { text } = this;
    while (this.at < text.length && text.charCodeAt(this.at) <= 32) {
      if (text.charCodeAt(this.at) === 10) this.line++;
      this.at++;
    }
    const from = this.at;
    while (this.at < text.length && text.charCodeAt(this.at) > 32) this.at++;
    return (this.word = text.slice(from, this.at));
  }

  /** The rest of the line, which may hold several words. */
  rest(): string {
    const end = this.text.indexOf('\n', this.at);
    const from = this.at;
    this.at = end < 0 ? this.text.length : end;
    return this.text.slice(from, this.at).trim();
  }
}

/** What numbers of a file are beyond is a mistake. */
const FARTHEST = 1e7;
const isUsable = (value: number): boolean => Math.abs(value) < FARTHEST;

/** The joints of a file, read from where `HIERARCHY` was, and the numbers that a frame has for them. */
function readJoints(words: Words, refuse: (what: string) => never): { joints: Joint[]; channels: Channel[] } {
  const joints: Joint[] = [];
  const channels: Channel[] = [];
  const open: number[] = [];
  const number = (what: string): number => {
    const value = Number(words.next());
    if (words.word === '' || !isUsable(value)) refuse(`${what} should be a number, not “${words.word.slice(0, 24)}”`);
    return value;
  };
  const begin = (name: string, end: boolean): void => {
    if (joints.length === MOST_JOINTS) refuse(`it has more than ${MOST_JOINTS} joints`);
    const parent = open.at(-1) ?? -1;
    if (end && parent < 0) refuse('an end hangs on no joint');
    if (words.next() !== '{') refuse(`“{” should follow “${name.slice(0, 40)}”`);
    joints.push({ name: name.slice(0, 80), parent, offset: [0, 0, 0], end });
    open.push(joints.length - 1);
  };
  for (;;) {
    const word = words.next().toUpperCase();
    const now = open.at(-1);
    if (word === 'MOTION' && now === undefined) break;
    if (word === '') refuse('it ends before its motion begins');
    if (word === 'ROOT' && now !== undefined) refuse('a root hangs on a joint');
    if (word === 'JOINT' && now === undefined) refuse('a joint hangs on nothing: it should be a root');
    if (word === 'ROOT' || word === 'JOINT') begin(words.rest() || `joint ${joints.length + 1}`, false);
    else if (word === 'END') {
      words.next();
      begin(`${now === undefined ? '' : joints[now].name} end`, true);
    } else if (now === undefined) refuse(`“${words.word.slice(0, 40)}” is not known`);
    else if (word === 'OFFSET') joints[now].offset = [number('its offset'), number('its offset'), number('its offset')];
    else if (word === 'CHANNELS') {
      const many = number('how many channels it has');
      if (!Number.isInteger(many) || many < 0 || many > 9) refuse('a joint has up to nine channels');
      for (let i = 0; i < many; i++) {
        const [, axis, what] = CHANNEL.exec(words.next()) ?? refuse(`“${words.word.slice(0, 40)}” is no channel`);
        channels.push({
          joint: now,
          axis: 'xyz'.indexOf(axis.toLowerCase()),
          turns: what.toLowerCase() === 'rotation',
        });
      }
    } else if (word === '}') open.pop();
    else refuse(`“${words.word.slice(0, 40)}” is not known`);
  }
  if (joints.length === 0) refuse('it has no joints');
  if (joints.every(({ offset, parent }) => parent < 0 || Math.hypot(...offset) < 1e-6))
    refuse('all its joints are at one place');
  return { joints, channels };
}

/**
 * Motion capture as joints and the angles between them (BVH, "Biovision hierarchical data"; M. Meredith and S. Maddock, "Motion capture file formats
 * explained", University of Sheffield CS-01-11, 2001): the turns of a joint are multiplied in the order of its channels, and what it is moved by is added to its
 * offset. Where all that are moved lie at their offsets in the first frame already, their channels say the whole place, as several programs write it.
 * @param name what the file is called
 * @throws Trouble `refused`, naming the line, when it is none
 */
export function readBvh(bytes: Uint8Array, name: string): Motion {
  const words = new Words(new TextDecoder().decode(bytes).replace(/^\ufeff/, ''));
  const refuse = (what: string): never => {
    throw new Trouble('refused', `“${name}” is not a motion that can be used: line ${words.line}: ${what}`, {
      would: WOULD,
    });
  };
  if (words.next().toUpperCase() !== 'HIERARCHY') refuse('it does not begin with HIERARCHY');
  const { joints, channels } = readJoints(words, refuse);
  if (words.next().toLowerCase() !== 'frames:') refuse('how many frames there are should come first');
  const frames = Number(words.next());
  if (!Number.isInteger(frames) || frames < 1 || frames > MOST_FRAMES)
    refuse(`it should have from 1 to ${MOST_FRAMES.toLocaleString('en-US')} frames, not “${words.word.slice(0, 24)}”`);
  if (words.next().toLowerCase() !== 'frame' || words.next().toLowerCase() !== 'time:')
    refuse('how long a frame lasts should come next');
  const step = Number(words.next());
  if (!(step > 0 && step <= 10)) refuse(`a frame should last up to ten seconds, not “${words.word.slice(0, 24)}”`);
  if (frames * joints.length * 7 > MOST_NUMBERS) refuse('it is longer than can be held: take a part of it');

  const turns = new Float32Array(frames * joints.length * 4);
  const moved = new Float32Array(frames * joints.length * 3);
  const own = new Float64Array(joints.length * 4);
  for (let frame = 0; frame < frames; frame++) {
    own.fill(0);
    for (let j = 0; j < joints.length; j++) own[j * 4 + 3] = 1;
    for (const { joint, axis, turns: turning } of channels) {
      const value = Number(words.next());
      if (words.word === '') refuse(`it ends in frame ${frame + 1} of ${frames}`);
      if (!isUsable(value)) refuse(`“${words.word.slice(0, 24)}” is no number that can be used`);
      if (!turning) {
        moved[(frame * joints.length + joint) * 3 + axis] += value;
        continue;
      }
      const [x, y, z, w] = own.subarray(joint * 4, joint * 4 + 4);
      own.set(multiply([x, y, z, w], fromAxis(AXES[axis], (value * Math.PI) / 180)), joint * 4);
    }
    turns.set(own, frame * joints.length * 4);
  }
  if (words.next() !== '') refuse(`there is more after its ${frames} frames`);
  return { joints, frames, step, turns, places: placesOf(joints, channels, moved, frames) };
}

/** Where joints are in the space of those they hang on, from what they are moved by. */
function placesOf(
  joints: readonly Joint[],
  channels: readonly Channel[],
  moved: Float32Array,
  frames: number,
): Float32Array {
  const movable = [...new Set(channels.flatMap(({ joint, turns }) => (turns ? [] : [joint])))];
  const hanging = movable.filter((joint) => joints[joint].parent >= 0);
  const whole =
    hanging.some((joint) => Math.hypot(...joints[joint].offset) > 0) &&
    hanging.every((joint) =>
      joints[joint].offset.every(
        (v, k) => Math.abs(v - moved[joint * 3 + k]) < 1e-3 + 0.02 * Math.hypot(...joints[joint].offset),
      ),
    );
  const said = new Set(whole ? hanging : []);
  for (let frame = 0; frame < frames; frame++)
    joints.forEach(({ offset }, joint) => {
      if (said.has(joint)) return;
      for (let k = 0; k < 3; k++) moved[(frame * joints.length + joint) * 3 + k] += offset[k];
    });
  return moved;
}
