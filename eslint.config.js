import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import vue from 'eslint-plugin-vue';
import globals from 'globals';
import ts from 'typescript-eslint';
import vueParser from 'vue-eslint-parser';

const TYPED = [
  'core/src/**/*.ts',
  'contract/src/**/*.ts',
  'server/src/**/*.ts',
  'web/src/**/*.{ts,vue}',
  'simulator/**/*.ts',
  'e2e/**/*.ts',
  'tools/**/*.ts',
  'benchmarks/**/*.ts',
];

export default ts.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '.data/**', '**/*.d.ts', 'server/src/db/migrations/**'] },
  js.configs.recommended,
  ...vue.configs['flat/recommended'],
  ...ts.configs.strict.map((config) => ({ ...config, files: TYPED })),
  {
    files: TYPED,
    languageOptions: {
      parser: vueParser,
      parserOptions: {
        parser: ts.parser,
        projectService: { allowDefaultProject: ['*.ts'] },
        extraFileExtensions: ['.vue'],
        tsconfigRootDir: import.meta.dirname,
      },
    },
    plugins: { '@typescript-eslint': ts.plugin },
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': 'error',
      '@typescript-eslint/only-throw-error': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': ['error', { considerDefaultExhaustiveForUnions: true }],
      '@typescript-eslint/no-unnecessary-condition': 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'no-undef': 'off', // the type checker knows better
      eqeqeq: 'error',
    },
  },
  {
    files: ['web/**/*.{ts,vue}'],
    languageOptions: { globals: globals.browser },
    rules: { 'vue/require-default-prop': 'off' /* undefined is the default meant */ },
  },
  {
    files: ['tools/**/*.mjs', 'benchmarks/**/*.mjs', '*.js', '*.cjs', 'web/vite.config.ts', 'server/drizzle.config.ts'],
    languageOptions: { globals: globals.node },
  },
  { files: ['web/public/*.js'], languageOptions: { globals: globals.serviceworker } },
  prettier,
);
