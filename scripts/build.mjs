// Builds the app whether or not its sources have changed.
import { run } from './run.mjs';

process.exitCode = await run('npx', ['astro', 'build', '--silent']);
