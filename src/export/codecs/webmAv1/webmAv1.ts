import { WebMOutputFormat } from 'mediabunny';
import { browserFilm } from '../film/browser';

export const webmAv1 = browserFilm({ codec: 'av1', name: 'AV1', holder: 'webm', format: () => new WebMOutputFormat() });
