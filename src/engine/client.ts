import { guarded, workerName } from './work/guard';
import type { EngineApi, EngineClient } from './protocol';
import workerUrl from './worker.ts?worker&url';

export const startEngine = (): EngineClient =>
  guarded<EngineApi>(
    'The drawing worker',
    workerName('engine'),
    (name) => new Worker(workerUrl, { type: 'module', name }),
  );

export { workerUrl as engineUrl };
export { Lane } from './work/lane';
export { proxy, transfer } from 'comlink';
export type { EngineApi, EngineClient, LiveListener, LiveStatus, LiveView } from './protocol';
