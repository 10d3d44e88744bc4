import * as THREE from 'three';
import type { Layer } from '../../../core/layers/kinds';
import type { DrawingLook } from '../../../core/layers/drawing';
import { drawsLines, lineValues, type Lines } from '../../../core/lines/lines';
import { matterOf } from '../../../core/matter/kinds';
import { covers, isGlued, patternOf, type Pattern } from '../../../core/matter/pattern/kinds';
import { drivesAt, evolution } from '../../../core/matter/pattern/setting';
import type { Piece } from '../../../core/piece/schema';
import { evaluateAnimated } from '../../../core/time/animated';
import { sizeAt } from '../../../core/pictures/raster';
import { aspectOf, lyingOf, type Lying } from '../../../core/world/pattern';
import type { Gpu } from '../../gl/gpu';
import { fillRows, gradientRows } from '../../layer/gradient';
import { PictureArray } from '../../screens/array';
import { fileKey } from '../../screens/needed';
import { pixels, sizeOf } from '../../screens/pixels';
import type { Cover } from './program';
import type { Screens } from '../../screens/screens';
import { standIn } from '../../screens/standIn';

/** What the programs of something covered by a pattern are made for. */
export const coverOf = (pattern: Pattern | undefined): Cover =>
  !pattern || !covers(pattern)
    ? { kind: 'bare', lies: 'body' }
    : { kind: pattern.kind, lies: isGlued(pattern.lies) ? 'glued' : pattern.lies === 'world' ? 'world' : 'body' };

/** What covers a layer, and the colours of its matter, as programs read them. */
export class Covered {
  private readonly array: PictureArray;
  private readonly colours = gradientRows(2);
  private readonly ink = gradientRows(1);
  private readonly numbers = new Map<string, number>();
  readonly uniforms;

  constructor(
    gpu: Gpu,
    private readonly screens: Screens,
    private readonly ofBodies: boolean,
  ) {
    this.array = new PictureArray(gpu.renderer);
    this.uniforms = {
      uPatternFrom: { value: new THREE.Matrix4() },
      uPatternPeriod: { value: [1, 1, 1] },
      uPatternSeed: { value: 0 },
      uPatternLap: { value: 0 },
      uPatternChoice: { value: [0, 0, 0] },
      uPatternDrives: { value: [new THREE.Vector4(), new THREE.Vector4()] },
      uMatterColours: { value: this.colours },
      uLines: { value: [new THREE.Vector4(), new THREE.Vector4(), new THREE.Vector4()] },
      uLineInk: { value: this.ink },
      uLineHidden: { value: 0 },
      uPatternPicture: { value: this.array.texture },
      uThenPlace: { value: null as THREE.Texture | null },
      uThenTurn: { value: null as THREE.Texture | null },
      uThenWay: { value: new THREE.Vector4() },
      uThenTile: { value: 0 },
    };
  }

  /**
   * Takes what covers a layer at a phase, which is not wrapped.
   * @param then its elements as they are at a phase: place, look, turn and mark
   */
  at(
    piece: Piece,
    layer: Layer,
    { matter, pattern, lines }: Pick<DrawingLook, 'matter' | 'pattern' | 'lines'>,
    phase: number,
    then: (phase: number) => readonly THREE.Texture[],
  ): void {
    const u = this.uniforms;
    fillRows(this.colours, 0, matterOf(matter.kind).colours?.(matter) ?? null, phase);
    if (drawsLines(lines)) this.draw(lines, phase);
    if (!pattern || !covers(pattern)) return;
    fillRows(this.colours, 1, pattern.colours, phase);
    const lying = lyingOf(piece, layer, pattern, phase, this.ofBodies);
    u.uPatternFrom.value.set(...lying.from[0], ...lying.from[1], ...lying.from[2], ...lying.from[3]);
    u.uPatternPeriod.value = lying.period;
    u.uPatternSeed.value = 'seed' in pattern ? pattern.seed : 0;
    u.uPatternLap.value = evolution(pattern, phase).lap;
    const choice = patternOf(pattern.kind).choices(pattern);
    u.uPatternChoice.value = [choice[0], 'cycles' in pattern ? evolution(pattern, phase).cycles : choice[1], choice[2]];
    const [level, contrast, colour, roughens, shines, relief] = drivesAt(pattern, phase);
    u.uPatternDrives.value[0].set(level, contrast, colour, roughens);
    const vary = pattern.lies === 'body' && 'vary' in pattern && pattern.vary && this.ofBodies;
    u.uPatternDrives.value[1].set(shines, relief, Number(vary), aspectOf(pattern));
    this.glue(lying, then);
    if (pattern.kind === 'picture') this.show(pattern.file);
  }

  private draw(lines: Lines, phase: number): void {
    const u = this.uniforms;
    const values = lineValues(lines, phase);
    u.uLines.value.forEach((four, i) => four.fromArray(values, i * 4));
    fillRows(this.ink, 0, lines.inks, phase);
    u.uLineHidden.value = evaluateAnimated(lines.hidden, phase);
  }

  private glue({ since, ahead }: Lying, then: (phase: number) => readonly THREE.Texture[]): void {
    const u = this.uniforms;
    if (since === null) return;
    [u.uThenPlace.value, , u.uThenTurn.value] = this.ofBodies ? then(since) : [null, null, null];
    u.uThenTile.value = ahead?.tile ?? 0;
    if (!ahead) return;
    const { way, eye } = ahead;
    u.uThenWay.value.set(...way, -(way[0] * eye[0] + way[1] * eye[1] + way[2] * eye[2]));
  }

  private show(file: { hash: string; name: string } | null): void {
    const known = { file, kind: 'picture' } as const;
    const { level, frames } = this.screens.of(fileKey(known));
    const { width, height } = sizeOf(known);
    const size = sizeAt(width, height, level);
    const shown = frames.size === 0 || !file ? null : pixels.at(file.hash, 0, level);
    const here = shown?.width === size[0] && shown.height === size[1] ? shown : null;
    // another file of the same size is another frame of the array
    const key = here && file ? file.hash : '';
    const frame = this.numbers.get(key) ?? this.numbers.size;
    this.numbers.set(key, frame);
    this.array.take(new Set([frame]), size, level, 1, () => here ?? standIn(...size));
  }

  dispose(): void {
    this.array.dispose();
    this.colours.dispose();
    this.ink.dispose();
  }
}
