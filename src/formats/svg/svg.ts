import { SaxesParser } from 'saxes';
import svgpath from 'svgpath';
import { Trouble } from '../../core/trouble';
import type { Mark } from '../../core/type/mark';
import { contourBounds, type Contour, type Shape } from '../../core/type/shape';
import { PathBuilder } from '../shapes/path';
import { shapesOf, type FillRule } from '../shapes/shapes';

/** What a drawing may hold at most. */
const MOST = { elements: 20_000, depth: 60, uses: 6, points: 60_000, paths: 2000, text: 4_000_000 } as const;
/** Chords are off by at most this share of the whole drawing. */
const TOLERANCE = 0.0006;

interface Node {
  name: string;
  attributes: Readonly<Record<string, string>>;
  children: Node[];
}

/** What is not drawn where it stands. */
const APART = new Set(['defs', 'clipPath', 'mask', 'symbol', 'pattern', 'marker', 'metadata', 'script', 'style']);

const fail = (name: string, what: string, would?: string): never => {
  throw new Trouble('refused', `“${name}” is not a mark that can be used: ${what}`, { would });
};

/** The elements of a drawing. Nothing it names outside itself is looked at; entities of its own are errors. */
function treeOf(text: string, name: string): Node {
  const root: Node = { name: '', attributes: {}, children: [] };
  const open = [root];
  let count = 0;
  const parser = new SaxesParser();
  parser.on('error', (error) => fail(name, error.message.split('\n')[0]));
  parser.on('opentag', ({ name: tag, attributes }) => {
    if (++count > MOST.elements) fail(name, `it holds more than ${MOST.elements} elements`);
    if (open.length > MOST.depth) fail(name, `it is nested more than ${MOST.depth} deep`);
    const node: Node = { name: tag.replace(/^svg:/, ''), attributes, children: [] };
    open[open.length - 1].children.push(node);
    open.push(node);
  });
  parser.on('closetag', () => void open.pop());
  parser.write(text).close();
  return root;
}

/** A property: from the style of an element, or its attribute. */
function property({ attributes }: Node, name: string): string | undefined {
  const style = /(?:^|;)\s*([\w-]+)\s*:\s*([^;]+)/g;
  for (const [, key, value] of (attributes.style ?? '').matchAll(style)) if (key === name) return value.trim();
  return attributes[name];
}

const numberOf = (node: Node, name: string, otherwise = 0): number => {
  const value = Number.parseFloat(node.attributes[name] ?? '');
  return Number.isFinite(value) ? value : otherwise;
};

/** The path of a basic shape (SVG 1.1, §9), or of a path; null for anything else. */
function pathOf(node: Node): string | null {
  const n = (name: string): number => numberOf(node, name);
  const ellipse = (cx: number, cy: number, rx: number, ry: number): string =>
    `M${cx - rx} ${cy}A${rx} ${ry} 0 1 0 ${cx + rx} ${cy}A${rx} ${ry} 0 1 0 ${cx - rx} ${cy}Z`;
  switch (node.name) {
    case 'path':
      return node.attributes.d ?? '';
    case 'circle':
      return ellipse(n('cx'), n('cy'), n('r'), n('r'));
    case 'ellipse':
      return ellipse(n('cx'), n('cy'), n('rx'), n('ry'));
    case 'polygon':
    case 'polyline':
      return `M${node.attributes.points ?? ''}Z`;
    case 'rect': {
      const [x, y, w, h] = [n('x'), n('y'), n('width'), n('height')];
      const rx = Math.min(w / 2, numberOf(node, 'rx', n('ry')));
      const ry = Math.min(h / 2, numberOf(node, 'ry', n('rx')));
      if (rx <= 0 || ry <= 0) return `M${x} ${y}h${w}v${h}h${-w}Z`;
      const arc = (dx: number, dy: number): string => `a${rx} ${ry} 0 0 1 ${dx} ${dy}`;
      return `M${x + rx} ${y}h${w - 2 * rx}${arc(rx, ry)}v${h - 2 * ry}${arc(-rx, ry)}h${2 * rx - w}${arc(-rx, -ry)}v${2 * ry - h}${arc(rx, -ry)}Z`;
    }
    default:
      return null;
  }
}

interface Painted {
  d: string;
  /** transforms from the outermost inwards */
  transforms: readonly string[];
  rule: FillRule;
}

/** What a drawing fills, in order. */
function painted(root: Node): Painted[] {
  const out: Painted[] = [];
  const named = new Map<string, Node>();
  const collect = (node: Node): void => {
    if (node.attributes.id) named.set(node.attributes.id, node);
    node.children.forEach(collect);
  };
  collect(root);
  const walk = (node: Node, transforms: readonly string[], fill: string, rule: FillRule, uses: number): void => {
    if (APART.has(node.name) || property(node, 'display') === 'none' || property(node, 'visibility') === 'hidden')
      return;
    if (out.length > MOST.paths) return;
    const own = property(node, 'fill') ?? fill;
    const stated = property(node, 'fill-rule');
    const how = stated === 'evenodd' || stated === 'nonzero' ? stated : rule;
    const moved = node.attributes.transform ? [...transforms, node.attributes.transform] : transforms;
    const d = pathOf(node);
    if (d && own !== 'none' && own !== 'transparent') out.push({ d, transforms: moved, rule: how });
    if (node.name === 'use' && uses < MOST.uses) {
      const target = named.get((node.attributes.href ?? node.attributes['xlink:href'] ?? '').replace(/^#/, ''));
      const at = `translate(${numberOf(node, 'x')} ${numberOf(node, 'y')})`;
      if (target) {
        const shown = target.name === 'symbol' ? { ...target, name: 'g' } : target;
        walk(shown, [...moved, at], own, how, uses + 1);
      }
    }
    for (const child of node.children) walk(child, moved, own, how, uses);
  };
  walk(root, [], 'black', 'nonzero', 0);
  return out;
}

/** The contours of a path in the drawing's own coordinates, y upwards. */
function contoursOf({ d, transforms }: Painted, tolerance: number): Contour[] {
  const path = new PathBuilder({ tolerance, most: MOST.points });
  const moved = [...transforms].reverse().reduce((so, transform) => so.transform(transform), svgpath(d));
  let at: [number, number] = [0, 0];
  let start = at;
  moved
    .abs()
    .unshort()
    .unarc()
    .iterate(([command, ...numbers]: readonly [string, ...number[]]) => {
      const to = numbers.slice(-2) as [number, number];
      if (command === 'M') path.moveTo(to[0], -to[1]);
      if (command === 'L') path.lineTo(to[0], -to[1]);
      if (command === 'H') path.lineTo(numbers[0], -at[1]);
      if (command === 'V') path.lineTo(at[0], -numbers[0]);
      if (command === 'Q') path.quadraticTo(numbers[0], -numbers[1], to[0], -to[1]);
      if (command === 'C') path.cubicTo(numbers[0], -numbers[1], numbers[2], -numbers[3], to[0], -to[1]);
      if (command === 'Z' || command === 'z') {
        path.close();
        at = start;
      } else at = command === 'H' ? [numbers[0], at[1]] : command === 'V' ? [at[0], numbers[0]] : to;
      if (command === 'M') start = at;
    });
  return path.contours();
}

/** How large a drawing says it is. */
function extentOf(root: Node): number {
  const svg = root.children.find(({ name }) => name === 'svg');
  const box = (svg?.attributes.viewBox ?? '').split(/[\s,]+/).map(Number);
  const stated = Math.max(
    box[2] || 0,
    box[3] || 0,
    svg ? numberOf(svg, 'width') : 0,
    svg ? numberOf(svg, 'height') : 0,
  );
  return stated > 0 ? stated : 100;
}

/**
 * The filled shapes of an SVG drawing, one unit high about their middle; each path, rectangle, circle, ellipse and polygon is
 * an element. Scripts, styles, pictures, letters and all that is outside of it are left out.
 * @throws Trouble `refused` when it cannot be read, or fills nothing
 */
export function readMark(bytes: Uint8Array, name: string): Mark {
  if (bytes.length > MOST.text) fail(name, `it is larger than ${MOST.text / 1e6} MB`);
  const root = treeOf(new TextDecoder().decode(bytes), name);
  const tolerance = TOLERANCE * extentOf(root);
  let paths: Shape[][];
  try {
    paths = painted(root)
      .map((one) => shapesOf(contoursOf(one, tolerance), one.rule))
      .filter((shapes) => shapes.length > 0);
  } catch (error) {
    return fail(name, error instanceof Error ? error.message : String(error));
  }
  if (paths.length === 0)
    fail(name, 'it has no filled shapes', 'Turn strokes and letters into outlines in the program it was drawn in.');
  return { name, paths: unitHigh(paths) };
}

/** Shapes moved to the middle and scaled to a height of one. */
function unitHigh(paths: readonly (readonly Shape[])[]): Shape[][] {
  const { left, right, bottom, top } = contourBounds(...paths.flat().map(({ outline }) => outline));
  const scale = 1 / Math.max(top - bottom, 1e-6 * (right - left), 1e-9);
  const middle = [(left + right) / 2, (bottom + top) / 2];
  const moved = (contour: Contour): Contour => contour.map((v, i) => (v - middle[i % 2]) * scale);
  return paths.map((shapes) =>
    shapes.map(({ outline, holes }) => ({ outline: moved(outline), holes: holes.map(moved) })),
  );
}
