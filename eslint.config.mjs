/** What a template may hold. What code may is said in .oxlintrc.json, how both are laid out in .oxfmtrc.json. */
import parser from '@typescript-eslint/parser'
import vue from 'eslint-plugin-vue'

/** Rules about blanks and breaks: the formatter's. */
const layout = [
  'html-closing-bracket-newline',
  'html-closing-bracket-spacing',
  'html-indent',
  'html-quotes',
  'html-self-closing',
  'max-attributes-per-line',
  'multiline-html-element-content-newline',
  'mustache-interpolation-spacing',
  'no-multi-spaces',
  'no-spaces-around-equal-signs-in-attribute',
  'singleline-html-element-content-newline',
]

export default [
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.vue'],
    // The names of the language itself would be put down again for each expression of a template, and no rule asks for them.
    languageOptions: { parserOptions: { parser, lib: [] } },
    rules: {
      ...Object.fromEntries(layout.map((rule) => [`vue/${rule}`, 'off'])),
      'vue/multi-word-component-names': 'off',
      'vue/require-default-prop': 'off',
    },
  },
]
