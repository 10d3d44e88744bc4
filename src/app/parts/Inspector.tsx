import { Dices } from 'lucide-react';
import type { AnimatedColour, AnimatedGradient } from '../../core/colour/animated';
import type { FileRef } from '../../core/kept';
import {
  headingsOf,
  isShown,
  valueAt,
  type Control,
  type CurvePoint,
  type Field,
  type Heading,
} from '../../core/forms';
import type { FormLike } from '../../core/forms/field';
import { offers } from '../../core/layers/kinds';
import type { Stretch } from '../../core/motion/differences';
import type { Shown } from '../../core/shows/kinds';
import { getAt, type PiecePath } from '../../core/piece/paths';
import type { Animated } from '../../core/time/animated';
import { bench, useBench, usePiece } from '../state/bench';
import { AnimatedField } from './AnimatedField';
import { Button } from './Button';
import { ChoiceField } from './ChoiceField';
import { ElementRows } from './ElementRows';
import { FileField } from './FileField';
import { MatterSamples } from './MatterSamples';
import { MixedField } from './MixedField';
import { colours, gradients } from './mixedKinds';
import { NumberField } from './NumberField';
import { OutlineField } from './OutlineField';
import { PictureField } from './PictureField';
import { PartsList, type Listed } from './PartsList';
import { PlainRow } from './PlainRow';
import { PointRows } from './PointRows';
import { ProfileField } from './ProfileField';
import styles from './Row.module.css';
import { ShownList } from './ShownList';
import { StretchRows } from './StretchRows';
import { SwitchField } from './SwitchField';
import { TextField } from './TextField';

interface Props {
  form: FormLike;
  /** where in the piece the object is */
  path: PiecePath;
  /** steps that close, by field: winding values snap to them, plain numbers show their legal neighbours */
  closingSteps?: Readonly<Record<string, number>>;
  /** only under these headings, in this order */
  groups?: readonly Heading[];
  /** other words for some fields' labels */
  labels?: Record<string, string>;
  /** fields that have rows of their own elsewhere */
  without?: readonly string[];
  /** inside another thing's rows */
  nested?: boolean;
}

interface Row {
  name: string;
  field: Field;
  control: Control;
}

const TALL: ReadonlySet<string> = new Set(['profile', 'outline', 'picture', 'lines', 'file']);

const rowsOf = (form: FormLike): Row[] =>
  Object.entries(form.fields).flatMap(([name, field]) =>
    field.control ? [{ name, field, control: field.control }] : [],
  );

/** The rows for an object of the piece, made from its form. */
export function Inspector({ form, path, closingSteps = {}, groups, labels = {}, without = [], nested = false }: Props) {
  const piece = usePiece();
  const owner = getAt(piece, path) as object;
  const shown = rowsOf(form)
    .filter(({ name, control }) => isShown(control, owner) && !without.includes(name))
    .map((row) => (row.name in labels ? { ...row, control: { ...row.control, label: labels[row.name] } } : row));
  const headings = groups ?? [...(shown.some(({ control }) => !control.group) ? [undefined] : []), ...headingsOf(form)];
  return headings.map((heading) => {
    const inGroup = shown.filter(({ control }) => control.group === heading);
    if (inGroup.length === 0) return null;
    return (
      <section
        key={heading?.label ?? ''}
        className={nested ? styles.nested : styles.group}
        aria-label={nested ? undefined : heading?.label}
      >
        {heading && !nested && groups?.length !== 1 ? <p className={styles.title}>{heading.label}</p> : null}
        {inGroup.map((row) => (
          <FieldRow
            key={row.name}
            row={row}
            path={[...path, row.name]}
            value={valueAt(owner, row.name)}
            owner={owner}
            closingStep={closingSteps[row.name] ?? 0}
          />
        ))}
      </section>
    );
  });
}

interface RowProps {
  row: Row;
  path: PiecePath;
  value: unknown;
  /** what the field is of */
  owner: object;
  closingStep: number;
}

function FieldRow({ row: { field, control }, path, value, owner, closingStep }: RowProps) {
  const selected = useBench((state) => state.selected?.join('.') === path.join('.'));
  const set = (next: unknown): void => bench.set(path, next);
  const { initial, parts } = field;
  if (control.control === 'animated')
    return (
      <AnimatedField
        spec={control}
        value={value as Animated}
        initial={typeof initial === 'number' ? initial : 0}
        closingStep={closingStep}
        onChange={set}
        selected={selected}
        row={path.join('.')}
        onSelect={() => bench.patch({ selected: [...path] })}
      />
    );
  const mixed = {
    label: control.label,
    hint: control.hint,
    selected,
    row: path.join('.'),
    onChange: set,
    onSelect: () => bench.patch({ selected: [...path] }),
  };
  if (control.control === 'colour') return <MixedField kind={colours} value={value as AnimatedColour} {...mixed} />;
  if (control.control === 'gradient')
    return <MixedField kind={gradients} value={value as AnimatedGradient} {...mixed} />;
  if (control.control === 'shown')
    return (
      <ShownList
        path={path}
        label={control.label}
        hint={control.hint}
        shown={value as readonly Shown[]}
        rowsOf={(inner, at) => <Inspector form={inner} path={at} nested />}
      />
    );
  if (control.control === 'parts' && parts)
    return (
      <PartsList
        path={path}
        label={control.label}
        hint={control.hint}
        adds={control.adds ?? control.label}
        most={control.max ?? Infinity}
        parts={parts}
        list={value as readonly Listed[]}
        rowsOf={(inner, at) => <Inspector form={inner} path={at} nested />}
      />
    );
  if (parts && value) {
    const { remade } = parts;
    const { choices, sampled } = control;
    return (
      <>
        {remade && choices ? (
          <PlainRow label={control.label} hint={control.hint} row={path.join('.')} tall={sampled !== undefined}>
            {sampled ? (
              <MatterSamples sort={sampled} label={control.label} owner={owner} remade={remade} set={set} />
            ) : (
              <ChoiceField
                label={control.label}
                value={String(valueAt(value, 'kind'))}
                choices={choices}
                onChange={(kind) => set(remade(value, kind))}
              />
            )}
          </PlainRow>
        ) : null}
        <Inspector form={parts.formOf(value)} path={path} labels={{ on: control.label }} nested />
      </>
    );
  }
  if (control.control === 'stretch')
    return (
      <StretchRows
        spec={control}
        row={path.join('.')}
        motion={valueAt(owner, 'motion') as FileRef | null}
        value={value as Stretch | null}
        onChange={set}
      />
    );
  if (control.control === 'element')
    return (
      <ElementRows
        spec={control}
        row={path.join('.')}
        layer={valueAt(owner, 'layer') as string | null}
        value={value as number}
        onChange={set}
      />
    );
  if (control.control === 'points')
    return <PointRows path={path} points={value as readonly CurvePoint[]} hint={control.hint} />;
  return (
    <PlainRow label={control.label} hint={control.hint} row={path.join('.')} tall={TALL.has(control.control)}>
      <Plain meta={control} value={value} initial={initial} set={set} legalStep={closingStep} owner={Number(path[1])} />
    </PlainRow>
  );
}

/** A frame of the lap by its number; what was the lap’s last at first is so again where it is set to that. */
function LapFrame(props: { meta: Control; value: number; initial: number; set(v: unknown): void }) {
  const { meta, value, initial, set } = props;
  const last = usePiece().lap.frames - 1;
  return (
    <NumberField
      spec={{ ...meta, max: last }}
      value={Math.min(value, last)}
      initial={initial}
      whole
      onChange={(v) => set(v >= last && initial > last ? initial : v)}
    />
  );
}

function Plain({
  meta,
  value,
  initial,
  set,
  legalStep,
  owner,
}: {
  meta: Control;
  value: unknown;
  initial: unknown;
  set(v: unknown): void;
  legalStep: number;
  /** index of the layer the field is on, for references to others */
  owner: number;
}) {
  switch (meta.control) {
    case 'number':
    case 'integer': {
      const number = value as number;
      if (meta.inLap) return <LapFrame meta={meta} value={number} initial={initial as number} set={set} />;
      const snap = (v: number): number => (legalStep > 0 ? Math.round(v / legalStep) * legalStep : v);
      const steps = legalStep > 0 ? legalWords(number, legalStep, meta.unit) : null;
      return (
        <NumberField
          spec={meta}
          value={number}
          initial={initial as number}
          whole={meta.control === 'integer'}
          onChange={(v) => set(snap(v))}
          {...(steps ? { note: steps } : {})}
        />
      );
    }
    case 'choice':
      return <ChoiceField label={meta.label} value={value as string} choices={meta.choices ?? {}} onChange={set} />;
    case 'switch':
      return <SwitchField label={meta.label} value={value as boolean} onChange={set} />;
    case 'layer':
      return <LayerField meta={meta} value={value as string | null} own={owner} set={set} />;
    case 'seed':
      return (
        <span style={{ display: 'grid', gridTemplateColumns: '1fr auto' }}>
          <NumberField spec={{ ...meta, comfort: 1000 }} whole value={value as number} initial={1} onChange={set} />
          <Button kind="bare" label="Another seed" onPress={() => set(Math.floor(Math.random() * 100_000))}>
            <Dices size={15} />
          </Button>
        </span>
      );
    case 'outline':
      return <OutlineField label={meta.label} value={value as [number, number][]} onChange={set} />;
    case 'picture':
      return <PictureField label={meta.label} value={value as string} side={meta.pixels ?? 64} onChange={set} />;
    case 'profile':
      return <ProfileField spec={meta} value={value as number[]} onChange={set} />;
    case 'text':
    case 'lines':
      return <TextField label={meta.label} value={value as string} lines={meta.control === 'lines'} onChange={set} />;
    case 'file':
      return <FileField label={meta.label} of={meta.file ?? 'font'} value={value as FileRef | null} onChange={set} />;
    case 'animated':
    case 'colour':
    case 'gradient':
    case 'shown':
    case 'parts':
    case 'part':
    case 'points':
    case 'stretch':
    case 'element':
      return null;
  }
}

/** The value as a fraction of a turn when its step is one, so that the neighbours that close are plain to see. */
function legalWords(value: number, step: number, unit = ''): string {
  const per = Math.round(1 / step);
  const count = value / step;
  const whole = Math.abs(count - Math.round(count)) < 1e-6;
  if (!whole) return `closes at ${Number((Math.round(count) * step).toFixed(3))}`;
  return per > 1 ? `${Math.round(count)}/${per} ${unit}` : unit;
}

function LayerField({
  meta,
  value,
  own,
  set,
}: {
  meta: Control;
  value: string | null;
  own: number;
  set(v: unknown): void;
}) {
  const piece = usePiece();
  const { of = 'any', none = 'Nothing: straight' } = meta;
  const named = Object.fromEntries(
    piece.layers
      .filter((layer) => (of === 'any' || offers(layer, of)) && layer !== piece.layers[own])
      .map((layer) => [layer.id, layer.name]),
  );
  return (
    <ChoiceField
      label={meta.label}
      value={value !== null && value in named ? value : 'none'}
      choices={{ none, ...named }}
      onChange={(id) => set(id === 'none' ? null : id)}
    />
  );
}
