import js from '@eslint/js'
import vue from 'eslint-plugin-vue'
import ts from 'typescript-eslint'

/** Arrows between folders: app and server use contracts and core, contracts uses core, core uses nothing. */
const mayNotReach = (...folders) => ({
  regex: `^(\\.\\./)+(${folders.join('|')})(/|$)`,
  message: 'Imports point one way: app and server to contracts and core, contracts to core, core to nothing.',
})
const packagesOnly = message => ({ regex: '^[^.]', message })

export default ts.config(
  { ignores: ['.nuxt/**', '.output/**', '.data/**', 'node_modules/**', 'test-results/**'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...vue.configs['flat/recommended'],
  { files: ['**/*.vue'], languageOptions: { parserOptions: { parser: ts.parser } } },
  {
    files: ['**/*.{ts,mts,mjs,vue}'],
    languageOptions: { globals: { process: 'readonly', console: 'readonly', fetch: 'readonly', URL: 'readonly', setTimeout: 'readonly' } },
    rules: {
      'no-undef': 'off',
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'vue/multi-word-component-names': 'off',
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/html-self-closing': 'off',
      'vue/html-indent': ['error', 2],
      'vue/first-attribute-linebreak': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/require-default-prop': 'off',
      'vue/attributes-order': 'off',
    },
  },
  {
    files: ['core/**/*.ts'], ignores: ['core/**/*.test.ts'],
    rules: { 'no-restricted-imports': ['error', { patterns: [packagesOnly('The core imports no package.'), mayNotReach('app', 'server', 'contracts', 'stand-ins', 'tests', 'bin'), { regex: '^(\\.\\./){2,}packs', message: 'Packs are data; the core knows none by name.' }] }] },
  },
  {
    files: ['contracts/**/*.ts'],
    rules: { 'no-restricted-imports': ['error', { patterns: [mayNotReach('app', 'server', 'stand-ins', 'tests', 'bin')] }] },
  },
  {
    files: ['server/**/*.ts'], ignores: ['server/**/*.test.ts'],
    rules: { 'no-restricted-imports': ['error', { patterns: [mayNotReach('app', 'stand-ins', 'tests', 'bin')] }] },
  },
  {
    files: ['app/**/*.{ts,vue}'], ignores: ['app/**/*.test.ts'],
    rules: { 'no-restricted-imports': ['error', { patterns: [mayNotReach('server', 'stand-ins', 'tests', 'bin')] }] },
  },
)
