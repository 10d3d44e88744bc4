import * as THREE from 'three';
import { writes } from '../../../core/elements/columns';
import type { DrawingOf, Riding } from '../../../core/layers/drawing';
import type { Mesh } from '../../../core/solids/mesh';
import { detailsOf, wholeOf, type Detail } from '../../../core/solids/details/details';
import { welded } from '../../../core/solids/details/welded';
import type { Pipeline, Step } from '../../../core/world/pipeline';
import viewSource from '../../frame/view.glsl?raw';
import noiseSource from '../../lens/noise.glsl?raw';
import { fillAttribute } from '../../gl/fill';
import { rawMaterial } from '../../gl/quad';
import { Feed } from '../../layer/feed';
import { vertexProgram } from '../../layer/program';
import { SEEN_MOMENTS, WHOLE, type DrawingKind, type MatterDrawn } from '../drawing';
import { coverVertex } from '../../matter/pattern/program';
import surfaceSource from '../../matter/surface.glsl?raw';
import { Lazily, movingMaterial } from '../../matter/moving';
import { SOLID, hidingMaterial, isOpaque, isSeenThrough, matterMaterial } from '../../matter/program';
import sidesSource from '../../seen/sides.glsl?raw';
import { SortProgram } from '../../seen/sorter';
import { bodyUniforms, phaseAt, setMatter, showLit } from '../uniforms';
import backsFragment from './backs.frag.glsl?raw';
import fragment from './bodies.frag.glsl?raw';
import elementSource from './element.glsl?raw';
import panelFragment from './panel.frag.glsl?raw';
import panelVertex from './panel.vert.glsl?raw';
import { BodyLines } from './lines';
import { panelConstants, PicturedBodies } from './pictured';
import { ExchangedBodies } from './exchanged';
import { WornBodies } from './worn';
import sortSource from './sort.glsl?raw';
import vertex from './bodies.vert.glsl?raw';

const attribute = (array: Float32Array, width: number): THREE.BufferAttribute =>
  new THREE.BufferAttribute(array, width);

/** What of a mesh is on the graphics card, once however many geometries draw it. */
function verticesOf(mesh: Mesh): Readonly<Record<string, THREE.BufferAttribute>> {
  const { position, normal, piece, uv, worn } = mesh;
  return {
    aPosition: attribute(position, 3),
    aNormal: attribute(normal, 3),
    aPiece: attribute(piece ?? new Float32Array((position.length / 3) * 4), 4),
    ...(uv && { aUv: attribute(uv, 3) }),
    ...(worn?.dye && { aDye: attribute(worn.dye, 3) }),
  };
}

/** What is seen of some elements at one moment: a geometry for each detail of their mesh. */
const geometriesOf = (
  vertices: ReturnType<typeof verticesOf>,
  corners: readonly THREE.BufferAttribute[],
): THREE.InstancedBufferGeometry[] =>
  corners.map((index) => {
    const geometry = new THREE.InstancedBufferGeometry();
    geometry.setIndex(index);
    for (const [name, column] of Object.entries(vertices)) geometry.setAttribute(name, column);
    geometry.instanceCount = 0;
    return geometry;
  });

const cornersOf = (details: readonly Detail[]): THREE.BufferAttribute[] =>
  details.map(({ index }) => new THREE.BufferAttribute(index, 1));

/** From such a share on something is there all over. */
const ENTIRELY = 'const float ENTIRELY = 0.999;\n';

/** What acts on the vertices of a body. */
const vertexSteps = ({ piece, space }: Pipeline): Step[] => [...piece, ...space];

/** Where space is bent, longer edges than the mesh's own show when they are longer than this many times what a detail may differ. */
const STRAIGHT = 20;

/** By how much each detail after the first differs, for the sorting program. */
function errorsOf([finest, ...coarser]: readonly Detail[], bent: boolean): THREE.Vector4 {
  const errors = coarser.map(({ error, longest }) =>
    bent && longest > 1.05 * finest.longest ? Math.max(error, longest / STRAIGHT) : error,
  );
  return new THREE.Vector4().fromArray([...errors, -1, -1, -1, -1]);
}

/** What the programs of some bodies must know besides their elements: whether these are cut off at an edge, blurred, hang on the camera, or show a picture. */
const headOf = (
  { element }: Pipeline,
  { cut, rides, pictured }: { cut: boolean; rides: Riding | null; pictured: boolean },
): string =>
  [
    element.some(({ kernel }) => writes(kernel, 'blur')) && rides !== 'over' ? 'BLURS' : '',
    cut ? 'CUT' : '',
    rides ? 'RIDES' : '',
    rides === 'over' ? 'OVER' : '',
    pictured ? 'PICTURED' : '',
  ]
    .map((name) => (name === '' ? '' : `#define ${name}\n`))
    .join('');

/** A mesh for each of some elements, broken and bent vertex by vertex, in as much detail as shows. */
export const bodies: DrawingKind<DrawingOf<'bodies'>> = {
  as: 'bodies',
  turned: () => true,
  make(
    { mesh, first, count, parts = WHOLE, cut = false, rides = null, whole = false, pictured, body },
    { gpu, view, pipeline, made, covered, screens },
  ): MatterDrawn {
    const [flies, bent] = [pipeline.piece.length > 0, pipeline.space.length > 0];
    const details = flies || whole ? [wholeOf(mesh)] : detailsOf(mesh);
    const feed = new Feed(vertexSteps(pipeline));
    const own = {
      ...bodyUniforms(),
      uRadius: { value: flies ? -1 : mesh.radius },
      uErrors: { value: errorsOf(details, bent) },
      uDetails: { value: [details.length, 0] },
      uCut: { value: new THREE.Vector3() },
    };
    const picture = pictured ? new PicturedBodies(gpu, screens, pictured, first, count) : null;
    const worn = made.matter === 'modelled' && mesh.worn ? new WornBodies(mesh.worn) : null;
    const exchanged = body === undefined ? null : new ExchangedBodies(body);
    const uniforms = {
      ...{ ...view, ...own, ...covered.uniforms, ...feed.uniforms },
      ...{ ...picture?.uniforms, ...worn?.uniforms, ...exchanged?.uniforms },
    };
    const composed = vertexProgram(pipeline) + viewSource;
    const placed = composed + elementSource;
    const side = mesh.open || cut ? THREE.DoubleSide : THREE.FrontSide;
    const says = headOf(pipeline, { cut, rides, pictured: picture !== null }) + (mesh.open ? '#define OPEN\n' : '');
    const shader = says + placed + coverVertex(made.cover) + (picture ? panelVertex : '') + vertex;
    const shows = picture ? panelConstants + panelFragment : '';
    const materials = ['#define ENTIRE\n', ENTIRELY].map((head) =>
      matterMaterial(
        { ...made, worn: worn?.head ?? '' },
        [shader, says + noiseSource + head + shows + fragment],
        uniforms,
        side,
      ),
    );
    const seenThrough = isSeenThrough(made.matter);
    const backs =
      seenThrough && !mesh.open
        ? rawMaterial(shader, surfaceSource + backsFragment, uniforms, { ...SOLID, side: THREE.BackSide })
        : null;
    // as lights see what is there all over
    const hiding = cut || picture ? null : hidingMaterial(shader, uniforms, side);
    const moving = new Lazily(() => movingMaterial(shader, uniforms, side));
    const sort =
      (bent ? '#define BENT\n' : '') +
      (exchanged ? '#define EXCHANGED\n' : '') +
      ENTIRELY +
      composed +
      sidesSource +
      sortSource;
    const program = new SortProgram(sort, uniforms, null);
    const object = new THREE.Mesh(new THREE.BufferGeometry(), materials[0].material);
    const lines =
      made.lines === 'none' ? null : new BodyLines(gpu, mesh, details, says + placed, uniforms, made.lines === 'wire');
    const seen: THREE.InstancedBufferGeometry[][] = [];
    const vertices = verticesOf(mesh);
    const corners = cornersOf(details);
    let welds: readonly THREE.BufferAttribute[] | null = null;
    /** as lights see it, which do not ask which way it faces */
    const outlines = (): readonly THREE.BufferAttribute[] =>
      (welds ??= cornersOf(details.map((detail) => ({ ...detail, index: welded(mesh, detail.index) }))));
    let now = 0;
    const drawAll = (own: THREE.RawShaderMaterial, target: THREE.WebGLRenderTarget): void => {
      object.material = own;
      gpu.stage.drawInstances(gpu.renderer, object, seen[now], target);
    };
    const solid = isOpaque(made.matter) && worn?.partly !== true;
    own.uDetails.value[1] = Number(solid);
    let steps = vertexSteps(pipeline);
    return {
      stage: 'matter',
      casts: rides !== 'over',
      seenThrough,
      unsettled: picture !== null || exchanged !== null || !solid,
      parts,
      absent: () => exchanged?.absent === true,
      sorting: {
        program,
        classes: materials.length * details.length,
        first,
        count,
        take(moment, { pairs, starts }) {
          const as = moment < SEEN_MOMENTS || pictured ? corners : outlines();
          const geometries = (seen[moment] ??= materials.flatMap(() => geometriesOf(vertices, as)));
          geometries.forEach((geometry, k) => {
            fillAttribute(geometry, 'aElement', pairs.subarray(2 * starts[k], 2 * starts[k + 1]), 2);
            geometry.instanceCount = starts[k + 1] - starts[k];
          });
          if (!lines || moment >= SEEN_MOMENTS) return;
          lines.of(moment, geometries.length).forEach((geometry, k) => {
            fillAttribute(geometry, 'aElement', pairs.subarray(2 * starts[k], 2 * starts[k + 1]), 2);
            geometry.instanceCount = starts[k + 1] - starts[k];
          });
        },
      },
      update(frame) {
        steps = vertexSteps(frame.pipeline);
        own.uTile.value = frame.piece.tile;
        picture?.update(frame);
        exchanged?.update(frame);
        own.uDetails.value[1] = Number(solid && picture?.partly !== true);
        setMatter(own, frame);
        if (frame.look.cut) own.uCut.value.set(...frame.look.cut);
        for (const { take } of materials) take(frame.piece);
      },
      show(moment, time) {
        now = moment.index;
        showLit(own, moment, time);
        feed.at(steps, phaseAt(moment, time));
      },
      draw(_at, target) {
        for (const [k, geometry] of seen[now].entries()) {
          if (geometry.instanceCount === 0) continue;
          object.geometry = geometry;
          const entire = k < details.length;
          object.material = entire && hiding && now >= SEEN_MOMENTS ? hiding : materials[entire ? 0 : 1].material;
          gpu.stage.draw(gpu.renderer, object, target);
        }
      },
      ...(lines && {
        drawLines(target: THREE.WebGLRenderTarget): void {
          lines.draw(now, target);
        },
      }),
      drawMotion: (target) => drawAll(moving.get(), target),
      drawBacks(_at, target) {
        if (backs) drawAll(backs, target);
      },
      dispose() {
        picture?.dispose();
        worn?.dispose();
        exchanged?.dispose();
        backs?.dispose();
        lines?.dispose();
        feed.dispose();
        program.dispose();
        for (const geometry of seen.flat()) geometry.dispose();
        for (const { material } of materials) material.dispose();
        hiding?.dispose();
        moving.dispose();
      },
    };
  },
};
