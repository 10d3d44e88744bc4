import { PICTURE, type Channel } from '../look/channels';
import type { Piece } from './schema';

/** The channel that is shown of a piece: the picture where the layer is gone that it was of. */
export const channelIn = ({ layers }: Piece, channel: Channel): Channel =>
  channel.of === 'layer' && !layers.some(({ id }) => id === channel.id) ? PICTURE : channel;
