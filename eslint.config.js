import js from '@eslint/js';
import globals from 'globals';
import jsdoc from 'eslint-plugin-jsdoc';
import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

const TYPED = [
  '{core,contract,server,standins,demo}/{src,test}/**/*.ts',
  'web/{src,test}/**/*.{ts,tsx}',
  'e2e/**/*.ts',
];

export default ts.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '.data/**', '**/test-results/**', 'coverage/**', 'reports/**'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  {
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      eqeqeq: ['error', 'always', { null: 'ignore' }],
    },
  },
  {
    files: TYPED,
    extends: [ts.configs.recommendedTypeChecked],
    languageOptions: {
      parserOptions: {
        project: ['*/tsconfig.json', 'tsconfig.tests.json'],
        tsconfigRootDir: import.meta.dirname,
      },
    },
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      // handlers of events and routes may be async; nobody waits for what they return
      '@typescript-eslint/no-misused-promises': [
        'error',
        { checksVoidReturn: { attributes: false, arguments: false } },
      ],
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true, allowBoolean: true }],
    },
  },
  {
    // answers of the API and matchers of Jest are `any` by nature
    files: ['*/test/**/*.{ts,tsx}', 'e2e/**/*.ts'],
    rules: {
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-member-access': 'off',
      '@typescript-eslint/no-unsafe-argument': 'off',
      '@typescript-eslint/no-unsafe-call': 'off',
      '@typescript-eslint/no-unsafe-return': 'off',
      '@typescript-eslint/require-await': 'off',
      '@typescript-eslint/unbound-method': 'off',
    },
  },
  {
    // every exported name says what it is or returns; migrations are named by their file
    files: ['{core,contract,server}/src/**/*.ts'],
    ignores: ['server/src/database/migrations/*'],
    plugins: { jsdoc },
    rules: {
      'jsdoc/require-jsdoc': [
        'error',
        {
          contexts: ['ExportNamedDeclaration[declaration]'],
          require: { FunctionDeclaration: false },
          enableFixer: false,
        },
      ],
      'jsdoc/no-bad-blocks': 'error',
      // constructors are exempt: Nest injects one thing a parameter
      'no-restricted-syntax': [
        'error',
        ...[
          'FunctionDeclaration',
          'ArrowFunctionExpression',
          'MethodDefinition[kind!="constructor"] > FunctionExpression',
        ].map((kind) => ({
          selector: `${kind}[params.length>5]`,
          message: 'Six and more parameters are an object with names.',
        })),
      ],
    },
  },
  {
    // rows of tables are written by column; a route's decorators need one parameter each
    files: [
      'core/src/claims/claim.ts',
      'core/src/companions/table.ts',
      'core/src/diagnosis/tables/{checks,remedies}.ts',
      'core/src/records/vocabulary/signs.ts',
      'server/src/**/*.controller.ts',
    ],
    rules: { 'no-restricted-syntax': 'off' },
  },
  { files: ['**/*.mjs', '**/*.cjs', '*.js', 'scripts/**'], languageOptions: { globals: globals.node } },
  { files: ['scripts/pictures.mjs', 'scripts/words/screens.mjs'], languageOptions: { globals: globals.browser } },
  {
    files: ['web/src/**/*.{ts,tsx}'],
    languageOptions: { globals: globals.browser },
    plugins: { 'react-hooks': hooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
);
