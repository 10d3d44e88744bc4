/** The piece an address opens, or null for the loops. */
export const pieceIdOf = (hash: string): string | null => /^#\/piece\/([\w-]+)$/.exec(hash)?.[1] ?? null;

/** The name of the piece that ships of which an address opens a copy; null for none. */
export const recipeNameOf = (hash: string): string | null => /^#\/recipe\/([\w-]+)$/.exec(hash)?.[1] ?? null;

/** Takes the place of a recipe's address, so that going back leads to the loops. */
export const leaveRecipe = (): void => history.replaceState(null, '', '#/');

export const showPiece = (id: string): void => {
  location.hash = `#/piece/${id}`;
};

export const showLoops = (): void => {
  location.hash = '#/';
};
