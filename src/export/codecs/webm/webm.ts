import { WebMOutputFormat } from 'mediabunny';
import { browserFilm } from '../film/browser';

export const webm = browserFilm({ codec: 'vp9', name: 'VP9', holder: 'webm', format: () => new WebMOutputFormat() });
