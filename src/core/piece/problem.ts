/** Something of a file that keeps it from being read. */
export interface Problem {
  /** where in the file, such as `layers.0.radius`; empty for the file as a whole */
  where: string;
  what: string;
}
