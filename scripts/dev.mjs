// Development: the kernels are translated again whenever one changes, and Astro serves with live reload.
import { spawn } from 'node:child_process';
import { root } from './run.mjs';

const children = [
  spawn('node', ['scripts/kernels/build.mjs', '--watch'], { cwd: root, stdio: 'inherit' }),
  spawn('npx', ['astro', 'dev'], { cwd: root, stdio: 'inherit' }),
];
const stop = () => children.forEach((child) => child.kill());
process.on('SIGINT', stop);
process.on('SIGTERM', stop);
children.forEach((child) => child.on('exit', stop));
