import { Plus, Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import type { Ease } from '../../core/time/animated';
import { EASE_PRESETS } from '../../core/time/easing';
import { EASE_WORDS, easeCalled, easeName } from './eases';
import { framePhase } from '../../core/time/lap';
import { Button } from './Button';
import { ChoiceField } from './ChoiceField';
import { setKey, type AnyKey } from './keys';
import { NumberField } from './NumberField';
import styles from './Row.module.css';

type Curve = [number, number, number, number];

const EASES: Record<string, string> = { ...EASE_WORDS, own: 'Own curve' };

/** The ease of a name. An own curve starts from the one that was there, moved just enough to be nobody else's. */
function easeOf(name: string, before: Ease): Ease {
  if (name !== 'own') return easeCalled(name);
  if (typeof before !== 'string' && !Array.isArray(before)) return before;
  const [x1, y1, x2, y2] = typeof before === 'string' ? EASE_PRESETS['even'] : before;
  return [Math.min(1, x1 + 0.01), y1, x2, y2];
}

/** The keys of a value: frame, value, and how each leads to the next. */
export function KeyRows<V>({
  keys,
  frames,
  field,
  onChange,
}: {
  keys: readonly AnyKey<V>[];
  frames: number;
  /** what its value is changed with */
  field(label: string, value: V, onChange: (value: V) => void): ReactNode;
  onChange(keys: AnyKey<V>[]): void;
}) {
  const edit = (id: string, change: Partial<AnyKey<V>>): void =>
    onChange(keys.map((key) => (key.id === id ? { ...key, ...change } : key)).sort((a, b) => a.at - b.at));
  const addBetween = (): void => {
    const at = (keys[keys.length - 1].at + 0.25) % 1;
    onChange(setKey(keys, at, keys[keys.length - 1].value, 0.5 / frames));
  };
  return (
    <div className={styles.keys}>
      {keys.map((key, index) => (
        <div key={key.id} className={styles.key}>
          <NumberField
            spec={{ label: `Key ${index + 1}, frame`, min: 0, max: frames - 1, unit: 'f' }}
            whole
            value={Math.round(key.at * frames)}
            onChange={(f) => edit(key.id, { at: framePhase(f, frames) })}
          />
          {field(`Key ${index + 1}, value`, key.value, (value) => edit(key.id, { value }))}
          <ChoiceField
            label={`Key ${index + 1}, easing to the next`}
            value={easeName(key.ease)}
            choices={EASES}
            onChange={(name) => edit(key.id, { ease: easeOf(name, key.ease) })}
          />
          <Button
            kind="bare"
            label={`Remove key ${index + 1}`}
            isDisabled={keys.length === 1}
            onPress={() => onChange(keys.filter((k) => k.id !== key.id))}
          >
            <Trash2 size={13} />
          </Button>
          {easeName(key.ease) === 'own' && Array.isArray(key.ease) ? (
            <CurveFields label={`Key ${index + 1}`} curve={key.ease} onChange={(ease) => edit(key.id, { ease })} />
          ) : null}
        </div>
      ))}
      <Button kind="bare" onPress={addBetween}>
        <Plus size={13} /> Key
      </Button>
    </div>
  );
}

const POINTS = ['x₁', 'y₁', 'x₂', 'y₂'] as const;

/** The two control points of a CSS cubic-bezier. */
function CurveFields({ label, curve, onChange }: { label: string; curve: Curve; onChange(curve: Curve): void }) {
  return (
    <div className={styles.curve}>
      {POINTS.map((name, i) => (
        <NumberField
          key={name}
          spec={{
            label: `${label}, ${name} of its curve`,
            unit: name,
            min: i % 2 ? -4 : 0,
            max: i % 2 ? 5 : 1,
            comfort: i % 2 ? 2 : 1,
            decimals: 2,
          }}
          value={curve[i]}
          onChange={(v) => onChange(curve.map((old, k) => (k === i ? v : old)) as Curve)}
        />
      ))}
    </div>
  );
}
