/** Factors of units to the one a field is in. */
const UNITS: Record<string, Record<string, number>> = {
  m: { m: 1, cm: 0.01, mm: 0.001, km: 1000 },
  mm: { mm: 1, cm: 10, m: 1000 },
  '°': { '°': 1, deg: 1, turn: 360, turns: 360 },
  turns: { turn: 1, turns: 1, '°': 1 / 360, deg: 1 / 360 },
  s: { s: 1, ms: 0.001, min: 60 },
};

/**
 * Reads a typed number: `2.5`, `1/5`, `3*2+1`, `(1+2)/4`, `40 cm` in a field of metres. A comma may be the decimal point.
 * @param more factors of units that this field takes besides, to the one it is in
 * @returns the number in the field's unit, or null when it is none
 */
export function readNumber(text: string, unit = '', more: Readonly<Record<string, number>> = {}): number | null {
  const trimmed = text.trim().replace(/,/g, '.').replace(/−/g, '-');
  const suffix = /([a-z°%×]+)\s*$/i.exec(trimmed)?.[1] ?? '';
  const factor =
    suffix === ''
      ? 1
      : (more[suffix.toLowerCase()] ?? UNITS[unit]?.[suffix.toLowerCase()] ?? (unit.startsWith(suffix) ? 1 : null));
  if (factor === null) return null;
  const tokens =
    trimmed.slice(0, trimmed.length - suffix.length).match(/\d+\.?\d*(?:e-?\d+)?|\.\d+|[-+*/()]|\S/gi) ?? [];
  let at = 0;
  const sum = (): number => {
    let value = product();
    while (tokens[at] === '+' || tokens[at] === '-') value += tokens[at++] === '+' ? product() : -product();
    return value;
  };
  const product = (): number => {
    let value = atom();
    while (tokens[at] === '*' || tokens[at] === '/') value = tokens[at++] === '*' ? value * atom() : value / atom();
    return value;
  };
  const atom = (): number => {
    const token = tokens[at++];
    if (token === '-') return -atom();
    if (token === '+') return atom();
    if (token === '(') {
      const value = sum();
      return tokens[at++] === ')' ? value : NaN;
    }
    return token === undefined ? NaN : Number(token);
  };
  const value = sum() * factor;
  return at >= tokens.length && Number.isFinite(value) ? value : null;
}
