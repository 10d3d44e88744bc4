import { Mp4OutputFormat } from 'mediabunny';
import { browserFilm } from '../film/browser';

/** What a player needs first stands at the start, in room that is kept for it. */
export const mp4 = browserFilm({
  codec: 'avc',
  name: 'H.264',
  holder: 'mp4',
  format: (onMoov) => new Mp4OutputFormat({ fastStart: 'reserve', onMoov }),
});
