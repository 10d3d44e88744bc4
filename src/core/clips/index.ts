export * from './closing';
export * from './facts';
export * from './join';
