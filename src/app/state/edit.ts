let counter = 0;
/** An identifier that is new in this document. */
export const newId = (prefix: string): string => `${prefix}-${Date.now().toString(36)}${(counter++).toString(36)}`;
