import type { Wave } from '../../core/time/animated';
import { Button } from './Button';
import { ChoiceField } from './ChoiceField';
import { NumberField } from './NumberField';
import styles from './Row.module.css';

interface Swinging {
  cycles: number;
  shift: number;
  wave: Wave;
}

/** How something swings: how often, from where on, and along which wave. */
export function WaveRows({
  label,
  value,
  onChange,
}: {
  label: string;
  value: Swinging;
  onChange(change: Partial<Swinging>): void;
}) {
  return (
    <>
      <NumberField
        spec={{ label: `${label}, cycles per lap`, min: 1, max: 1000, comfort: 12, unit: '× lap' }}
        whole
        value={value.cycles}
        onChange={(cycles) => onChange({ cycles })}
      />
      <NumberField
        spec={{ label: `${label}, shift in turns`, min: -1, max: 1, comfort: 1, decimals: 2, unit: 'shift' }}
        value={value.shift}
        onChange={(shift) => onChange({ shift })}
      />
      <ChoiceField
        label={`${label}, wave`}
        value={value.wave}
        choices={{ sine: 'Sine', triangle: 'Triangle', noise: 'Noise' }}
        onChange={(wave) => onChange({ wave: wave as Wave })}
      />
    </>
  );
}

/** Says that a value does not close, and closes it. */
export function OpenRow({ onClose }: { onClose(): void }) {
  return (
    <div className={styles.open} role="status">
      <span>does not close</span>
      <Button kind="bare" onPress={onClose}>
        Close it
      </Button>
    </div>
  );
}
