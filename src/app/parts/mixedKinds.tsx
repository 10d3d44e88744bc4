import { besideColour, gradientOf, hexAt, isGrey } from '../../core/colour/animated';
import type { Gradient } from '../../core/colour/colour';
import { ColourField } from './ColourField';
import { GradientField } from './GradientField';
import type { MixedKind } from './MixedField';

export const colours: MixedKind<string> = {
  at: hexAt,
  field: (label, value, onChange) => <ColourField key={label} label={label} value={value} onChange={onChange} />,
  other: besideColour,
  grey: isGrey,
  tall: false,
};

export const gradients: MixedKind<Gradient> = {
  at: gradientOf,
  field: (label, value, onChange) => <GradientField key={label} label={label} value={value} onChange={onChange} />,
  other: (gradient) => gradient.map(({ at, colour }) => ({ at, colour: besideColour(colour) })),
  grey: (gradient) => gradient.every(({ colour }) => isGrey(colour)),
  tall: true,
};
