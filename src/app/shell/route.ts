/** The piece an address opens, or null for the loops. */
export const pieceIdOf = (hash: string): string | null => /^#\/piece\/([\w-]+)$/.exec(hash)?.[1] ?? null;

export const showPiece = (id: string): void => {
  location.hash = `#/piece/${id}`;
};

export const showLoops = (): void => {
  location.hash = '#/';
};
