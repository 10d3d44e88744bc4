import type { Lab } from '../src/app/lab/lab';
import type { ExportProgress } from '../src/export/client';

declare global {
  // what the lab page puts on its window, and what the command line adds to it
  var lab: Lab;
  var tellProgress: (progress: ExportProgress) => void;
}
