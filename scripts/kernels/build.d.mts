/** Makes the translations of all kernels where one is missing or stale. @returns how many were made */
export function ensureKernels(): Promise<number>;
