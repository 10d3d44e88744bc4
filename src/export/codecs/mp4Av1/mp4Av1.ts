import { Mp4OutputFormat } from 'mediabunny';
import { browserFilm } from '../film/browser';

export const mp4Av1 = browserFilm({
  codec: 'av1',
  name: 'AV1',
  holder: 'mp4',
  format: (onMoov) => new Mp4OutputFormat({ fastStart: 'reserve', onMoov }),
});
