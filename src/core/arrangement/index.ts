export * from './arrangement';
export * from './form';
