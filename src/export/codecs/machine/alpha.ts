import type { Delivery } from '../../../core/deliveries/form';
import { formatOf } from '../../../core/deliveries/formats';

/** Whether a film has alpha. */
export const machineAlpha = ({ format, alpha }: Delivery): boolean => formatOf(format).takes.alpha && alpha !== 'none';
