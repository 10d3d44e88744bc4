import { token } from './Canvas';

/** The marks along an axis of a chart. @param most of them */
export const axisTicks = (most: number) => ({
  color: token('faint'),
  maxTicksLimit: most,
  font: { family: token('numbers'), size: 10 },
  maxRotation: 0,
});

/** An axis of frames: marks without lines. */
export const frameAxis = () => ({ grid: { display: false }, ticks: axisTicks(9) });
