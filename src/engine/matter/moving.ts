import * as THREE from 'three';
import type { Uniforms } from '../gl/gpu';
import { rawMaterial } from '../gl/quad';
import movingFragment from './moving.frag.glsl?raw';

/** What begins with the shutter's time, and looks with the camera of that time: stands before a vertex program. */
const HEAD = `
float moment_;           // place in the shutter, 0..1
mat4 view_;
uniform mat4 uViewMid;
#ifndef RIDES
uniform mat4 uViewOpen;
uniform mat4 uViewClose;
#endif
out vec4 vWas;           // where it is seen when the shutter opens, and when it closes
out vec4 vWill;
`;
const MAIN = `
void main() {
  moment_ = 0.0;
  view_ = uViewOpen;
  seenThen();
  vWas = gl_Position;
  moment_ = 1.0;
  view_ = uViewClose;
  seenThen();
  vWill = gl_Position;
  moment_ = 0.5;
  view_ = uViewMid;
  seenThen();
}
`;

/** Text with one passage in the place of another. @throws RangeError when it is not there, which would leave a vertex where it is */
function instead(text: string, passage: RegExp, by: string): string {
  if (!passage.test(text)) throw new RangeError(`a vertex program has nothing like ${String(passage)}`);
  return text.replace(passage, by);
}

/**
 * A material that says how far what is seen of something moves while the shutter is open, in pixels: its vertex program runs three times, when the
 * shutter opens, when it closes, and in the middle. What bends space is as it is in the middle.
 * @param vertex one that takes its time from uTime and its camera from uView, and says where in the view it is as vView
 */
export function movingMaterial(vertex: string, uniforms: Uniforms, side: THREE.Side): THREE.RawShaderMaterial {
  const timed = instead(instead(vertex, /uniform float uTime;/, ''), /uniform mat4 uView;/, '')
    .replaceAll(/\buTime\b/g, 'moment_')
    .replaceAll(/\buView\b/g, 'view_');
  const defines = /^(?:#define .*\n)*/.exec(timed)?.[0] ?? '';
  const program = defines + HEAD + instead(timed.slice(defines.length), /void main\(\)/, 'void seenThen()') + MAIN;
  return rawMaterial(program, movingFragment, uniforms, { side });
}

/** A material that is made when it is first asked for. */
export class Lazily {
  private own: THREE.RawShaderMaterial | null = null;

  constructor(private readonly make: () => THREE.RawShaderMaterial) {}

  get(): THREE.RawShaderMaterial {
    return (this.own ??= this.make());
  }

  dispose(): void {
    this.own?.dispose();
  }
}
