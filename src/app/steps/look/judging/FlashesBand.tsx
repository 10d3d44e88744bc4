import { CategoryScale, Chart, LinearScale, LineController, LineElement, PointElement, Tooltip } from 'chart.js';
import { useEffect, useRef, type ReactNode } from 'react';
import type { FlashReport, Flashing } from '../../../../core/judging/flashes';
import type { LapLevels } from '../../../../core/judging/lap';
import { framePhase } from '../../../../core/time/lap';
import { BandHead } from '../../../parts/BandHead';
import { Button } from '../../../parts/Button';
import { token } from '../../../parts/Canvas';
import { axisTicks, frameAxis } from '../../../parts/chartAxis';
import { Progress } from '../../../parts/Progress';
import { bench, usePiece } from '../../../state/bench';
import { player } from '../../../state/player';
import styles from './Judging.module.css';
import { findRepair, judgeLap, stopJudging, useLapLevels } from './lapLevels';
import { percent, runsOf } from './words';

Chart.register(LineController, LineElement, PointElement, CategoryScale, LinearScale, Tooltip);

const mean = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0) / values.length;

/** How bright the lap is from frame to frame, whether it flashes too much, and what mends that. */
export function FlashesBand({ title }: { title: ReactNode }) {
  const piece = usePiece();
  const { found, progress, tries } = useLapLevels();
  const levels = found?.levels ?? null;
  return (
    <>
      <BandHead title={title} how={found && found.of !== piece ? 'before the last change' : ''}>
        {levels
          ? `average ${percent(mean(levels.average))} · light ${percent(mean(levels.light))} · peak ${percent(Math.max(...levels.peak))}`
          : null}
      </BandHead>
      <div className={styles.judged}>
        {levels ? (
          <Lines levels={levels} />
        ) : (
          <p className={styles.how}>How bright every frame of the lap is stands here once it is measured.</p>
        )}
        <div className={styles.verdict}>
          {progress === null ? (
            <Button kind={levels ? 'plain' : 'accent'} onPress={() => void judgeLap(piece)}>
              {levels ? 'Measure again' : 'Measure the lap'}
            </Button>
          ) : (
            <>
              <Progress label={tries === null ? 'Measuring the lap' : `Measuring, change ${tries}`} share={progress} />
              <Button onPress={stopJudging}>Cancel</Button>
            </>
          )}
          {levels && progress === null ? <Verdict report={levels.flashes} fresh={found?.of === piece} /> : null}
        </div>
      </div>
    </>
  );
}

const countWords = ({ perSecond, perSecondInThird }: Flashing, third: boolean): string => {
  const count = third ? perSecondInThird : perSecond;
  return Number.isInteger(count) ? String(count) : count.toFixed(1);
};

function Verdict({ report, fresh }: { report: FlashReport; fresh: boolean }) {
  const piece = usePiece();
  const repair = useLapLevels((state) => state.repair);
  const { general, red, fails } = report;
  const third = fails === 'third';
  const [worst, words] = (third ? red.perSecondInThird > general.perSecondInThird : red.perSecond > general.perSecond)
    ? [red, 'red flashes']
    : [general, 'flashes'];
  if (!fails)
    return (
      <p className={styles.fine}>
        It does not flash more than three times in any second
        {Math.max(general.perSecondInThird, red.perSecondInThird) > 0
          ? `: at most ${countWords(general.perSecondInThird > red.perSecondInThird ? general : red, true)} in a part of the picture`
          : ''}
        . <small>WCAG 2.3.1, ITU-R BT.1702</small>
      </p>
    );
  const mends = repair?.of === piece ? repair : null;
  return (
    <>
      <p className={styles.warn}>
        {countWords(worst, third)} {words} in a second over a quarter of{' '}
        {third ? 'a third of the picture' : 'the picture'}, on frames {runsOf(worst.frames, 12)}; three are safe.{' '}
        <Button kind="bare" onPress={() => player.seek(framePhase(worst.frames[0], piece.lap.frames))}>
          Go to {String(worst.frames[0])}
        </Button>
        <small>{third ? 'WCAG 2.3.1' : 'WCAG 2.3.1, ITU-R BT.1702'}</small>
      </p>
      {!fresh ? null : mends?.found ? (
        <p>
          {mends.found.says}{' '}
          <Button kind="accent" onPress={() => void mend(mends.found?.piece ?? piece)}>
            Repair
          </Button>
        </p>
      ) : mends ? (
        <p>No single lamp or effect is why: dim what moves most, or slow the lap down.</p>
      ) : (
        <Button onPress={() => void findRepair(piece)}>Find what mends it</Button>
      )}
    </>
  );
}

function mend(piece: Parameters<typeof judgeLap>[0]): Promise<void> {
  bench.update(() => piece);
  return judgeLap(piece);
}

/** Average and peak of every frame, and the frames that flash too much. */
function Lines({ levels }: { levels: LapLevels }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const { frames } = usePiece().lap;
  useEffect(() => {
    if (!canvas.current) return;
    const { average, light, peak, flashes } = levels;
    const marked = new Set([...flashes.general.frames, ...flashes.red.frames]);
    const line = (label: string, data: number[], colour: string) => ({
      ...{
        label,
        data: data.map((v) => v * 100),
        borderColor: token(colour),
        borderWidth: 1.4,
        pointRadius: 0,
        tension: 0,
      },
    });
    const chart = new Chart(canvas.current, {
      type: 'line',
      data: {
        labels: average.map((_, i) => i),
        datasets: [
          line('peak', peak, 'muted'),
          line('average', average, 'time'),
          line('light', light, 'faint'),
          {
            ...line(
              'flash',
              average.map((v, i) => (marked.has(i) ? v : Number.NaN)),
              'trouble',
            ),
            ...{ pointRadius: 3, pointBackgroundColor: token('trouble'), showLine: false },
          },
        ],
      },
      options: {
        animation: false,
        responsive: true,
        maintainAspectRatio: false,
        interaction: { mode: 'index', intersect: false },
        onClick: (_, [item]) => item && player.seek(framePhase(item.index, frames)),
        scales: {
          x: frameAxis(),
          y: {
            min: 0,
            max: 100,
            grid: { color: token('line') },
            ticks: { ...axisTicks(5), callback: (v) => `${v} %` },
          },
        },
        plugins: {
          tooltip: {
            callbacks: {
              title: ([item]) => `frame ${item.label}`,
              label: (item) => `${item.dataset.label} ${Number(item.raw).toFixed(1)} %`,
            },
          },
        },
      },
    });
    return () => chart.destroy();
  }, [levels, frames]);
  return (
    <div className={styles.lines}>
      <canvas ref={canvas} role="img" aria-label="Average, light and peak of every frame of the lap" />
    </div>
  );
}
