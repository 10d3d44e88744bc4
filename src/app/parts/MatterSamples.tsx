import type { AnimatedGradient } from '../../core/colour/animated';
import { MATTER, newMatter, type Matter } from '../../core/matter/kinds';
import { newPattern, PATTERNS, type Pattern } from '../../core/matter/pattern/kinds';
import { READY_MATTER, READY_PATTERNS } from '../../core/matter/ready';
import { SampleField, type Sample } from './SampleField';

/** What the layer is that matter is chosen for. */
interface Owner {
  matter: Matter;
  pattern: Pattern;
  gradient: AnimatedGradient;
}

interface Props {
  label: string;
  owner: object;
  remade(value: object, kind: string): object;
  set(value: object): void;
}

const READY = 'ready ';

/** What a layer is made of, chosen by balls of it in the layer's own colours. */
export function MatterSamples({ label, owner, remade, set }: Props) {
  const { matter, pattern, gradient } = owner as Owner;
  const shown = (of: Matter): Sample['shows'] => ({ matter: of, pattern, gradient });
  const now = MATTER.of(matter.kind);
  return (
    <SampleField
      label={label}
      now={{ id: matter.kind, label: now.label, shows: shown(matter) }}
      kinds={MATTER.names.map((kind) => ({
        id: kind,
        label: MATTER.of(kind).label,
        hint: MATTER.of(kind).describe,
        shows: shown(newMatter(kind)),
      }))}
      ready={READY_MATTER.map(({ label: name, is }, i) => ({ id: `${READY}${i}`, label: name, shows: shown(is) }))}
      onChoose={(id) =>
        set(id.startsWith(READY) ? READY_MATTER[Number(id.slice(READY.length))].is : remade(matter, id))
      }
    />
  );
}

/** What covers a layer, chosen by balls that it covers. */
export function PatternSamples({ label, owner, remade, set }: Props) {
  const { matter, pattern, gradient } = owner as Owner;
  const shown = (of: Pattern): Sample['shows'] => ({ matter, pattern: of, gradient });
  const now = PATTERNS.of(pattern.kind);
  /** what is ready lies where the last one did */
  const lying = (is: Pattern): object => {
    const kept = remade(pattern, is.kind) as Partial<{ lies: string }>;
    return 'lies' in is && kept.lies !== undefined ? { ...is, lies: kept.lies } : is;
  };
  return (
    <SampleField
      label={label}
      now={{ id: pattern.kind, label: now.label, shows: shown(pattern) }}
      kinds={PATTERNS.names.map((kind) => ({
        id: kind,
        label: PATTERNS.of(kind).label,
        hint: PATTERNS.of(kind).describe,
        shows: shown(newPattern(kind)),
      }))}
      ready={READY_PATTERNS.map(({ label: name, is }, i) => ({ id: `${READY}${i}`, label: name, shows: shown(is) }))}
      onChoose={(id) =>
        set(id.startsWith(READY) ? lying(READY_PATTERNS[Number(id.slice(READY.length))].is) : remade(pattern, id))
      }
    />
  );
}
