import * as THREE from 'three';
import { fullscreenMaterial, Quad, Stage } from './quad';

/**
 * Runs a snippet of kernel code on the GPU for ids 0…count−1 and reads four floats each back.
 * Integers travel as bits (`uintBitsToFloat`). For conformance tests and the machine check.
 * @param source GLSL put in front; @param body statements that set `vec4 result` from `uint id`
 */
export function probe(renderer: THREE.WebGLRenderer, source: string, body: string, count: number): Float32Array {
  const width = 1024;
  const height = Math.ceil(count / width);
  const target = new THREE.WebGLRenderTarget(width, height, {
    type: THREE.UnsignedIntType,
    format: THREE.RGBAIntegerFormat,
    internalFormat: 'RGBA32UI',
    minFilter: THREE.NearestFilter,
    magFilter: THREE.NearestFilter,
    depthBuffer: false,
  });
  const material = fullscreenMaterial(
    `${source}
out uvec4 outBits;
void main() {
  uint id = uint(gl_FragCoord.y) * ${width}u + uint(gl_FragCoord.x);
  vec4 result = vec4(0.0);
  uvec4 bits = uvec4(0u);
  bool integers = false;
  ${body}
  outBits = integers ? bits : floatBitsToUint(result);
}`,
    {},
  );
  new Quad(new Stage()).draw(renderer, material, target);
  const bits = new Uint32Array(width * height * 4);
  const gl = renderer.getContext() as WebGL2RenderingContext;
  gl.readPixels(0, 0, width, height, gl.RGBA_INTEGER, gl.UNSIGNED_INT, bits);
  material.dispose();
  target.dispose();
  return new Float32Array(bits.buffer).slice(0, count * 4);
}
