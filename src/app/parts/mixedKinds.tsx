import { gradientOf, hexAt, hueTurned } from '../../core/colour/animated';
import type { Gradient } from '../../core/colour/colour';
import { ColourField } from './ColourField';
import { GradientField } from './GradientField';
import type { MixedKind } from './MixedField';

/** What a colour or a gradient swings to at first, in turns of its hues: seen at once, and still of the same picture. */
const ASIDE = 1 / 6;

export const colours: MixedKind<string> = {
  at: hexAt,
  field: (label, value, onChange) => <ColourField key={label} label={label} value={value} onChange={onChange} />,
  other: (hex) => hueTurned(hex, ASIDE),
  tall: false,
};

export const gradients: MixedKind<Gradient> = {
  at: gradientOf,
  field: (label, value, onChange) => <GradientField key={label} label={label} value={value} onChange={onChange} />,
  other: (gradient) => gradient.map(({ at, colour }) => ({ at, colour: hueTurned(colour, ASIDE) })),
  tall: true,
};
