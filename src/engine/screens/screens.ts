import type { Piece } from '../../core/piece/schema';
import type { FrameRequest } from '../frame/request';
import { shownOn, type ShownOn } from './needed';
import { pixels, type NeededFrames } from './pixels';

const NO_FRAMES: ReadonlySet<number> = new Set();

/** What the panels of a frame show, for the drawings that show it. */
export class Screens {
  private shown: ShownOn = { needed: new Map(), panels: new Map() };

  /** Works out what a frame shows. */
  at(piece: Piece, request: FrameRequest): void {
    this.shown = shownOn(piece, request);
  }

  /** Frames of a file that are in sight, and how often they are halved; none where it is not here. @param key see fileKey */
  of(key: string): Pick<NeededFrames, 'frames' | 'level'> {
    return this.shown.needed.get(key) ?? { frames: NO_FRAMES, level: 0 };
  }

  /** What each panel of a layer shows: see LayerDefinition.panels. */
  panelsOf(layerId: string): Float32Array | undefined {
    return this.shown.panels.get(layerId);
  }

  /** What must be decoded before a frame can be drawn; null where nothing is left to do. */
  static ready(piece: Piece, request: FrameRequest): Promise<void> | null {
    const { needed } = shownOn(piece, request);
    return needed.size === 0 ? null : pixels.need([...needed.values()]);
  }
}
