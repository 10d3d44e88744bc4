/**
 * Where kernels leave what they give back, and find what they are given, when they are called rather than run over columns:
 * numbers that cross a call in registers would be boxed (measured: 400 MB per million calls). Reals and integers, in order.
 */
export const RF = new Float64Array(64);
export const RI = new Int32Array(64);
