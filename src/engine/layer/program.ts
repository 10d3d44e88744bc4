import { reachKernel } from '../../core/treatments/reach/reach.gen';
import { joinSources, uniformParameters, type KernelParameter } from '../../core/kernel/kernel';
import { COLUMNS, STATE, writes } from '../../core/elements/columns';
import { type Pipeline, type Step } from '../../core/world/pipeline';
import { pickedSource } from './picked';

/** Texels per row of an element texture. */
export const ELEMENT_ROW = 1024;

/** What the elements of a layer are kept as. */
export interface ElementSort {
  count: number;
  /** they are bodies, which are bent vertex by vertex when they are drawn, not here */
  bodies: boolean;
  /** their rotations, order and keys are kept too */
  turned: boolean;
  /** they lie in rows, so that when there are to be fewer they are picked from everywhere */
  rows: boolean;
  /** four numbers an element that do not change over the lap */
  rest: Float32Array | null;
}

/** Names that vary from vertex to vertex in the piece and space sorts, besides the columns. */
const VERTEX_STATE = new Set(['p', 'q', 'jacobian', 'byWeight', 'heart', 'piece', 'vertex', 'normal']);

const varies = (name: string): boolean => STATE.has(name) || VERTEX_STATE.has(name);
const VARYING = new Set([...STATE, ...VERTEX_STATE, 'slope']);

/** A uniform of a composed program: its name there, and where its value is found. */
export interface ComposedUniform {
  name: string;
  parameter: KernelParameter;
}

/** The uniforms of a step's own kernel and of its reach. */
export const stepUniforms = (step: Step): { own: ComposedUniform[]; reach: ComposedUniform[] } => ({
  own: uniformParameters(step.kernel, VARYING).map((parameter) => ({ name: step.prefix + parameter.name, parameter })),
  reach: step.reach
    ? uniformParameters(reachKernel, VARYING).map((parameter) => ({
        name: `${step.prefix}r_${parameter.name}`,
        parameter,
      }))
    : [],
});

const declarations = (steps: readonly Step[]): string =>
  steps
    .flatMap((step) => {
      const { own, reach } = stepUniforms(step);
      return [...own, ...reach].map(
        ({ name, parameter }) =>
          `uniform ${parameter.type === 'sampler2D' ? 'highp sampler2D' : parameter.type} ${name};`,
      );
    })
    .join('\n');

const sourcesOf = (steps: readonly Step[]): Record<string, string>[] =>
  steps.flatMap((step) => (step.reach ? [reachKernel.sources, step.kernel.sources] : [step.kernel.sources]));

/** The call of a step's kernel, after that of its reach. */
function call(step: Step): string {
  const args = (kernel: Step['kernel'], prefix: string): string =>
    kernel.signature
      .map((p) => (p.name === 'id' || varies(p.name) || p.name === 'slope' ? p.name : prefix + p.name))
      .join(', ');
  const reach = step.reach ? `reachWeight(${args(reachKernel, `${step.prefix}r_`)});` : '';
  return `  weight = 1.0; slope = vec3(0.0); ${reach}\n  ${step.kernel.entry}(${args(step.kernel, step.prefix)});\n`;
}

/** Bends a position, and what else the caller names, through every space step. */
const bend = (steps: readonly Step[], after: string): string =>
  steps.length === 0
    ? ''
    : `{
  vec3 p; vec3 q; mat3 jacobian; vec3 byWeight;
${steps.map((step) => `  p = position;\n${call(step)}  position = q;\n${after}`).join('')}}`;

/**
 * The program that computes every element of a tile: the layer's kernel, its placement and treatments, then the spokes and,
 * where elements are single vertices, the bends of space.
 */
export function elementProgram(
  pipeline: Pipeline,
  { bodies, turned, rows }: Omit<ElementSort, 'count' | 'rest'>,
): string {
  const space = bodies ? [] : pipeline.space;
  const steps = [...pipeline.element, ...space];
  const rest = Object.entries(COLUMNS).map(([name, { type, rest: value }]) => `  ${type} ${name} = ${value};`);
  const restful = pipeline.element.some((step) => step.kernel.signature.some((p) => p.name === 'rest'));
  const spokes = pipeline.element.some((step) => writes(step.kernel, 'spoke'));
  return `${joinSources(...sourcesOf(steps))}
${declarations(steps)}
layout(location = 0) out vec4 outPlace;
layout(location = 1) out vec4 outLook;
${turned ? 'layout(location = 2) out vec4 outTurn;\nlayout(location = 3) out vec4 outMark;' : ''}
uniform sampler2D uGradient;
uniform sampler2D uRest;
${rows ? pickedSource : ''}
void main() {
  uint id = uint(gl_FragCoord.y) * ${ELEMENT_ROW}u + uint(gl_FragCoord.x);
  ${rows ? 'id = pickedAt(id);' : ''}
${rest.join('\n')}
  ${restful ? `vec4 rest = texelFetch(uRest, ivec2(id % ${ELEMENT_ROW}u, id / ${ELEMENT_ROW}u), 0);` : ''}
  float weight; vec3 slope;
${pipeline.element.map(call).join('')}
  ${spokes ? 'position += rotateBy(rotation, spoke) * size;' : ''}
  ${bend(space, '')}
  outPlace = vec4(position, size);
  outLook = vec4(textureLod(uGradient, vec2(place, 0.5), 0.0).rgb * (light${bodies ? '' : ' * fade'}), fade);
  ${turned ? 'outTurn = rotation;\n  outMark = vec4(float(key), order, blur, cut);' : ''}
}`;
}

/**
 * Functions that break and bend a body vertex by vertex, to be put in front of the bodies' vertex shader:
 * breakBody in the body's own space, as far as it acts where the body stands, bendBody in the world. Normals go by the inverse transpose of the Jacobian.
 */
export const vertexProgram = (pipeline: Pipeline): string => {
  const steps = [...pipeline.piece, ...pipeline.space];
  return `${joinSources(...sourcesOf(steps))}
${declarations(steps)}
void breakBody(uint key, float order, vec3 position, vec3 heart, uint piece, inout vec3 vertex, inout vec3 normal) {
  float weight; vec3 slope;
${pipeline.piece.map(call).join('')}}
void bendBody(float order, inout vec3 position, inout vec3 normal) {
  float weight; vec3 slope;
  ${bend(
    pipeline.space,
    `  jacobian += outerProduct(byWeight, slope);
  normal = normalize(mat3(cross(jacobian[1], jacobian[2]), cross(jacobian[2], jacobian[0]), cross(jacobian[0], jacobian[1])) * normal);
`,
  )}
}
`;
};
