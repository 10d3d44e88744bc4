import { CLIPS, isSeen, legalSpeeds, periodOf, placeAt, shownAt, type ClipFacts, type Join, type Play } from '../clips';
import { choice, file, form, FRAMES, integer, number, tag, type ValueOf } from '../forms';
import { stockFile } from '../kept';
import { hash4, unitFrom } from '../random/hash';
import type { Offer, ShowsDefinition } from './definition';
import { ofFile, shared } from './shared';

const CLOSES = { over: 'Over and over', fro: 'To and fro', blended: 'Its end blended into its start' };

const SHORT = { over: 'As it is', fro: 'To and fro', blended: 'Blended' };

const HOW = { over: 'as it is', fro: 'to and fro', blended: 'with its end blended into its start' };

/** What closes a clip that way. */
const closingOf = ({ closes, blend }: Join): Pick<Play, 'closes'> & Partial<Play> =>
  closes === 'blended' ? { closes, blend } : { closes };

/** How a join is seen. */
const joinWords = (join: Join): string =>
  isSeen(join) ? `jumps, ${Math.max(join.step, join.bend).toFixed(1)} ×` : 'unseen';

const apart = { field: 'apart', is: ['order', 'chance'] };

const ClipForm = form({
  ...shared,
  kind: tag('clip'),
  file: file('clip', stockFile('Scanning beam'), { ...ofFile, label: 'Clip', hint: 'What the panel shows.' }),
  closes: choice('over', CLOSES, { label: 'Closes', hint: 'How its end meets its start.' }),
  blend: integer(12, {
    label: 'Blended over',
    ...FRAMES,
    retimes: false,
    min: 1,
    max: 10_000,
    comfort: 48,
    when: { field: 'closes', is: ['blended'] },
    hint: 'Frames of the clip that its end and its start share; at most half of it.',
  }),
  times: integer(0, {
    label: 'Plays',
    perLap: true,
    unit: 'times a lap',
    min: 0,
    max: 1000,
    comfort: 12,
    kept: true,
    hint: 'Whole times over a lap, to and fro counted as one, so that it closes; 0: as many as come nearest to its own speed.',
  }),
  start: integer(0, {
    label: 'Starts at',
    ...FRAMES,
    retimes: false,
    min: 0,
    max: 1_000_000,
    comfort: 250,
    hint: 'Frame of the clip that the first frame of the lap shows.',
  }),
  apart: choice(
    'order',
    { together: 'All together', order: 'One after another', chance: 'By chance' },
    { label: 'Panels start', hint: 'Where in the clip each panel that shows it begins.' },
  ),
  spread: number(1, {
    label: 'Spread over',
    unit: '× clip',
    min: 0,
    max: 1,
    decimals: 2,
    when: apart,
    hint: 'The part of the clip that their starts are spread over: 1 all of it.',
  }),
});
export type ShownClip = ValueOf<typeof ClipForm>;

/** Frames that a panel begins later than the first. @param order 0..1 among the panels that show it */
function later({ apart, spread }: ShownClip, period: number, { order, key, seed }: Panel): number {
  if (apart === 'together') return 0;
  const share = apart === 'order' ? order : unitFrom(hash4(key, seed, 72, 0)[0]);
  return Math.floor(share * spread * period);
}

interface Panel {
  order: number;
  key: number;
  seed: number;
}

/** Seconds after which it is where it was, as it was made. */
export const periodSeconds = (clip: ShownClip, { frames, seconds }: ClipFacts): number =>
  (periodOf(clip, frames) / frames) * seconds;

/** Whole times that it plays over a lap. */
const timesOf = (clip: ShownClip, facts: ClipFacts, lapSeconds: number): number =>
  clip.times > 0 ? clip.times : legalSpeeds(periodSeconds(clip, facts), lapSeconds, 1)[0].times;

export const clip: ShowsDefinition<ShownClip> = {
  kind: 'clip',
  label: 'Clip',
  describe: 'A moving picture on a panel: MP4 or WebM',
  form: ClipForm,
  takes: 'clip',
  sizeOf: ({ file }) => CLIPS.at(file),
  steps: true,
  shownAt(shown, panel, frame, lap) {
    const facts = CLIPS.at(shown.file);
    if (!facts) return { first: 0, second: 0, share: 0 };
    const period = periodOf(shown, facts.frames);
    const start = shown.start + later(shown, period, panel);
    const times = timesOf(shown, facts, lap.seconds);
    return shownAt(shown, facts.frames, placeAt(period, times, frame, lap.frames, start));
  },
  fitted(shown) {
    const best = CLIPS.at(shown.file)?.joins?.[0];
    return best ? { ...shown, ...closingOf(best) } : shown;
  },
  ownSeam(shown) {
    const joins = CLIPS.at(shown.file)?.joins;
    const [best] = joins ?? [];
    const now = joins?.find(({ closes }) => closes === shown.closes);
    if (!best || !now) return null;
    const worst = (join: Join): number => Math.max(join.step, join.bend);
    if (!isSeen(now)) return { ok: true, gap: 0, says: 'its join is not to be told from the rest of it', mended: null };
    const times = worst(now).toFixed(1);
    const says = `changes ${times} times as much where it closes as elsewhere`;
    // nothing that is proposed mends one that is best as it is
    if (best.closes === now.closes) return { ok: false, gap: worst(now), says, mended: null };
    const value = { ...shown, ...closingOf(best) };
    const mended = { says: `Close it ${HOW[best.closes]}`, value };
    return { ok: false, gap: worst(now), says: `${says}; ${HOW[best.closes]} ${worst(best).toFixed(1)} times`, mended };
  },
  offers(shown, lapSeconds) {
    const facts = CLIPS.at(shown.file);
    if (!facts) return [];
    const closings = (facts.joins ?? []).map((join, i): Offer<ShownClip> => {
      const change = closingOf(join);
      return {
        about: 'Closes',
        words: `${SHORT[join.closes]}${join.closes === 'blended' ? ` over ${join.blend}` : ''}: ${joinWords(join)}`,
        now: shown.closes === join.closes && (join.closes !== 'blended' || shown.blend === join.blend),
        best: i === 0,
        change,
      };
    });
    const speeds = legalSpeeds(periodSeconds(shown, facts), lapSeconds, 4).map(({ times, speed }, i) => ({
      about: 'Plays',
      words: `${times} × at ${speed.toFixed(2)}`,
      now: times === timesOf(shown, facts, lapSeconds),
      best: i === 0,
      // the nearest stays the nearest when the lap is given another length
      change: { times: i === 0 ? 0 : times },
    }));
    // how it may close takes a while to measure: what comes late moves nothing that is there
    return [...speeds, ...closings];
  },
  summary(shown, lapSeconds) {
    const facts = CLIPS.at(shown.file);
    if (!facts) return 'not here';
    const times = timesOf(shown, facts, lapSeconds);
    const speed = (times * periodSeconds(shown, facts)) / lapSeconds;
    return `${times} ${times === 1 ? 'time' : 'times'} a lap, ${speed.toFixed(2)} of its speed`;
  },
};
