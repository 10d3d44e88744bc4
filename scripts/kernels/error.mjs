/**
 * A place in a kernel.
 * @typedef {{ start: { line: number, column: number } }} Location
 */

/** What a kernel holds that it may not, where a person finds it. */
export class KernelError extends Error {
  /** @param {string} message @param {Location | null | undefined} location @param {string} source @param {string} file */
  constructor(message, location, source, file) {
    const { line, column } = location?.start ?? { line: 0, column: 0 };
    const frame = line
      ? `\n  ${String(line).padStart(4)} | ${source.split('\n')[line - 1]}\n         ${' '.repeat(column - 1)}^`
      : '';
    super(`${file}:${line}:${column}: error: ${message}${frame}`);
    /** @override */
    this.name = 'KernelError';
    this.loc = { file, line, column };
  }
}
