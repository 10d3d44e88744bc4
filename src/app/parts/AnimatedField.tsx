import { closes, evaluateAnimated, lawOf, snapAnimated, type Animated, type Law } from '../../core/time/animated';
import { shutterSeconds } from '../../core/lens/optics';
import { framePhase, rateHz } from '../../core/time/lap';
import { usePiece, useBench } from '../state/bench';
import { newId } from '../state/edit';
import { KeyRows } from './KeyRows';
import { setKey } from './keys';
import { LawMark } from './LawMark';
import { NumberField, type NumberSpec } from './NumberField';
import { OpenRow, WaveRows } from './SwingRows';
import styles from './Row.module.css';

/** Degrees of a turn a frame that a second and a thousandth come to. */
const timesIn = (hz: number): Readonly<Record<string, number>> => ({ s: 360 * hz, ms: 0.36 * hz });

/** A time as photographers say it. */
const timeWords = (seconds: number): string =>
  seconds <= 0 ? '0 s' : seconds < 0.4 ? `1/${Math.round(1 / seconds)} s` : `${Number(seconds.toFixed(2))} s`;

interface Props {
  spec: NumberSpec & { exposes?: boolean };
  value: Animated;
  /** the step of a lap's gain that closes a wound value; 0 when only returning closes */
  closingStep: number;
  initial: number;
  onChange(value: Animated): void;
  onSelect(): void;
  selected: boolean;
  /** where the value is in the piece, for the finder */
  row: string;
}

/** The value as another law, keeping what it shows at this phase. */
export function withLaw(value: Animated, law: Law, phase: number, spec: NumberSpec, step: number): Animated {
  const here = evaluateAnimated(value, phase);
  const span = spec.comfort ?? spec.max ?? Math.max(1, Math.abs(here));
  switch (law) {
    case 'fixed':
      return here;
    case 'keyed': {
      const other = (phase + 0.5) % 1;
      return {
        law,
        keys: [
          { id: newId('key'), at: phase, value: here, ease: 'smooth' },
          { id: newId('key'), at: other, value: evaluateAnimated(value, other), ease: 'smooth' },
        ],
      };
    }
    case 'swing': {
      const room = Math.min(here - (spec.min ?? -Infinity), (spec.max ?? Infinity) - here);
      return { law, middle: here, reach: Math.min(Math.abs(room), span * 0.1), cycles: 1, wave: 'sine', shift: 0 };
    }
    case 'wound':
      return { law, start: here, perLap: step > 0 ? step : 0 };
  }
}

/** A value that may change over the lap: law mark, label, number, and below them what its law needs. */
export function AnimatedField({ spec: own, value, closingStep, initial, onChange, onSelect, selected, row }: Props) {
  const piece = usePiece();
  const frameIndex = useBench((state) => state.status?.frameIndex ?? 0);
  const { frames, rate } = piece.lap;
  const spec = own.exposes ? { ...own, units: timesIn(rateHz(rate)) } : own;
  const phase = framePhase(frameIndex, frames);
  const law = lawOf(value);
  const here = evaluateAnimated(value, phase);
  const set = (v: number): void => {
    if (typeof value === 'number') onChange(v);
    else if (value.law === 'keyed') onChange({ ...value, keys: setKey(value.keys, phase, v, 0.5 / frames) });
    else if (value.law === 'swing') onChange({ ...value, middle: v });
    else onChange({ ...value, start: v });
  };
  const field =
    typeof value === 'number'
      ? value
      : value.law === 'swing'
        ? value.middle
        : value.law === 'wound'
          ? value.start
          : here;
  const open = !closes(value, closingStep);
  return (
    <>
      <div
        className={`${styles.row} ${selected ? styles.selected : ''}`}
        data-row={row}
        onPointerDown={onSelect}
        onFocus={onSelect}
      >
        <LawMark
          law={law}
          label={spec.label}
          onChange={(next) => onChange(withLaw(value, next, phase, spec, closingStep))}
        />
        <span className={styles.label} title={spec.hint}>
          {spec.label}
        </span>
        <NumberField
          spec={spec}
          value={field}
          initial={initial}
          onChange={set}
          {...(law === 'keyed'
            ? { note: `at ${String(frameIndex).padStart(3, '0')}` }
            : own.exposes
              ? { note: `° · ${timeWords(shutterSeconds(field, rateHz(rate)))}` }
              : {})}
        />
      </div>
      {typeof value === 'number' ? null : value.law === 'swing' ? (
        <SwingRows value={value} spec={spec} onChange={onChange} />
      ) : value.law === 'wound' ? (
        <WoundRows value={value} step={closingStep} spec={spec} onChange={onChange} />
      ) : selected ? (
        <KeyRows
          keys={value.keys}
          frames={frames}
          field={(label, v, set) => <NumberField spec={{ ...spec, label }} value={v} onChange={set} />}
          onChange={(keys) => onChange({ ...value, keys })}
        />
      ) : null}
      {open ? <OpenRow onClose={() => onChange(snapAnimated(value, closingStep))} /> : null}
    </>
  );
}

type Law_<L> = Extract<Animated, { law: L }>;

function SwingRows({ value, spec, onChange }: { value: Law_<'swing'>; spec: NumberSpec; onChange(v: Animated): void }) {
  return (
    <div className={styles.sub}>
      <NumberField
        spec={{ ...spec, label: `${spec.label}, reach`, min: 0, unit: '±' }}
        value={value.reach}
        onChange={(reach) => onChange({ ...value, reach })}
      />
      <WaveRows label={spec.label} value={value} onChange={(change) => onChange({ ...value, ...change })} />
    </div>
  );
}

function WoundRows({
  value,
  step,
  spec,
  onChange,
}: {
  value: Law_<'wound'>;
  step: number;
  spec: NumberSpec;
  onChange(v: Animated): void;
}) {
  const count = step > 0 ? Math.round(value.perLap / step) : 0;
  const per = step > 0 ? Math.round(1 / step) : 0;
  const words =
    step <= 0
      ? 'this value cannot wind and close'
      : per > 1 && Math.abs(1 / step - per) < 1e-6
        ? `${count}/${per} turn per lap`
        : `${Number((count * step * (spec.display ?? 1)).toFixed(3))}${spec.unit === '°' ? '°' : spec.unit ? ` ${spec.unit}` : ''} per lap`;
  return (
    <div className={styles.sub}>
      <NumberField
        spec={{ label: `${spec.label}, steps per lap`, min: -1000, max: 1000, comfort: 8, unit: 'steps' }}
        whole
        value={count}
        onChange={(n) => onChange({ ...value, perLap: n * step })}
      />
      <span className={styles.note}>{words}</span>
    </div>
  );
}
