import i18n from '@intlify/eslint-plugin-vue-i18n'
import globals from 'globals'
import vue from 'eslint-plugin-vue'
import ts from 'typescript-eslint'

export default ts.config(
  { ignores: ['node_modules', 'public', 'vendor', 'resources/app/api/types'] },
  ...ts.configs.recommended,
  ...vue.configs['flat/recommended'],
  {
    plugins: { '@intlify/vue-i18n': i18n },
    settings: { 'vue-i18n': { localeDir: 'resources/app/lang/*/*.json', messageSyntaxVersion: '^11.0.0' } },
  },
  {
    files: ['resources/app/**/*.{ts,vue}'],
    ignores: ['**/*.test.ts'],
    rules: { '@intlify/vue-i18n/no-missing-keys': 'error', '@intlify/vue-i18n/no-dynamic-keys': 'off' },
  },
  {
    files: ['resources/app/**/*.vue'],
    rules: {
      '@intlify/vue-i18n/no-raw-text': [
        'error',
        {
          attributes: {
            '/.+/': ['title', 'aria-label', 'placeholder', 'alt', 'label', 'hint', 'heading', 'onwards', 'subtitle'],
          },
          ignoreNodes: ['code', 'kbd'],
          // Marks, units and the name of the house.
          ignorePattern: '^[^A-Za-z]*((Impa|x|g|oz|mm|in|cm|MB|AWG|CSV|/pair)[^A-Za-z]*)*$',
        },
      ],
    },
  },
  {
    files: ['**/*.{js,mjs,ts,vue}'],
    languageOptions: { globals: { ...globals.browser, ...globals.node }, parserOptions: { parser: ts.parser } },
    rules: {
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/html-self-closing': 'off',
      'vue/html-indent': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/first-attribute-linebreak': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/attributes-order': 'off',
    },
  },
)
