import type { Piece } from '../../core/piece/schema';
import type { FrameRequest } from '../frame/request';
import { neededFrames } from './needed';
import { pixels, type NeededFrames } from './pixels';

/** What the panels of a frame show, for the drawings that show it. */
export class Screens {
  private needed = new Map<string, NeededFrames>();

  /** Works out what a frame shows. */
  at(piece: Piece, request: FrameRequest): void {
    this.needed = neededFrames(piece, request);
  }

  /** How often the frames of a file are halved in this frame. @param key see fileKey */
  levelOf(key: string): number {
    return this.needed.get(key)?.level ?? 0;
  }

  /** What must be decoded before a frame can be drawn; null where nothing is left to do. */
  static ready(piece: Piece, request: FrameRequest): Promise<void> | null {
    const needed = neededFrames(piece, request);
    return needed.size === 0 ? null : pixels.need([...needed.values()]);
  }
}
