import { BarController, BarElement, CategoryScale, Chart, LinearScale, Tooltip } from 'chart.js';
import { useEffect, useRef, useState } from 'react';
import type { PictureReport } from '../../../engine/protocol';
import { BandHead } from '../../parts/BandHead';
import { BandTabs } from '../../parts/BandTabs';
import { token } from '../../parts/Canvas';
import { axisTicks, frameAxis } from '../../parts/chartAxis';
import { usePiece } from '../../state/bench';
import { useSeam } from './check';
import styles from './Seam.module.css';

Chart.register(BarController, BarElement, CategoryScale, LinearScale, Tooltip);

const TABS = { whole: 'Whole picture', place: 'Place by place' };
type Shown = keyof typeof TABS;

/** Differences of neighbouring frames around the lap, with the join in the middle. */
export function SeamBand() {
  const piece = usePiece();
  const { pictures, running } = useSeam();
  const progress = running.small?.share ?? null;
  const [shown, setShown] = useState<Shown>('whole');
  const report = pictures?.report ?? null;
  return (
    <>
      <BandHead
        title={<BandTabs<Shown> names={TABS} shown={shown} onShow={setShown} />}
        how="neighbour differences around the lap, join in the middle"
      >
        {report ? readings(report, pictures?.of === piece) : null}
      </BandHead>
      {report ? (
        <Bars report={report} shown={shown} />
      ) : (
        <p className={styles.empty}>
          {progress === null
            ? 'Check the pictures to see how much every frame differs from the next, all the way around the lap.'
            : `Comparing frames: ${Math.round(progress * 100)} %`}
        </p>
      )}
    </>
  );
}

const codes = (v: number): string => (v * 255).toFixed(2);

function readings(report: PictureReport, fresh: boolean): string {
  const join = report.step[report.step.length - 1];
  return `${fresh ? '' : 'before the last change: '}join ${codes(join)} · median ${codes(report.medianStep)} · score ${report.score.toFixed(2)}`;
}

function Bars({ report, shown }: { report: PictureReport; shown: Shown }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    if (!canvas.current) return;
    const frames = report.step.length;
    const middle = Math.floor(frames / 2);
    // step[i] leads from frame i to i + 1, and the join is step[frames − 1]; by places it is frames that are told apart
    const whole = shown === 'whole';
    const order = Array.from({ length: frames }, (_, k) => (k - middle + frames - 1 + frames) % frames);
    const join = token(report.ok ? 'time' : 'trouble');
    const chart = new Chart(canvas.current, {
      type: 'bar',
      data: {
        labels: order.map((i) => (whole ? `${i} → ${(i + 1) % frames}` : `${i}`)),
        datasets: [
          {
            data: order.map((i) => (whole ? report.step[i] * 255 : report.alone[i])),
            backgroundColor: order.map((i) => (i === frames - 1 || (!whole && i === 0) ? join : token('line-strong'))),
            barPercentage: 1,
            categoryPercentage: 0.86,
          },
        ],
      },
      options: {
        animation: false,
        responsive: true,
        maintainAspectRatio: false,
        scales: {
          x: frameAxis(),
          y: { beginAtZero: true, grid: { color: token('line') }, ticks: axisTicks(4) },
        },
        plugins: {
          tooltip: {
            callbacks: {
              label: (item) =>
                whole
                  ? `${Number(item.raw).toFixed(2)} code values`
                  : `one place changes ${Number(item.raw).toFixed(2)} times as much as ever around it`,
            },
          },
        },
      },
    });
    return () => chart.destroy();
  }, [report, shown]);
  return (
    <div className={styles.chart}>
      <canvas
        ref={canvas}
        role="img"
        aria-label={`Neighbour differences; the join is ${report.score.toFixed(2)} times its surroundings`}
      />
    </div>
  );
}
