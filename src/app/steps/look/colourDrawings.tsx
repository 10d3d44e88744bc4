import { useId, type ReactNode } from 'react';
import { applied } from '../../../core/colour/adapt';
import { gradientTableAt, hexAt, type AnimatedGradient } from '../../../core/colour/animated';
import { linearToHex, type Rgb } from '../../../core/colour/colour';
import { graded } from '../../../core/colour/grade.gen';
import { RF } from '../../../core/kernel/scratch';
import { balanceAt, type Balance } from '../../../core/look/effects/balance/balance';
import { CHANNELS, curved, type Curves } from '../../../core/look/effects/curves/curves';
import { gradeAt, type Grade } from '../../../core/look/effects/grade/grade';
import type { GradientMap } from '../../../core/look/effects/gradientMap/gradientMap';
import type { Table } from '../../../core/look/effects/table/table';
import type { Tint } from '../../../core/look/effects/tint/tint';
import { evaluateAnimated } from '../../../core/time/animated';
import { FileLook } from '../../parts/FileLook';

import styles from './Look.module.css';

// The small drawings of effects that change colours.

/** The colour that a white balance gives to a grey. */
const balance = (effect: Balance, phase: number): ReactNode => {
  const rgb = applied(balanceAt(effect, phase), [0.5, 0.5, 0.5]);
  return (
    <svg viewBox="0 0 44 32" width="44" height="32">
      <path d="M4 4h18v24H4z" fill={linearToHex([0.5, 0.5, 0.5])} />
      <path d="M22 4h18v24H22z" fill={linearToHex(rgb.map((v) => Math.max(0, v)) as Rgb)} />
    </svg>
  );
};

/** What becomes of a ramp of greys. */
const grade = (effect: Grade, phase: number): ReactNode => {
  const { lift, gamma, gain } = gradeAt(effect, phase);
  const [contrast, pivot] = [effect.contrast, effect.pivot].map((v) => evaluateAnimated(v, phase));
  return (
    <svg viewBox="0 0 44 32" width="44" height="32">
      {Array.from({ length: 11 }, (_, i) => {
        const c = 0.04 + (i / 10) * 0.88;
        graded(c, c, c, ...lift, ...gamma, ...gain, contrast, pivot, 1, 0);
        const [r, g, b] = [RF[0], RF[1], RF[2]].map((v) => Math.round(255 * Math.min(1, v)));
        return <rect key={i} x={2 + i * 3.64} y="4" width="3.7" height="24" fill={`rgb(${r} ${g} ${b})`} />;
      })}
    </svg>
  );
};

const CURVE_COLOURS = { all: 'currentColor', red: '#ff5d5d', green: '#5ddc7a', blue: '#6a8dff' } as const;

/** Its curves, those that bend before the others. */
const curves = (effect: Curves): ReactNode => (
  <svg viewBox="0 0 44 32" width="44" height="32" fill="none" strokeWidth="1.3">
    <path d="M8 28L36 4" stroke="var(--line-strong)" />
    {(['all', ...CHANNELS] as const).map((channel) => (
      <path
        key={channel}
        stroke={CURVE_COLOURS[channel]}
        d={Array.from({ length: 25 }, (_, i) => {
          const v = curved(effect[channel], i / 24);
          return `${i === 0 ? 'M' : 'L'}${8 + (28 * i) / 24} ${28 - 24 * v}`;
        }).join('')}
      />
    ))}
  </svg>
);

const tint = ({ shadows, lights, shadowsBy, lightsBy }: Tint, phase: number): ReactNode => (
  <svg viewBox="0 0 44 32" width="44" height="32">
    <path d="M2 29V4L42 29z" fill={hexAt(shadows, phase)} opacity={0.25 + 0.75 * evaluateAnimated(shadowsBy, phase)} />
    <path d="M42 3v25L2 3z" fill={hexAt(lights, phase)} opacity={0.25 + 0.75 * evaluateAnimated(lightsBy, phase)} />
  </svg>
);

/** Some colours of a gradient, from its table. */
function GradientRamp({ of, phase }: { of: AnimatedGradient; phase: number }) {
  const id = useId();
  const rows = gradientTableAt(of, phase);
  return (
    <svg viewBox="0 0 44 32" width="44" height="32">
      <linearGradient id={id}>
        {Array.from({ length: 9 }, (_, i) => {
          const at = 4 * Math.round((255 * i) / 8);
          return <stop key={i} offset={i / 8} stopColor={linearToHex([rows[at], rows[at + 1], rows[at + 2]])} />;
        })}
      </linearGradient>
      <rect x="2" y="6" width="40" height="20" rx="3" fill={`url(#${id})`} />
    </svg>
  );
}
const gradientMap = ({ colours }: GradientMap, phase: number): ReactNode => <GradientRamp of={colours} phase={phase} />;

const table = ({ file }: Table): ReactNode =>
  file ? (
    <span className={styles.drawn}>
      <FileLook file={file} kind="table" />
    </span>
  ) : (
    <svg viewBox="0 0 44 32" width="44" height="32" />
  );

export { balance, curves, grade, gradientMap, table, tint };
