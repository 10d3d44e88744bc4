import { engineUrl } from '../../engine/client';
import { exportUrl } from '../../export/client';

/** Fetches what later work is made of into the browser's cache, so that it works when the server is not there any more. */
export function warm(): void {
  const fetchAll = (): void => {
    for (const url of [engineUrl, exportUrl]) fetch(url).catch(() => undefined);
  };
  if ('requestIdleCallback' in globalThis) requestIdleCallback(fetchAll, { timeout: 3000 });
  else setTimeout(fetchAll, 1000);
}
