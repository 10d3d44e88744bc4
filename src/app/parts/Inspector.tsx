import { Dices } from 'lucide-react';
import type { z } from 'zod';
import { controlOf, isShown, type ControlMeta, type CurvePoint, type Gradient } from '../../core/piece/fields';
import { TargetSchema } from '../../core/flight/target';
import { routedBy } from '../../core/layers/route';
import type { Animated } from '../../core/time/animated';
import { bench, useBench, usePiece } from '../state/bench';
import { getAt } from '../../core/piece/paths';
import { AnimatedField } from './AnimatedField';
import { Button } from './Button';
import { ChoiceField } from './ChoiceField';
import { ColourField } from './ColourField';
import { GradientField } from './GradientField';
import { NumberField } from './NumberField';
import { OutlineField } from './OutlineField';
import { PictureField } from './PictureField';
import { PlainRow } from './PlainRow';
import { PointRows } from './PointRows';
import { ProfileField } from './ProfileField';
import styles from './Row.module.css';
import { SwitchField } from './SwitchField';

interface Props {
  /** an object schema whose fields carry control descriptions */
  schema: z.ZodType;
  /** where in the piece the object is */
  path: readonly (string | number)[];
  /** steps that close, by field: winding values snap to them, plain numbers show their legal neighbours */
  closingSteps?: Record<string, number>;
  /** only these groups, in this order */
  groups?: readonly string[];
  /** other words for some fields' labels */
  labels?: Record<string, string>;
  /** fields that have rows of their own elsewhere */
  without?: readonly string[];
  /** inside another thing's rows */
  nested?: boolean;
}

interface Field {
  name: string;
  meta: ControlMeta;
  schema: z.ZodType;
}

const fieldsOf = (schema: z.ZodType): Field[] =>
  Object.entries((schema as z.ZodObject).shape as Record<string, z.ZodType>).flatMap(([name, field]) => {
    const meta = controlOf(field);
    return meta ? [{ name, meta, schema: field }] : [];
  });

/** Groups that come after what a thing is made of. */
const LAST: readonly string[] = ['Matter', 'Place', 'Reach', 'Chance'];
const TALL: ReadonlySet<string> = new Set(['gradient', 'profile', 'outline', 'picture']);

/** The rows for an object of the piece, made from its schema. */
export function Inspector({
  schema,
  path,
  closingSteps = {},
  groups,
  labels = {},
  without = [],
  nested = false,
}: Props) {
  const piece = usePiece();
  const value = getAt(piece, path) as Record<string, unknown>;
  const fields = fieldsOf(schema)
    .filter(({ name, meta }) => isShown(meta, value) && !without.includes(name))
    .map((field) => (field.name in labels ? { ...field, meta: { ...field.meta, label: labels[field.name] } } : field));
  const found = [...new Set(fields.map(({ meta }) => meta.group ?? ''))];
  const names = groups ?? [
    ...found.filter((name) => !LAST.includes(name)),
    ...LAST.filter((name) => found.includes(name)),
  ];
  return names.map((group) => {
    const inGroup = fields.filter(({ meta }) => (meta.group ?? '') === group);
    if (inGroup.length === 0) return null;
    return (
      <section key={group} className={nested ? styles.nested : styles.group} aria-label={group || undefined}>
        {group && !nested && groups?.length !== 1 ? <p className={styles.title}>{group}</p> : null}
        {inGroup.map((field) => (
          <FieldRow
            key={field.name}
            field={field}
            path={[...path, field.name]}
            value={value[field.name]}
            closingStep={closingSteps[field.name] ?? 0}
          />
        ))}
      </section>
    );
  });
}

interface RowProps {
  field: Field;
  path: readonly (string | number)[];
  value: unknown;
  closingStep: number;
}

function FieldRow({ field, path, value, closingStep }: RowProps) {
  const { meta } = field;
  const selected = useBench((state) => state.selected?.join('.') === path.join('.'));
  const set = (next: unknown): void => bench.set(path, next);
  const initial = field.schema.safeParse(undefined).data;
  if (meta.control === 'animated')
    return (
      <AnimatedField
        spec={meta}
        value={value as Animated}
        initial={typeof initial === 'number' ? initial : 0}
        closingStep={closingStep}
        onChange={set}
        selected={selected}
        row={path.join('.')}
        onSelect={() => bench.patch({ selected: [...path] })}
      />
    );
  if (meta.control === 'target')
    return <Inspector schema={TargetSchema} path={path} labels={{ on: meta.label }} nested />;
  if (meta.control === 'points')
    return <PointRows path={path} points={value as readonly CurvePoint[]} hint={meta.hint} />;
  return (
    <PlainRow label={meta.label} hint={meta.hint} row={path.join('.')} tall={TALL.has(meta.control)}>
      <Plain meta={meta} value={value} initial={initial} set={set} legalStep={closingStep} owner={Number(path[1])} />
    </PlainRow>
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
  meta: ControlMeta;
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
    case 'colour':
      return <ColourField label={meta.label} value={value as string} onChange={set} />;
    case 'gradient':
      return <GradientField label={meta.label} value={value as Gradient} onChange={set} />;
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
      return <PictureField label={meta.label} value={value as string} onChange={set} />;
    case 'profile':
      return <ProfileField spec={meta} value={value as number[]} onChange={set} />;
    case 'animated':
    case 'target':
    case 'points':
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
  meta: ControlMeta;
  value: string | null;
  own: number;
  set(v: unknown): void;
}) {
  const piece = usePiece();
  const { of = 'tunnel', none = 'Nothing: straight' } = meta;
  const named = Object.fromEntries(
    piece.layers
      .filter(
        (layer) =>
          (of === 'any' || (of === 'routed' ? routedBy(layer) !== null : layer.kind === of)) &&
          layer !== piece.layers[own],
      )
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
