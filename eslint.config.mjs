import js from '@eslint/js'
import prettier from 'eslint-config-prettier'
import { createNodeResolver, importX } from 'eslint-plugin-import-x'
import vue from 'eslint-plugin-vue'
import ts from 'typescript-eslint'

/** Arrows between folders: app and server use contracts and core, contracts uses core, core uses nothing. */
const mayNotReach = (...folders) => ({
  regex: `^(\\.\\./)+(${folders.join('|')})(/|$)`,
  message: 'Imports point one way: app and server to contracts and core, contracts to core, core to nothing.',
})
const pureCore = [
  { regex: '^[^.]', message: 'The core imports no package.' },
  mayNotReach('app', 'server', 'contracts', 'stand-ins', 'tests', 'bin'),
]
/**
 * Subjects of the core, each using only those before it, types included: so there is no cycle between them.
 * A new subject is put in its place here.
 */
const subjects = [
  'base',
  'units',
  'say',
  'pack',
  'physics',
  'fasteners',
  'alignment',
  'clutch',
  'driveline',
  'fluids',
  'handling',
  'hydraulics',
  'bench',
  'sequence',
  'packs',
  'decisions',
  'people',
  'job',
  'rights',
  'formats',
]
const useEarlierSubjects = subjects.map((subject, index) => ({
  files: [`core/${subject}/**/*.ts`],
  ignores: ['core/**/*.test.ts'],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          ...pureCore,
          {
            regex: `^(\\.\\./)+(${subjects.slice(index + 1).join('|') || '-'})(/|$)`,
            message: `Subjects of the core use those before them: ${subjects.join(', ')}.`,
          },
        ],
      },
    ],
  },
}))

export default ts.config(
  {
    ignores: [
      '.nuxt/**',
      '.output/**',
      '.data/**',
      'node_modules/**',
      'test-results/**',
      'core/hydraulics/shipped-ways.ts',
    ],
  },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...vue.configs['flat/recommended'],
  { files: ['**/*.vue'], languageOptions: { parserOptions: { parser: ts.parser } } },
  {
    files: ['**/*.{ts,mts,mjs,vue}'],
    languageOptions: {
      globals: { process: 'readonly', console: 'readonly', fetch: 'readonly', URL: 'readonly', setTimeout: 'readonly' },
    },
    rules: {
      'no-undef': 'off',
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'vue/multi-word-component-names': 'off',
      'vue/require-default-prop': 'off',
      'vue/attributes-order': 'off',
    },
  },
  {
    files: ['core/**/*.ts', 'contracts/**/*.ts', 'server/**/*.ts', 'app/**/*.ts'],
    plugins: { 'import-x': importX },
    settings: {
      'import-x/parsers': { '@typescript-eslint/parser': ['.ts'] },
      'import-x/resolver-next': [createNodeResolver({ extensions: ['.ts', '.mjs', '.js'] })],
    },
    rules: { 'import-x/no-cycle': ['error', { ignoreExternal: true }] },
  },
  ...useEarlierSubjects,
  {
    files: ['contracts/**/*.ts'],
    rules: {
      'no-restricted-imports': ['error', { patterns: [mayNotReach('app', 'server', 'stand-ins', 'tests', 'bin')] }],
    },
  },
  {
    files: ['server/**/*.ts'],
    ignores: ['server/**/*.test.ts'],
    rules: { 'no-restricted-imports': ['error', { patterns: [mayNotReach('app', 'stand-ins', 'tests', 'bin')] }] },
  },
  {
    files: ['app/**/*.{ts,vue}'],
    ignores: ['app/**/*.test.ts'],
    rules: { 'no-restricted-imports': ['error', { patterns: [mayNotReach('server', 'stand-ins', 'tests', 'bin')] }] },
  },
  {
    files: ['app/**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        { paths: [{ name: 'fast-check', message: 'These tests begin without the seed that all drawn tests share.' }] },
      ],
    },
  },
  // Layout is the formatter's.
  prettier,
)
