import { WebMOutputFormat } from 'mediabunny';
import { videoCodec } from '../video/video';

export const webm = videoCodec({ codec: 'vp9', name: 'VP9', format: () => new WebMOutputFormat() });
