import type { Channel, Drawn, Numbers } from '../core/look/channels';
import type { Alone } from '../core/piece/alone';
import type { Bands } from '../core/judging/bands';
import type { LapLevels } from '../core/judging/lap';
import type { StateReport } from '../core/seam/report';
import type { Clearance } from '../core/world/clearance';
import type { Comfort } from '../core/world/comfort';
import type { Trouble } from '../core/trouble';
import type { Piece } from '../core/piece/schema';
import type { Guarded } from './work/guard';
import type { PictureReport } from './seam/pictureReport';

export type { PictureReport };

/** An engine in a worker of its own. Live picture and background work use separate ones. */
export type EngineClient = Guarded<EngineApi>;

/** What the page asks of the live picture. */
export interface LiveView {
  /** size of the picture on the page in device pixels */
  width: number;
  height: number;
  playing: boolean;
  /** factor on the piece's own rate */
  speed: number;
  /** repeat only the last and first half second */
  acrossSeam: boolean;
  /** draw working counts */
  working: boolean;
  /** show only this part of its room */
  alone: Alone | null;
  /** what of the frame is shown */
  channel: Channel;
}

/** What the live picture tells the page after each drawn frame. */
export interface LiveStatus {
  phase: number;
  frameIndex: number;
  /** frames drawn per second while playing */
  fps: number;
  /** milliseconds the frame took */
  ms: number;
  /** passes in the picture that is shown */
  passes: number;
  /** passes it will be refined to; equal when it is finished */
  wanted: number;
  /** drawn size over page size */
  scale: number;
  /** share of the particles that is drawn, with the light of all */
  density: number;
  /** whether its shapes are coarser than they need be */
  coarse: boolean;
  /** whether it is a frame of the finished lap */
  finished: boolean;
}

export interface LiveListener {
  status(status: LiveStatus): void;
  trouble(trouble: Trouble | null): void;
}

/** A single finished frame. */
export interface StillRequest {
  piece: Piece;
  frameIndex: number;
  /** so many laps later: its phase is greater by them, and nothing is wrapped; what is drawn by chance is as it was */
  later?: number;
  width: number;
  height: number;
  passes: number;
  /** share of the particles that is drawn, with the light of all; all unless stated */
  density?: number;
  /** times as far as shapes may be off from their meshes at few passes; 1 unless stated */
  coarseness?: number;
  texture?: boolean;
  /** what of the frame; the picture unless stated */
  channel?: Drawn;
  /** without what is behind everything, over black */
  clear?: boolean;
  /** the steps that its code values are rounded to afterwards, in code values of 8 bits; 1 unless stated, 0 for none */
  step?: number;
  /** channels that are read besides */
  also?: readonly Numbers[];
}

/** A frame as numbers, top row first. */
export interface FrameNumbers {
  /** four a pixel: code values 0 … 1 as they are encoded, or linear light; over black where it is clear; alpha is 1 where it is not */
  rgba: Float32Array;
  /** those that were asked for besides, in their order: metres, three of a normal, two of motion, or a share */
  channels: Float32Array[];
}

/** All frames of a lap, small. */
export interface LapRequest {
  piece: Piece;
  width: number;
  height: number;
  passes: number;
}

/** What the engine's worker offers to other threads (over Comlink). */
export interface EngineApi {
  attach(canvas: OffscreenCanvas, listener: LiveListener): void;
  /** files it names are taken in first */
  setPiece(piece: Piece): Promise<void>;
  setView(view: LiveView): void;
  /** moves the playhead; refines there when paused */
  seek(phase: number): void;
  /** finished frames of the piece that was set last, by their number, shown in place of drawing; null where there are none */
  setFinished(frames: ReadonlyMap<number, Blob> | null): void;
  addFinished(frame: number, blob: Blob): void;
  still(request: StillRequest): Promise<Blob>;
  /** a finished frame, compressed; null when it was cancelled on the way */
  finish(request: StillRequest): Promise<Blob | null>;
  /** for every frame a key of all that its picture depends on */
  frameKeys(piece: Piece): Promise<string[]>;
  /** encoded sRGB bytes, top row first: for tests and byte comparisons */
  pixels(request: StillRequest): Promise<Uint8Array>;
  /** linear light before glow and finish, RGBA floats, bottom row first: for measurements; alpha only where it is clear */
  light(request: StillRequest): Promise<Float32Array>;
  /** a finished frame and channels of it as numbers; or its light before all effects */
  frame(request: StillRequest, scene: boolean): Promise<FrameNumbers>;
  /** a channel as numbers: metres along the camera's axis and 1e9 for nothing, a normal, or a share; four a pixel, bottom row first */
  channel(request: StillRequest & { channel: Numbers }): Promise<Float32Array>;
  /** where the steps of 8-bit code values are seen in a finished frame */
  bands(request: StillRequest): Promise<Bands>;
  seamPictures(request: LapRequest, progress: (share: number) => void): Promise<PictureReport>;
  /** how bright every frame of a lap is, and how it flashes */
  levels(request: LapRequest, progress: (share: number) => void): Promise<LapLevels>;
  cancel(): void;
  /** the state half of the seam report, off the page's thread */
  stateReport(piece: Piece): Promise<StateReport>;
  /** how a flight feels, and how near it comes to things; off the page's thread */
  comfort(piece: Piece): Promise<Comfort>;
  clearance(piece: Piece): Promise<Clearance>;
  /** how often the world of an orbit looks the same in a turn, off the page's thread; see core/seam/parts.ts */
  partsOfTurn(piece: Piece): Promise<number | null>;
  elements(piece: Piece, layerId: string, phase: number): Promise<Float32Array[]>;
  /** milliseconds a frame takes, drawing finished, over so many frames from the request's on; for benches */
  pace(request: StillRequest, frames: number): Promise<number>;
  /** runs a kernel check on the GPU: see gl/probe.ts */
  probe(source: string, body: string, count: number): Promise<Float32Array>;
  /** how often rest elements were made anew in this worker; for benches */
  builds(): number;
  /** for tests: what a driver reset does, and after how long it gives the context back */
  loseContext(which: 'live' | 'own', backAfterMs: number | null): void;
  /** for tests: the context of stills is lost in the middle of the n-th picture from now */
  loseContextIn(frames: number): void;
}
