import { Pause, Play, StepBack, StepForward } from 'lucide-react';
import { barBeat, lapSeconds } from '../../core/time/lap';
import { Button } from '../parts/Button';
import { ChoiceField } from '../parts/ChoiceField';
import type { LiveStatus } from '../../engine/protocol';
import { bench, useBench, usePiece } from '../state/bench';
import type { LapState } from '../state/lapFiller';
import { player } from '../state/player';
import styles from './Transport.module.css';

const SPEEDS = { '0.25': '¼×', '0.5': '½×', '1': '1×', '2': '2×' };

const clock = (seconds: number): string => {
  const minutes = Math.floor(seconds / 60);
  return `${String(minutes).padStart(2, '0')}:${(seconds - minutes * 60).toFixed(2).padStart(5, '0')}`;
};

/** Play, step, the seam, where we are and how good the picture is. */
export function Transport() {
  const { lap, layers, samples } = usePiece();
  const { playing, acrossSeam, speed, status, working, finishing, lap: finished } = useBench();
  const frame = status?.frameIndex ?? 0;
  const digits = String(lap.frames).length;
  const beat = lap.tempo ? barBeat(status?.phase ?? 0, lap.tempo.beats) : null;
  const reduced = layers.some((layer) => !layer.hidden && layer.working < 1);
  return (
    <div className={styles.bar} role="toolbar" aria-label="Playing">
      <Button kind="bare" label={playing ? 'Pause' : 'Play'} onPress={() => bench.patch({ playing: !playing })}>
        {playing ? <Pause size={17} /> : <Play size={17} />}
      </Button>
      <Button kind="bare" label="One frame back" onPress={() => player.step(-1)}>
        <StepBack size={17} />
      </Button>
      <Button kind="bare" label="One frame on" onPress={() => player.step(1)}>
        <StepForward size={17} />
      </Button>
      <Button pressed={acrossSeam} onPress={() => bench.patch({ acrossSeam: !acrossSeam, playing: true })}>
        Across the seam
      </Button>
      <span className={styles.speed}>
        <ChoiceField
          label="Playing speed"
          value={String(speed)}
          choices={SPEEDS}
          onChange={(s) => bench.patch({ speed: Number(s) })}
        />
      </span>
      <span className={styles.number}>
        <b>{String(frame).padStart(digits, '0')}</b> / {lap.frames}
      </span>
      <span className={styles.lines}>
        <span>{clock((frame / lap.frames) * lapSeconds(lap.frames, lap.rate))}</span>
        {beat ? (
          <span>
            bar {beat.bar} · beat {beat.beat}
          </span>
        ) : null}
      </span>
      <span className={styles.space} />
      {reduced ? (
        <Button
          pressed={working}
          label={
            working ? 'Working counts are drawn; draw the final ones' : 'Final counts are drawn; draw the working ones'
          }
          onPress={() => bench.patch({ working: !working })}
        >
          {working ? 'Working' : 'Final'}
        </Button>
      ) : null}
      <span className={styles.finish}>
        <ChoiceField
          label="Frames drawn live, or the lap finished ahead"
          value={finishing === null ? LIVE : choiceOf(finishing)}
          choices={finishes(samples)}
          onChange={(choice) =>
            bench.patch(
              choice === LIVE ? { finishing: null } : { finishing: Number(choice.slice(AT.length)), playing: false },
            )
          }
        />
      </span>
      <span className={styles.said} title={hint(status, playing)} role="status" aria-label="Quality of the picture">
        <span>{status ? quality(status, playing, finished) : 'starting'}</span>{' '}
        {status && status.density < 1 ? <span>· {Math.round(status.density * 100)} % of particles</span> : null}{' '}
        {status?.coarse ? <span>· coarse shapes</span> : null}
      </span>
    </div>
  );
}

/** What is dropped while playing, and how to get it back. */
function hint(status: LiveStatus | null, playing: boolean): string | undefined {
  if (!playing || !status || status.finished) return undefined;
  const less = [
    status.scale < 1 ? 'The picture is drawn smaller to keep up. ' : '',
    status.density < 1 ? 'Only a part of the particles is drawn, with the light of all. ' : '',
    status.coarse ? 'Shapes are drawn with fewer corners. ' : '',
  ].join('');
  const back = less === '' ? '' : 'A smaller window or working counts make that unnecessary. ';
  return `${less}${back}While playing, what elements do by themselves is not blurred. Pause to see the frame whole; “Finish at” plays the whole lap so.`;
}

const LIVE = 'live';
const AT = 'at ';
/** Not a bare number: names that are numbers come before all others. */
const choiceOf = (passes: number): string => `${AT}${passes}`;

/** Passes that the frames of a finished lap may have: a few to judge it by, or all. */
function finishes(samples: number): Record<string, string> {
  const few = [4, 16].filter((passes) => passes < samples);
  const choices = [...few, samples].map((passes): [string, string] => [choiceOf(passes), `Finish at ${passes}`]);
  return { [LIVE]: 'Live', ...Object.fromEntries(choices) };
}

/** What is done about a lap that is not all there. */
const FILLING: Record<LapState['does'], string> = {
  fills: 'finishing',
  waits: 'finishes at rest',
  full: 'no room for more',
  failed: 'not finished',
  complete: '',
};

function lapWords({ there, frames, does }: LapState): string {
  return does === 'complete' ? 'lap finished' : `${there.size} of ${frames} · ${FILLING[does]}`;
}

function quality(status: LiveStatus, playing: boolean, lap: LapState | null): string {
  if (lap && !playing) return lapWords(lap);
  if (status.finished) return `${status.fps.toFixed(1)} fps · finished`;
  const size = status.scale === 1 ? '' : ` · ${Math.round(status.scale * 100)} % size`;
  if (playing) return `${status.fps.toFixed(1)} fps${size}`;
  const passes =
    status.passes === status.wanted ? `${status.passes} passes, final` : `${status.passes} of ${status.wanted} passes`;
  return `${Math.round(status.ms)} ms${size} · ${passes}`;
}
