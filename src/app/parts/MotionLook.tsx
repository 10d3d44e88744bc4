import { useMemo, useState } from 'react';
import type { FileRef } from '../../core/kept';
import { bestIn, motionAt } from '../../core/motion/known';
import { cycleOf } from '../../core/motion/cycle';
import { heightOf } from '../../core/motion/pose';
import styles from './FileField.module.css';

/** Poses beside each other, and how far apart, as a share of the height. */
const POSES = 5;
const APART = 0.62;

/** A motion, small: some poses of the stretch that closes best, seen from its side; they go on as the pointer goes over them. */
export function MotionLook({ file }: { file: FileRef }) {
  const [on, setOn] = useState(0);
  const motion = motionAt(file);
  const lines = useMemo(() => {
    const { joints } = motion;
    const cycle = cycleOf(motion, bestIn(file), 10, 'sway');
    const poses = cycle.samples === 1 ? 1 : POSES;
    const share = 1 / heightOf(motion);
    return Array.from({ length: poses }, (_, k) => {
      const i = Math.floor((((k + on) / poses) % 1) * cycle.samples);
      const at = (j: number): string => {
        const p = (i * joints.length + j) * 3;
        // what stands still faces the viewer
        const aside = poses === 1 ? cycle.places[p] : -cycle.places[p + 2];
        return `${((k - (poses - 1) / 2) * APART + aside * share).toFixed(3)} ${(-cycle.places[p + 1] * share).toFixed(3)}`;
      };
      return joints.flatMap(({ parent }, j) => (parent < 0 ? [] : [`M${at(parent)}L${at(j)}`])).join('');
    });
  }, [motion, file, on]);
  const half = ((POSES - 1) / 2) * APART + 0.4;
  return (
    <span
      className={`${styles.look} ${styles.motion}`}
      onPointerMove={({ currentTarget, clientX }) => {
        const { left, width } = currentTarget.getBoundingClientRect();
        setOn(((clientX - left) / width) * 2);
      }}
      onPointerLeave={() => setOn(0)}
    >
      <svg viewBox={`${-half} -1.3 ${half * 2} 1.36`} width="100%" height="100%" aria-hidden>
        {lines.map((d, k) => (
          <path key={k} d={d} fill="none" stroke="currentColor" strokeWidth={0.045} strokeLinecap="round" />
        ))}
      </svg>
    </span>
  );
}
