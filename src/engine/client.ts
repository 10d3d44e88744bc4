import type * as Comlink from 'comlink';
import { guarded, workerName, type Guarded } from './work/guard';
import type { EngineApi } from './protocol';
import workerUrl from './worker.ts?worker&url';

/** An engine in a worker of its own. Live picture and background work use separate ones. */
export type EngineClient = Guarded<EngineApi>;
export type EngineRemote = Comlink.Remote<EngineApi>;

export const startEngine = (): EngineClient =>
  guarded<EngineApi>(
    'The drawing worker',
    workerName('engine'),
    (name) => new Worker(workerUrl, { type: 'module', name }),
  );

export { workerUrl as engineUrl };
export { Lane } from './work/lane';
export { proxy, transfer } from 'comlink';
export type { EngineApi, EngineTrouble, LiveListener, LiveStatus, LiveView } from './protocol';
