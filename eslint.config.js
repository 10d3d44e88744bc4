import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

/** Which rooms a room may import from (docs/architecture.md). `three` belongs to the engine alone. */
const ALLOWED = {
  core: [],
  formats: ['core'],
  store: ['core'],
  engine: ['core'],
  export: ['core', 'formats', 'store', 'engine'],
  app: ['core', 'formats', 'store', 'engine', 'export'],
  pages: ['core', 'formats', 'app'],
};
const rooms = Object.keys(ALLOWED);

const direction = Object.entries(ALLOWED).map(([room, allowed]) => ({
  files: [`src/${room}/**/*.{ts,tsx}`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          ...rooms
            .filter((other) => other !== room && !allowed.includes(other))
            .map((other) => ({
              // `../other/…` from any depth; a folder of the same name inside the room is written `./other`
              regex: `^(\\.\\./)+${other}(/|$)`,
              message: `${room} must not import from ${other}`,
            })),
          ...(room === 'engine' ? [] : [{ group: ['three', 'three/*'], message: 'three is the engine’s alone' }]),
          ...(room === 'core'
            ? [{ group: ['react', 'react-*', 'comlink', 'dexie', 'node:*'], message: 'the core is pure' }]
            : []),
        ],
      },
    ],
  },
}));

export default ts.config(
  { ignores: ['dist', '.astro', 'node_modules', 'test-results', '**/*.gen.ts'] },
  js.configs.recommended,
  ...ts.configs.strict,
  {
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/no-non-null-assertion': 'error',
      'no-restricted-syntax': ['error', { selector: 'ExportDefaultDeclaration', message: 'name what you export' }],
    },
  },
  { files: ['src/app/**/*.{ts,tsx}'], plugins: { 'react-hooks': hooks }, rules: hooks.configs.recommended.rules },
  { files: ['*.js', '*.mjs', '*.config.ts', '**/*.d.ts'], rules: { 'no-restricted-syntax': 'off' } },
  {
    files: ['**/*.mjs'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        URL: 'readonly',
        Buffer: 'readonly',
        setTimeout: 'readonly',
        performance: 'readonly',
        btoa: 'readonly',
      },
    },
  },
  {
    // tests may look at three's loaders and curves as outside references
    files: ['**/*.test.ts', 'tests/**/*.ts'],
    rules: { 'no-restricted-imports': 'off' },
  },
  ...direction.map((entry) => ({ ...entry, ignores: ['**/*.test.ts'] })),
);
