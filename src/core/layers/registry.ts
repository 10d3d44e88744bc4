import { z } from 'zod';
import type { LayerDefinition } from './definition';
import { copies, type CopiesLayer } from './copies/copies';
import { field, type FieldLayer } from './field/field';
import { backdrop, type BackdropLayer } from './backdrop/backdrop';
import { ground, type GroundLayer } from './ground/ground';
import { links, type LinksLayer } from './links/links';
import { plants, type PlantsLayer } from './plants/plants';
import { stream, type StreamLayer } from './stream/stream';
import { tunnel, type TunnelLayer } from './tunnel/tunnel';

export type Layer =
  FieldLayer | TunnelLayer | CopiesLayer | LinksLayer | StreamLayer | GroundLayer | PlantsLayer | BackdropLayer;
export type LayerKind = Layer['kind'];

/** Every kind of layer. A new kind is a folder and a line here. */
const definitions = { field, tunnel, copies, links, stream, ground, plants, backdrop };

export const LayerSchema = z.discriminatedUnion(
  'kind',
  Object.values(definitions).map(({ schema }) => schema) as never,
) as unknown as z.ZodType<Layer>;

export const layerKinds = Object.keys(definitions) as LayerKind[];

/** The definition of a kind. It takes only layers of that kind, which the document's validation guarantees. */
export const definitionOf = (kind: LayerKind): LayerDefinition<Layer> =>
  definitions[kind] as unknown as LayerDefinition<Layer>;

/** A layer of a kind with the default of every field. */
export const newLayer = (kind: LayerKind, id: string, name: string, seed = 1): Layer =>
  LayerSchema.parse({ kind, id, name, seed });
