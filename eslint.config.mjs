import { dirname, relative, resolve } from 'node:path';
import nextPlugin from '@next/eslint-plugin-next';
import hooks from 'eslint-plugin-react-hooks';
import regexp from 'eslint-plugin-regexp';
import tseslint from 'typescript-eslint';

/** Floors, from the ground up: what each folder may import through `@/`. */
const FLOORS = {
  core: ['core'],
  data: ['core', 'data'],
  engine: ['core', 'engine'],
  documents: ['core', 'documents'],
  standins: ['core', 'standins'],
  shell: ['core', 'shell'],
  gate: ['gate'],
  stations: ['core', 'data', 'engine', 'documents', 'standins', 'studio', 'shell'],
  drawers: ['core', 'data', 'engine', 'documents', 'standins', 'studio', 'shell'],
  studio: ['core', 'data', 'engine', 'documents', 'standins', 'studio'],
  app: [
    'core',
    'data',
    'engine',
    'documents',
    'standins',
    'studio',
    'shell',
    'stations',
    'drawers',
    'gate',
    'app',
  ],
};

const ROOT = resolve(import.meta.dirname, 'src');
/** Folders of which each room is closed to its neighbours. */
const ROOMS = ['stations', 'drawers'];

/** Relative imports are held to the same floors, and lead into no neighbour's room. */
const staysInRoom = {
  meta: { type: 'problem', schema: [] },
  create: (context) => {
    const [floor, room] = relative(ROOT, context.filename).split('/');
    return {
      'ImportDeclaration, ExportNamedDeclaration[source], ExportAllDeclaration'(node) {
        const from = node.source.value;
        if (!from.startsWith('.')) return;
        const target = relative(ROOT, resolve(dirname(context.filename), from));
        const [toFloor, toRoom] = target.split('/');
        if (target.startsWith('..'))
          context.report({ node, message: 'src imports nothing from outside of it.' });
        else if (!(FLOORS[floor] ?? [toFloor]).includes(toFloor) && toFloor !== floor)
          context.report({ node, message: `src/${floor} may not import from ${toFloor}.` });
        else if (ROOMS.includes(floor) && toFloor === floor && toRoom !== room)
          context.report({
            node,
            message: `Rooms do not know each other: move what ${room} and ${toRoom} share to studio, shell or core.`,
          });
      },
    };
  },
};

/** Who may speak to what outside: SQL in data alone, the framework in rooms and their way in. */
const OUTSIDE = {
  data: ['react*', 'next*', 'styled-components'],
  engine: ['react*', 'next*', 'styled-components', 'drizzle-orm*', '@libsql/*'],
  standins: ['react*', 'next*', 'styled-components', 'drizzle-orm*', '@libsql/*'],
  documents: ['next*', 'styled-components', 'drizzle-orm*', '@libsql/*'],
  shell: ['drizzle-orm*', '@libsql/*', 'node:*'],
  stations: ['drizzle-orm*', '@libsql/*'],
  drawers: ['drizzle-orm*', '@libsql/*'],
  studio: ['react*', 'styled-components', 'drizzle-orm*', '@libsql/*'],
  app: ['drizzle-orm*', '@libsql/*'],
};

const OUTSIDE_CORE = [
  'react*',
  'next*',
  'styled-components',
  'drizzle-orm*',
  '@libsql/*',
  'sharp',
  'lcms-wasm',
  'node:*',
  'fs',
  'path',
  'crypto',
  'd3*',
  'openseadragon',
];

const floorRule = (floor, allowed) => ({
  files: [`src/${floor}/**/*.{ts,tsx}`],
  ignores: ['**/*.test.ts', '**/*.test.tsx'],
  rules: {
    '@typescript-eslint/no-restricted-imports': [
      'error',
      {
        patterns: [
          {
            regex: `^@/(?!(${allowed.join('|')})(/|$))`,
            message: `src/${floor} may import only from: ${allowed.join(', ')} (arrows point down).`,
          },
          {
            regex: '^(\\.\\./){3,}',
            message: 'Leave the room through @/, not through ../../..',
          },
          ...(floor === 'core'
            ? [
                {
                  group: OUTSIDE_CORE,
                  message: 'The core has no interface, Node, database or clock.',
                },
              ]
            : []),
          ...(OUTSIDE[floor]
            ? [
                {
                  group: OUTSIDE[floor],
                  message: `Not in src/${floor}: SQL lives in data, the framework in rooms, shell and the way in.`,
                },
              ]
            : []),
        ],
      },
    ],
    ...(floor === 'core'
      ? {
          'no-restricted-syntax': [
            'error',
            {
              selector:
                "CallExpression[callee.object.name='Date'][callee.property.name='now']",
              message: 'No clock in the core.',
            },
            {
              selector: "NewExpression[callee.name='Date'][arguments.length=0]",
              message: 'No clock in the core.',
            },
            {
              selector:
                "CallExpression[callee.object.name='Math'][callee.property.name='random']",
              message: 'No chance in the core.',
            },
          ],
        }
      : {}),
  },
});

export default tseslint.config(
  {
    ignores: [
      'node_modules',
      '.next',
      'var',
      'next-env.d.ts',
      'drizzle',
      'test-results',
      '**/*.mjs',
    ],
  },
  ...tseslint.configs.recommendedTypeChecked,
  {
    languageOptions: {
      parserOptions: { project: true, tsconfigRootDir: import.meta.dirname },
    },
    plugins: { 'react-hooks': hooks, '@next/next': nextPlugin },
    rules: {
      'react-hooks/rules-of-hooks': 'error',
      'react-hooks/exhaustive-deps': 'error',
      ...nextPlugin.configs.recommended.rules,
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_' },
      ],
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-misused-promises': [
        'error',
        { checksVoidReturn: { attributes: false } },
      ],
      '@next/next/no-img-element': 'off',
      '@next/next/no-html-link-for-pages': 'off',
      'max-lines': ['error', { max: 320, skipBlankLines: true, skipComments: true }],
    },
  },
  ...Object.entries(FLOORS).map(([floor, allowed]) => floorRule(floor, allowed)),
  {
    // What is typed or sent is read by expressions that take time in proportion to its length.
    files: ['src/**/*.{ts,tsx}', 'scripts/**/*.ts'],
    ignores: ['**/*.test.ts', '**/*.test.tsx'],
    plugins: { regexp },
    rules: {
      'regexp/no-super-linear-backtracking': ['error', { report: 'potential' }],
      'regexp/no-super-linear-move': ['error', { report: 'potential' }],
    },
  },
  {
    files: ['src/**/*.{ts,tsx}'],
    ignores: ['**/*.test.ts', '**/*.test.tsx'],
    plugins: { house: { rules: { 'stays-in-room': staysInRoom } } },
    rules: { 'house/stays-in-room': 'error' },
  },
  {
    files: ['src/**/*.tsx'],
    ignores: ['**/*.test.tsx'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: 'ImportDeclaration[source.value="next/link"]',
          message: 'Ways come from shell/link, which fetches nothing ahead.',
        },
        {
          selector:
            'JSXOpeningElement[name.name=/^(select|option|input|textarea|datalist|details|summary|dialog|meter)$/]',
          message:
            'Fields come from shell/fields, so that each has its label and its keys.',
        },
        {
          selector:
            "MemberExpression[object.name='styled'][property.name=/^(select|option|input|textarea|datalist|details|summary|dialog)$/]",
          message:
            'Fields come from shell/fields, so that each has its label and its keys.',
        },
      ],
    },
  },
  {
    files: ['**/*.test.ts', '**/*.test.tsx', 'e2e/**/*.ts'],
    rules: {
      // What a matcher stands for has no type.
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-return': 'off',
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/unbound-method': 'off',
      'max-lines': 'off',
    },
  },
);
