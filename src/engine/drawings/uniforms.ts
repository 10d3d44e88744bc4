import * as THREE from 'three';
import { matterOf } from '../../core/matter/kinds';
import type { LayerFrame, Moment } from '../layer/frame';

type Slot<T> = THREE.IUniform<T>;
const slot = <T>(value: T): Slot<T> => ({ value });
const texture = (): Slot<THREE.Texture | null> => slot<THREE.Texture | null>(null);

/** Where elements are and how bright they are at a moment. */
export const momentUniforms = () => ({
  uOpenPlace: texture(),
  uClosePlace: texture(),
  uOpenLook: texture(),
  uLight: slot(1),
});

/** The same, and by how much their tile is moved. */
export const elementUniforms = () => ({ ...momentUniforms(), uTileOffset: slot(0) });

/** The same of particles, which know their own repetition, and how soft they are and what they look like. */
export const particleUniforms = () => ({
  ...momentUniforms(),
  uTile: slot(1),
  uSoftness: slot(0),
  uSprite: slot(0),
  uKept: slot(new THREE.Vector2()),
});

export function showElements(uniforms: ReturnType<typeof momentUniforms>, { open, close, light }: Moment): void {
  uniforms.uOpenPlace.value = open[0];
  uniforms.uOpenLook.value = open[1];
  uniforms.uClosePlace.value = close[0];
  uniforms.uLight.value = light;
}

/** The same of what has a rotation and is lit. */
const turnedUniforms = () => ({
  ...momentUniforms(),
  uOpenTurn: texture(),
  uCloseTurn: texture(),
  uOpenMark: texture(),
  uMaterial: slot([new THREE.Vector4(), new THREE.Vector4(), new THREE.Vector4()]),
  uFade: slot(1),
  uLap: slot(0),
  uTakes: slot(1),
  uAirAt: slot(new THREE.Vector4()),
});

/** The same of what knows its own repetition. */
export const bodyUniforms = () => ({ ...turnedUniforms(), uTile: slot(1) });

/** The phase of a moment at a time 0..1 of the open shutter. */
export const phaseAt = ({ openPhase, closePhase }: Moment, time: number): number =>
  openPhase + (closePhase - openPhase) * time;

export function showLit(uniforms: ReturnType<typeof turnedUniforms>, moment: Moment, time: number): void {
  const { open, close, fade } = moment;
  showElements(uniforms, moment);
  uniforms.uOpenTurn.value = open[2];
  uniforms.uCloseTurn.value = close[2];
  uniforms.uOpenMark.value = open[3];
  uniforms.uFade.value = fade;
  uniforms.uLap.value = phaseAt(moment, time);
}

/** What it is made of: a kind's own numbers, as its program reads them; and whether shadows fall on it. */
export function setMatter(
  { uMaterial, uTakes, uAirAt }: ReturnType<typeof turnedUniforms>,
  { look: { matter, airAt }, receives, phases }: Pick<LayerFrame, 'look' | 'receives' | 'phases'>,
): void {
  uTakes.value = receives ? 1 : 2;
  if (airAt) uAirAt.value.set(...airAt, 1);
  else uAirAt.value.w = 0;
  const values = matterOf(matter.kind).values(matter, phases[1]);
  uMaterial.value.forEach((four, i) =>
    four.set(values[i * 4] ?? 0, values[i * 4 + 1] ?? 0, values[i * 4 + 2] ?? 0, values[i * 4 + 3] ?? 0),
  );
}
