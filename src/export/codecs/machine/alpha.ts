import type { Delivery } from '../../../core/deliveries/form';
import { formatOf } from '../../../core/deliveries/formats';

/** The alpha that a film has. */
export const machineAlpha = ({ format, alpha }: Delivery): Delivery['alpha'] =>
  formatOf(format).takes.alpha ? alpha : 'none';
