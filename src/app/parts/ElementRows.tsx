import type { Control } from '../../core/forms';
import { definitionOf } from '../../core/layers/kinds';
import { usePiece } from '../state/bench';
import { ChoiceField } from './ChoiceField';
import { NumberField } from './NumberField';
import { PlainRow } from './PlainRow';

interface Props {
  spec: Control;
  row: string;
  /** the layer it is one of */
  layer: string | null;
  value: number;
  onChange(value: number): void;
}

/** One element of a layer: by its name where it has one, and of which of several that is; by its number elsewhere. */
export function ElementRows({ spec, row, layer, value, onChange }: Props) {
  const piece = usePiece();
  const of = piece.layers.find(({ id }) => id === layer);
  const named = of ? (definitionOf(of.kind).named?.(of) ?? null) : null;
  if (!named || named.names.length === 0)
    return (
      <PlainRow label={spec.label} hint={spec.hint} row={row}>
        <NumberField spec={spec} value={value} initial={0} whole onChange={onChange} />
      </PlainRow>
    );
  const { names, one, many } = named;
  const [name, number] = [value % names.length, Math.min(many - 1, Math.floor(value / names.length))];
  return (
    <>
      <PlainRow label={spec.label} hint={spec.hint} row={row}>
        <ChoiceField
          label={spec.label}
          value={String(name)}
          choices={Object.fromEntries(names.map((words, i) => [String(i), words]))}
          onChange={(to) => onChange(number * names.length + Number(to))}
        />
      </PlainRow>
      {many > 1 ? (
        <PlainRow label={one} hint={`Of which ${one.toLowerCase()}, counted from 1.`} row={`${row}.of`}>
          <NumberField
            spec={{ ...spec, label: one, min: 1, max: many, comfort: many }}
            value={number + 1}
            initial={1}
            whole
            onChange={(to) => onChange((to - 1) * names.length + name)}
          />
        </PlainRow>
      ) : null}
    </>
  );
}
