import { WebMOutputFormat } from 'mediabunny';
import { browserFilm } from '../film/browser';

export const webmAv1 = browserFilm({ codec: 'av1', name: 'AV1', format: () => new WebMOutputFormat() });
