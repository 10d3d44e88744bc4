import { readFileSync } from 'node:fs';
import { ESLint } from 'eslint';
import ts from 'typescript-eslint';
import { describe, expect, it } from 'vitest';

// what the types know is left to the lint itself: reading them all takes as long as all else here
const eslint = new ESLint({ overrideConfig: ts.configs.disableTypeChecked });

/** The rules that a file would break if it began with a line more. */
async function broken(file: string, line: string): Promise<string[]> {
  const [result] = await eslint.lintText(`${line}\n${readFileSync(file, 'utf8')}`, { filePath: file });
  return result.messages.flatMap(({ ruleId }) => ruleId ?? []);
}

describe('lint', () => {
  it.each([
    ['nothing', 'src/core/time/lap.ts', '', []],
    ['a room below', 'src/core/forms/number.ts', "export * from '../layers/base';", ['no-restricted-imports']],
    ['the world from a layer', 'src/core/layers/base.ts', "export * from '../world/route';", ['no-restricted-imports']],
    [
      'the engine from the core',
      'src/core/time/lap.ts',
      "export * from '../../engine/frame/shot';",
      ['no-restricted-imports'],
    ],
    ['three outside the engine', 'src/core/time/lap.ts', "export * from 'three';", ['no-restricted-imports']],
    ['a circle', 'src/core/time/lap.ts', "export * from './animated';", ['import-x/no-cycle']],
    ['a circle of types', 'src/core/time/lap.ts', "export type { Key } from './animated';", ['import-x/no-cycle']],
    [
      'a cast through unknown',
      'src/core/time/lap.ts',
      'export const odd = 1 as unknown as string;',
      ['no-restricted-syntax'],
    ],
  ])('refuses %s', async (_, file, line, rules) => {
    const found = await broken(file, line);
    expect([...new Set(found)]).toEqual(expect.arrayContaining(rules));
    if (rules.length === 0) expect(found).toEqual([]);
  });
});
