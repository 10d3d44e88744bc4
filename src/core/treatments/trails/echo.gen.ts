// Generated from src/core/treatments/trails/echo.glsl by npm run kernels. Do not edit.
// @ts-nocheck: unrolled loops compare constants
export const RF = new Float64Array(1), RI = new Int32Array(1);
export function echoElement(weight: number, echo: number, fade: number): void {
  fade = (fade * (1 * (1 - echo) + weight * echo));
  RF[0] = fade;
}
export function echoRun(first: number, end: number, weightA: Float64Array, echo: number, fadeA: Float64Array): void {
  
  for (let k = first; k < end; k++) {
  const t0 = weightA[k];
  const t1 = fadeA[k];
  let fade = t1;
  fade = (fade * (1 * (1 - echo) + t0 * echo));
  fadeA[k] = fade;
  }
}

/** Parameters of each exported kernel, in order: name, GLSL type, direction. */
export const signatures = {"echoElement":[{"name":"weight","type":"float","direction":"in"},{"name":"echo","type":"float","direction":"in"},{"name":"fade","type":"float","direction":"inout"}]} as const;

/** The kernel's GLSL and all it includes, by file, in the order they must stand in: see kernel.ts. */
export const sources: Record<string, string> = {
  'treatments/trails/echo.glsl': `
void echoElement(float weight, float echo, inout float fade) {
  fade *= mix(1.0, weight, echo);
}
`,
};
