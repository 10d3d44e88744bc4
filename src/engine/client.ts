import * as Comlink from 'comlink';
import type { EngineApi } from './protocol';

/** An engine in a worker of its own. Live picture and background work use separate ones. */
export interface EngineClient {
  api: Comlink.Remote<EngineApi>;
  close(): void;
}

export function startEngine(): EngineClient {
  const worker = new Worker(new URL('./worker.ts', import.meta.url), { type: 'module', name: 'engine' });
  const api = Comlink.wrap<EngineApi>(worker);
  return {
    api,
    close() {
      api[Comlink.releaseProxy]();
      worker.terminate();
    },
  };
}

export { proxy, transfer } from 'comlink';
export type { EngineApi, EngineTrouble, LiveListener, LiveStatus, LiveView } from './protocol';
