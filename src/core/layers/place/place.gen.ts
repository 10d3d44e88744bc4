// Generated from src/core/layers/place/place.glsl by npm run kernels. Do not edit.
// @ts-nocheck: unrolled loops compare constants
import { sources as from0 } from '../../space/rotation.gen';
export const RF = new Float64Array(8), RI = new Int32Array(1);
export function placeElement(placeAt_x: number, placeAt_y: number, placeAt_z: number, placeTurn_x: number, placeTurn_y: number, placeTurn_z: number, placeTurn_w: number, placeScale: number, position_x: number, position_y: number, position_z: number, rotation_x: number, rotation_y: number, rotation_z: number, rotation_w: number, size: number): void {
  const t0 = placeTurn_x;
  const t1 = placeTurn_y;
  const t2 = placeTurn_z;
  const t3 = placeTurn_w;
  const t4 = (position_x * placeScale);
  const t5 = (position_y * placeScale);
  const t6 = (position_z * placeScale);
  let t_x = ((t1 * t6 - t2 * t5) * 2);
  let t_y = ((t2 * t4 - t0 * t6) * 2);
  let t_z = ((t0 * t5 - t1 * t4) * 2);
  const t7 = ((t4 + (t_x * t3)) + (t1 * t_z - t2 * t_y));
  const t8 = ((t5 + (t_y * t3)) + (t2 * t_x - t0 * t_z));
  const t9 = ((t6 + (t_z * t3)) + (t0 * t_y - t1 * t_x));
  position_x = (placeAt_x + t7);
  position_y = (placeAt_y + t8);
  position_z = (placeAt_z + t9);
  const t10 = (((rotation_x * placeTurn_w) + (placeTurn_x * rotation_w)) + (placeTurn_y * rotation_z - placeTurn_z * rotation_y));
  const t11 = (((rotation_y * placeTurn_w) + (placeTurn_y * rotation_w)) + (placeTurn_z * rotation_x - placeTurn_x * rotation_z));
  const t12 = (((rotation_z * placeTurn_w) + (placeTurn_z * rotation_w)) + (placeTurn_x * rotation_y - placeTurn_y * rotation_x));
  const t13 = ((placeTurn_w * rotation_w) - (((placeTurn_x * rotation_x) + (placeTurn_y * rotation_y)) + (placeTurn_z * rotation_z)));
  rotation_x = t10;
  rotation_y = t11;
  rotation_z = t12;
  rotation_w = t13;
  size = (size * placeScale);
  RF[0] = position_x;
  RF[1] = position_y;
  RF[2] = position_z;
  RF[3] = rotation_x;
  RF[4] = rotation_y;
  RF[5] = rotation_z;
  RF[6] = rotation_w;
  RF[7] = size;
}
export function placeRun(first: number, end: number, placeAt_x: number, placeAt_y: number, placeAt_z: number, placeTurn_x: number, placeTurn_y: number, placeTurn_z: number, placeTurn_w: number, placeScale: number, positionA: Float64Array, rotationA: Float64Array, sizeA: Float64Array): void {
  
  for (let k = first; k < end; k++) {
  const t0 = positionA[k * 3];
  const t1 = positionA[k * 3 + 1];
  const t2 = positionA[k * 3 + 2];
  const t3 = rotationA[k * 4];
  const t4 = rotationA[k * 4 + 1];
  const t5 = rotationA[k * 4 + 2];
  const t6 = rotationA[k * 4 + 3];
  const t7 = sizeA[k];
  let position_x = t0;
  let position_y = t1;
  let position_z = t2;
  let rotation_x = t3;
  let rotation_y = t4;
  let rotation_z = t5;
  let rotation_w = t6;
  let size = t7;
  const t8 = (position_x * placeScale);
  const t9 = (position_y * placeScale);
  const t10 = (position_z * placeScale);
  let t_x = ((placeTurn_y * t10 - placeTurn_z * t9) * 2);
  let t_y = ((placeTurn_z * t8 - placeTurn_x * t10) * 2);
  let t_z = ((placeTurn_x * t9 - placeTurn_y * t8) * 2);
  const t11 = ((t8 + (t_x * placeTurn_w)) + (placeTurn_y * t_z - placeTurn_z * t_y));
  const t12 = ((t9 + (t_y * placeTurn_w)) + (placeTurn_z * t_x - placeTurn_x * t_z));
  const t13 = ((t10 + (t_z * placeTurn_w)) + (placeTurn_x * t_y - placeTurn_y * t_x));
  position_x = (placeAt_x + t11);
  position_y = (placeAt_y + t12);
  position_z = (placeAt_z + t13);
  const t14 = (((rotation_x * placeTurn_w) + (placeTurn_x * rotation_w)) + (placeTurn_y * rotation_z - placeTurn_z * rotation_y));
  const t15 = (((rotation_y * placeTurn_w) + (placeTurn_y * rotation_w)) + (placeTurn_z * rotation_x - placeTurn_x * rotation_z));
  const t16 = (((rotation_z * placeTurn_w) + (placeTurn_z * rotation_w)) + (placeTurn_x * rotation_y - placeTurn_y * rotation_x));
  const t17 = ((placeTurn_w * rotation_w) - (((placeTurn_x * rotation_x) + (placeTurn_y * rotation_y)) + (placeTurn_z * rotation_z)));
  rotation_x = t14;
  rotation_y = t15;
  rotation_z = t16;
  rotation_w = t17;
  size = (size * placeScale);
  positionA[k * 3] = position_x;
  positionA[k * 3 + 1] = position_y;
  positionA[k * 3 + 2] = position_z;
  rotationA[k * 4] = rotation_x;
  rotationA[k * 4 + 1] = rotation_y;
  rotationA[k * 4 + 2] = rotation_z;
  rotationA[k * 4 + 3] = rotation_w;
  sizeA[k] = size;
  }
}

/** Parameters of each exported kernel, in order: name, GLSL type, direction. */
export const signatures = {"placeElement":[{"name":"placeAt","type":"vec3","direction":"in"},{"name":"placeTurn","type":"vec4","direction":"in"},{"name":"placeScale","type":"float","direction":"in"},{"name":"position","type":"vec3","direction":"inout"},{"name":"rotation","type":"vec4","direction":"inout"},{"name":"size","type":"float","direction":"inout"}]} as const;

/** The kernel's GLSL and all it includes, by file, in the order they must stand in: see kernel.ts. */
export const sources: Record<string, string> = {
  ...from0,
  'layers/place/place.glsl': `
void placeElement(vec3 placeAt, vec4 placeTurn, float placeScale, inout vec3 position, inout vec4 rotation, inout float size) {
  position = placeAt + rotateBy(placeTurn, position * placeScale);
  rotation = quatTimes(placeTurn, rotation);
  size *= placeScale;
}
`,
};
