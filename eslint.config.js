import js from '@eslint/js';
import cycles from 'eslint-plugin-import-x';
import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

/** Which rooms a room may import from (docs/architecture.md). `three` belongs to the engine alone. */
const ALLOWED = {
  core: [],
  formats: ['core'],
  files: ['core', 'formats'],
  store: ['core'],
  engine: ['core', 'files'],
  export: ['core', 'formats', 'files', 'store', 'engine'],
  app: ['core', 'formats', 'files', 'store', 'engine', 'export'],
  pages: ['core', 'formats', 'app', 'export'],
};
const rooms = Object.keys(ALLOWED);

/** The rooms of the core: each may import only from those before it. */
const CORE = [
  ...[
    'kernel',
    'random',
    'time',
    'noise',
    'space',
    'lens',
    'scatter',
    'kept',
    'colour',
    'pictures',
    'clips',
    'motion',
    'sound',
    'type',
  ],
  ...[
    'forms',
    'elements',
    'arrangement',
    'solids',
    'plants',
    'matter',
    'lines',
    'shows',
    'treatments',
    'layers',
    'flight',
    'air',
    'look',
    'deliveries',
  ],
  ...['piece', 'world', 'seam', 'judging'],
];

// `../other/…` from any depth; a folder of the same name inside the room is written `./other`
const into = (room, message) => ({ regex: `^(\\.\\./)+${room}(/|$)`, message });
const purity = { group: ['react', 'react-*', 'comlink', 'dexie', 'node:*'], message: 'the core is pure' };
const noThree = { group: ['three', 'three/*'], message: 'three is the engine’s alone' };

const outerPatterns = (room) => [
  ...rooms
    .filter((other) => other !== room && !ALLOWED[room].includes(other))
    .map((other) => into(other, `${room} must not import from ${other}`)),
  ...(room === 'engine' ? [] : [noThree]),
  ...(room === 'core' ? [purity] : []),
];

const only = (files, patterns) => ({
  files,
  ignores: ['**/*.test.ts'],
  rules: { 'no-restricted-imports': ['error', { patterns }] },
});

const direction = [
  ...rooms.map((room) => only([`src/${room}/**/*.{ts,tsx}`], outerPatterns(room))),
  // the last that names a file counts: the rooms of the core repeat what holds for the core
  ...CORE.map((room, i) =>
    only(
      [`src/core/${room}/**/*.ts`],
      [
        ...outerPatterns('core'),
        ...CORE.slice(i + 1).map((below) =>
          into(below, `core/${room} must not import from core/${below}, which is below`),
        ),
        into('index', 'the core’s rooms import from one another, not from its public names'),
      ],
    ),
  ),
];

export default ts.config(
  { ignores: ['dist', '.astro', 'node_modules', 'test-results', '**/*.gen.ts'] },
  js.configs.recommended,
  ...ts.configs.strict,
  {
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/no-non-null-assertion': 'error',
      'no-restricted-syntax': [
        'error',
        { selector: 'ExportDefaultDeclaration', message: 'name what you export' },
        {
          selector: 'TSAsExpression > TSAsExpression > TSUnknownKeyword',
          message: 'no casts through unknown: make the types say it (forms/ has the one corner that may)',
        },
        { selector: 'TSAsExpression > TSNeverKeyword', message: 'no casts to never' },
        { selector: 'TSAsExpression > TSAnyKeyword', message: 'no casts to any' },
        { selector: 'MemberExpression > Identifier[name="Reflect"]', message: 'no Reflect tricks' },
      ],
    },
  },
  {
    // what the types know: promises that are left alone, and values of which nothing is known
    files: ['**/*.{ts,tsx}'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/await-thenable': 'error',
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
      '@typescript-eslint/no-unsafe-argument': 'error',
      '@typescript-eslint/no-unsafe-assignment': 'error',
      '@typescript-eslint/no-unsafe-call': 'error',
      '@typescript-eslint/no-unsafe-member-access': 'error',
      '@typescript-eslint/no-unsafe-return': 'error',
      '@typescript-eslint/only-throw-error': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': ['error', { considerDefaultExhaustiveForUnions: true }],
    },
  },
  { files: ['src/core/forms/{form,kinds}.ts'], rules: { 'no-restricted-syntax': 'off' } },
  {
    files: ['**/*.{ts,tsx}'],
    plugins: { 'import-x': cycles },
    settings: {
      'import-x/extensions': ['.ts', '.tsx'],
      'import-x/parsers': { '@typescript-eslint/parser': ['.ts', '.tsx'] },
      'import-x/resolver': { node: { extensions: ['.ts', '.tsx', '.mjs', '.js'] } },
    },
    rules: { 'import-x/no-cycle': ['error', { ignoreExternal: true }] },
  },
  { files: ['src/app/**/*.{ts,tsx}'], plugins: { 'react-hooks': hooks }, rules: hooks.configs.recommended.rules },
  {
    files: ['*.js', '*.mjs', '*.config.ts', '**/*.d.ts', '**/*.test.ts', 'tests/**/*.ts'],
    rules: { 'no-restricted-syntax': 'off' },
  },
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
  ...direction,
);
