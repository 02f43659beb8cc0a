import js from '@eslint/js'
import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import globals from 'globals'
import typescript from 'typescript-eslint'
import { arrows } from './tools/lint/arrows.mjs'

export default typescript.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '.data/**', 'apps/server/drizzle/**', 'test-results/**'] },
  js.configs.recommended,
  ...typescript.configs.recommended,
  ...vue.configs['flat/recommended'],
  {
    plugins: { house: { rules: { arrows } } },
    rules: {
      'house/arrows': 'error',
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-non-null-assertion': 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_', ignoreRestSiblings: true },
      ],
      'no-undef': 'off',
      eqeqeq: 'error',
      'max-lines': ['error', { max: 250, skipBlankLines: true }],
    },
  },
  {
    files: ['**/*.vue'],
    languageOptions: { parserOptions: { parser: typescript.parser } },
    rules: {
      'vue/multi-word-component-names': 'off',
      'vue/require-default-prop': 'off',
      'vue/no-v-html': 'error',
      'vue/max-attributes-per-line': 'off',
      '@typescript-eslint/no-non-null-assertion': 'off',
    },
  },
  { files: ['**/*.mjs'], languageOptions: { globals: globals.node } },
  { files: ['e2e/world.ts'], rules: { 'no-empty-pattern': 'off' } },
  prettier,
)
