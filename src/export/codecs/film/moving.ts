import { rgbaCells, shows } from '../../trace';
import type { FrameFacts, Settings, Verified } from '../codec';
import { filmHz } from './hz';

/** Frames that are kept together of a film that is small. */
export const FEW = 8;

/**
 * How long each of some frames is shown, in whole steps of a clock: the sum of all is right to half a step.
 * @param from the first of them, counted from the film's start
 */
export function wholeTimes(settings: Settings, stepsPerSecond: number, from: number, count: number): number[] {
  const at = (frame: number): number => Math.round((frame / filmHz(settings)) * stepsPerSecond);
  return Array.from({ length: count }, (_, i) => at(from + i + 1) - at(from + i));
}

/** Decodes a moving picture in the browser, and looks at each frame. */
export async function verifyMoving(file: Blob, settings: Settings, facts: readonly FrameFacts[]): Promise<Verified> {
  const { width, height, frames: asked } = settings;
  const wanted = asked.length / filmHz(settings);
  if (!('ImageDecoder' in globalThis))
    return {
      ...{ frames: asked.length, seconds: wanted, ok: true },
      says: `${asked.length} frames; this browser cannot decode it, so the pictures were not looked at`,
    };
  const decoder = new ImageDecoder({ data: await file.arrayBuffer(), type: file.type });
  try {
    await decoder.tracks.ready;
    await decoder.completed;
    const frames = decoder.tracks.selectedTrack?.frameCount ?? 0;
    let micros = 0;
    for (let i = 0; i < Math.min(frames, asked.length); i++) {
      const { image } = await decoder.decode({ frameIndex: i });
      micros += image.duration ?? 0;
      const bytes = new Uint8Array(image.allocationSize({ format: 'RGBA' }));
      await image.copyTo(bytes, { format: 'RGBA' });
      image.close();
      if (!shows(rgbaCells(bytes, width, height), facts[i]))
        return {
          ...{ frames, seconds: micros / 1e6, ok: false },
          says: `${frames} frames, but frame ${asked[i]} is not the picture that was rendered`,
        };
    }
    const seconds = micros / 1e6;
    const says = `${frames} frames, ${seconds.toFixed(2)} s`;
    const ok = frames === asked.length && Math.abs(seconds - wanted) < 0.006;
    return {
      ...{ frames, seconds, ok },
      says: ok
        ? `${says}, each as it was rendered`
        : `${says}, but ${asked.length} frames and ${wanted.toFixed(2)} s were asked for`,
    };
  } finally {
    decoder.close();
  }
}
