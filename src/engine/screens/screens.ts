import { toLinear, type Rgb } from '../../core/colour/colour';
import { PANEL, type PanelLamp } from '../../core/layers/definition';
import type { Light } from '../../core/look/lights/kinds';
import { memo } from '../../core/memo';
import { reduced, type Raster } from '../../core/pictures/raster';
import type { Piece } from '../../core/piece/schema';
import { isHere } from '../../core/piece/here';
import { lightSlots } from '../../core/world/lights';
import type { FrameRequest } from '../frame/request';
import { shownOn, type ShownOn } from './needed';
import { pixels, type NeededFrames } from './pixels';
import { standIn } from './standIn';

const NO_FRAMES: ReadonlySet<number> = new Set();

const NOTHING: Rgb = [0, 0, 0];
const means = memo<Rgb>(400);

/** The mean light of a picture, by how far it is there. */
function meanOf(raster: Raster): Rgb {
  const { rgba } = reduced(raster, 32);
  return [0, 1, 2].map((k) => (toLinear(rgba[k] / 255) * rgba[3]) / 255) as Rgb;
}

/** The mean light of a frame of a file; of what stands in for it where that is not here. */
function frameMean({ file, kind }: PanelLamp['shows'], frame: number): Rgb {
  if (!file || !isHere(kind, file)) return meanOf(standIn());
  const known = pixels.at(file.hash, frame, 32);
  return known ? means(`${file.hash} ${frame}`, () => meanOf(known)) : NOTHING;
}

/** The mean light of what a panel shows. @param numbers of its layer's panels: see LayerDefinition.panels */
function tintOf({ element, shows }: PanelLamp, numbers: Float32Array | undefined): Rgb {
  const at = element * PANEL.numbers;
  if (!numbers || at >= numbers.length) return NOTHING;
  const [share, loaded] = [numbers[at + PANEL.share], numbers[at + PANEL.loaded]];
  const first = frameMean(shows, numbers[at + PANEL.first]);
  const second = share > 0 ? frameMean(shows, numbers[at + PANEL.second]) : first;
  return first.map((v, k) => (v + (second[k] - v) * share) * loaded) as Rgb;
}

/** What the panels of a frame show, for the drawings that show it. */
export class Screens {
  private shown: ShownOn = { needed: new Map(), panels: new Map(), lamps: new Map() };
  /** the mean colours of what lights show that are panels */
  tints: ReadonlyMap<Light, Rgb> = new Map();

  /** Works out what a frame shows. */
  at(piece: Piece, request: FrameRequest): void {
    this.shown = shownOn(piece, request);
    this.tints = new Map(
      lightSlots(piece).flatMap(({ light, shown }): [Light, Rgb][] =>
        shown ? [[light, tintOf(shown.lamp, this.shown.lamps.get(shown.layerId))]] : [],
      ),
    );
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
