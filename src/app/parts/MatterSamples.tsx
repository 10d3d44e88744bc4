import { MATTER, newMatter } from '../../core/matter/kinds';
import { newPattern, PATTERNS } from '../../core/matter/pattern/kinds';
import { READY_MATTER, READY_PATTERNS } from '../../core/matter/ready';
import type { Sampled } from '../../core/world/sample';
import { SampleField, type Sample } from './SampleField';

type Sort = 'matter' | 'pattern';
type One = Sampled[Sort];

interface Props {
  sort: Sort;
  label: string;
  /** the layer that it is chosen for, in whose colours it is shown */
  owner: object;
  remade(value: object, kind: string): object;
  set(value: object): void;
}

/** What there is to choose from: of each kind, as it is at first, and what is ready. */
const CHOICES: Record<Sort, { kinds: readonly Choice[]; ready: readonly Choice[] }> = {
  matter: {
    kinds: MATTER.names.map((kind) => ({ ...MATTER.of(kind), is: newMatter(kind) })),
    ready: READY_MATTER,
  },
  pattern: {
    kinds: PATTERNS.names.map((kind) => ({ ...PATTERNS.of(kind), is: newPattern(kind) })),
    ready: READY_PATTERNS,
  },
};
interface Choice {
  label: string;
  describe?: string;
  is: One;
}

const READY = 'ready ';

/** What a layer is made of, or covered with, chosen by balls of it. */
export function MatterSamples({ sort, label, owner, remade, set }: Props) {
  const { matter, pattern, gradient } = owner as Sampled;
  const sampled = { matter, pattern, gradient };
  const own = sampled[sort];
  const { kinds, ready } = CHOICES[sort];
  const shown = (id: string, { label: words, describe = '', is }: Choice): Sample => ({
    id,
    label: words,
    hint: describe,
    shows: { ...sampled, [sort]: is },
  });
  /** what is ready lies where the last one did */
  const lying = (is: One): object => {
    const { lies } = remade(own, is.kind) as Partial<{ lies: string }>;
    return 'lies' in is && lies !== undefined ? { ...is, lies } : is;
  };
  const now = kinds.find(({ is }) => is.kind === own.kind);
  return (
    <SampleField
      label={label}
      now={shown(own.kind, { label: now?.label ?? '', is: own })}
      kinds={kinds.map((choice) => shown(choice.is.kind, choice))}
      ready={ready.map((choice, i) => shown(`${READY}${i}`, choice))}
      onChoose={(id) => set(id.startsWith(READY) ? lying(ready[Number(id.slice(READY.length))].is) : remade(own, id))}
    />
  );
}
