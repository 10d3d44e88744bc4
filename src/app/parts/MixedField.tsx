import type { ReactNode } from 'react';
import { closesMixed, isMoving, snapMixed, type Mixed, type SwungMix, type WoundMix } from '../../core/time/mixed';
import type { Law } from '../../core/time/animated';
import { framePhase } from '../../core/time/lap';
import { useBench, usePiece } from '../state/bench';
import { newId } from '../state/edit';
import { KeyRows } from './KeyRows';
import { setKey } from './keys';
import { LawMark } from './LawMark';
import { NumberField } from './NumberField';
import { OpenRow, WaveRows } from './SwingRows';
import styles from './Row.module.css';

/** What a mixed value is of: how it is shown at a phase, changed, and what it swings to at first. */
export interface MixedKind<V> {
  at(value: Mixed<V>, phase: number): V;
  field(label: string, value: V, onChange: (value: V) => void): ReactNode;
  other(value: V): V;
  /** it has no hues to turn */
  grey(value: V): boolean;
  /** it takes more than one line */
  tall: boolean;
}

interface Props<V> {
  kind: MixedKind<V>;
  label: string;
  hint: string;
  value: Mixed<V>;
  onChange(value: Mixed<V>): void;
  onSelect(): void;
  selected: boolean;
  /** where the value is in the piece, for the finder */
  row: string;
}

/** The value as another law, keeping what it shows at this phase. */
export function withMixedLaw<V>(kind: MixedKind<V>, value: Mixed<V>, law: Law, phase: number): Mixed<V> {
  const here = kind.at(value, phase);
  switch (law) {
    case 'fixed':
      return here;
    case 'keyed': {
      const other = (phase + 0.5) % 1;
      const key = (at: number) => ({ id: newId('key'), at, value: kind.at(value, at), ease: 'smooth' as const });
      return { law, keys: [key(phase), key(other)].sort((a, b) => a.at - b.at) };
    }
    case 'swing':
      return { law, from: here, to: kind.other(here), cycles: 1, wave: 'sine', shift: -0.25 - phase };
    case 'wound':
      return { law, start: here, perLap: 1 };
  }
}

/** A colour or a gradient that may change over the lap: law mark, label, what it is now, and below what its law needs. */
export function MixedField<V>({ kind, label, hint, value, onChange, onSelect, selected, row }: Props<V>) {
  const piece = usePiece();
  const frameIndex = useBench((state) => state.status?.frameIndex ?? 0);
  const { frames } = piece.lap;
  const phase = framePhase(frameIndex, frames);
  const moving = isMoving(value) ? value : null;
  const law = moving?.law ?? 'fixed';
  const shown = moving?.law === 'swing' ? moving.from : moving?.law === 'wound' ? moving.start : kind.at(value, phase);
  const set = (next: V): void => {
    if (!moving) onChange(next);
    else if (moving.law === 'keyed') onChange({ ...moving, keys: setKey(moving.keys, phase, next, 0.5 / frames) });
    else if (moving.law === 'swing') onChange({ ...moving, from: next });
    else onChange({ ...moving, start: next });
  };
  return (
    <>
      <div
        className={`${styles.row} ${kind.tall ? styles.tall : ''} ${selected ? styles.selected : ''}`}
        data-row={row}
        onPointerDown={onSelect}
        onFocus={onSelect}
      >
        <LawMark law={law} label={label} onChange={(next) => onChange(withMixedLaw(kind, value, next, phase))} />
        <span className={styles.label} title={hint}>
          {label}
        </span>
        {kind.field(label, shown, set)}
      </div>
      {moving?.law === 'swing' ? (
        <Swing kind={kind} label={label} value={moving} onChange={onChange} />
      ) : moving?.law === 'wound' ? (
        <Turn kind={kind} label={label} value={moving} onChange={onChange} />
      ) : moving && selected ? (
        <KeyRows
          keys={moving.keys}
          frames={frames}
          field={kind.field}
          onChange={(keys) => onChange({ ...moving, keys })}
        />
      ) : null}
      {closesMixed(value) ? null : <OpenRow onClose={() => onChange(snapMixed(value))} />}
    </>
  );
}

function Swing<V>({
  kind,
  label,
  value,
  onChange,
}: {
  kind: MixedKind<V>;
  label: string;
  value: SwungMix<V>;
  onChange(value: Mixed<V>): void;
}) {
  return (
    <div className={styles.sub}>
      <div className={styles.whole}>
        {kind.field(`${label}, swings to`, value.to, (to) => onChange({ ...value, to }))}
      </div>
      <WaveRows label={label} value={value} onChange={(change) => onChange({ ...value, ...change })} />
    </div>
  );
}

function Turn<V>({
  kind,
  label,
  value,
  onChange,
}: {
  kind: MixedKind<V>;
  label: string;
  value: WoundMix<V>;
  onChange(value: Mixed<V>): void;
}) {
  return (
    <div className={styles.sub}>
      <NumberField
        spec={{ label: `${label}, turns per lap`, min: -1000, max: 1000, comfort: 4, unit: 'turns' }}
        whole
        value={value.perLap}
        onChange={(perLap) => onChange({ ...value, perLap })}
      />
      <span className={styles.note}>{kind.grey(value.start) ? 'a grey has no hue to turn' : 'through all hues'}</span>
    </div>
  );
}
