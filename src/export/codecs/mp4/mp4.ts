import { Mp4OutputFormat } from 'mediabunny';
import { videoCodec } from '../video/video';

/** What a player needs first stands at the start, in room that is kept for it. */
export const mp4 = videoCodec({
  codec: 'avc',
  name: 'H.264',
  format: () => new Mp4OutputFormat({ fastStart: 'reserve' }),
});
