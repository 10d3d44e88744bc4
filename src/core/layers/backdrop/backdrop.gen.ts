// Generated from src/core/layers/backdrop/backdrop.glsl by npm run kernels. Do not edit.
// @ts-nocheck: unrolled loops compare constants
export const RF = new Float64Array(5), RI = new Int32Array(1);
export function backdropElement(id: number, bodySize: number): void {
  let position_x = 0;
  let position_y = 0;
  let position_z = 0;
  let size = 0;
  let place = 0;
  id = id | 0;
  position_x = 0;
  position_y = 0;
  position_z = 0;
  size = bodySize;
  place = 0.5;
  RF[0] = position_x;
  RF[1] = position_y;
  RF[2] = position_z;
  RF[3] = size;
  RF[4] = place;
}
export function backdropRun(first: number, end: number, bodySize: number, position_o: Float64Array, size_o: Float64Array, place_o: Float64Array): void {
  
  for (let k = first; k < end; k++) {
  const t0 = k;
  let position_x = 0;
  let position_y = 0;
  let position_z = 0;
  let size = 0;
  let place = 0;
  position_x = 0;
  position_y = 0;
  position_z = 0;
  size = bodySize;
  place = 0.5;
  position_o[k * 3] = position_x;
  position_o[k * 3 + 1] = position_y;
  position_o[k * 3 + 2] = position_z;
  size_o[k] = size;
  place_o[k] = place;
  }
}

/** Parameters of each exported kernel, in order: name, GLSL type, direction. */
export const signatures = {"backdropElement":[{"name":"id","type":"uint","direction":"in"},{"name":"bodySize","type":"float","direction":"in"},{"name":"position","type":"vec3","direction":"out"},{"name":"size","type":"float","direction":"out"},{"name":"place","type":"float","direction":"out"}]} as const;

/** The kernel's GLSL and all it includes, by file, in the order they must stand in: see kernel.ts. */
export const sources: Record<string, string> = {
  'layers/backdrop/backdrop.glsl': `
void backdropElement(uint id, float bodySize, out vec3 position, out float size, out float place) {
  position = vec3(0.0);
  size = bodySize;
  place = 0.5;
}
`,
};
