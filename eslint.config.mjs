import withNuxt from './.nuxt/eslint.config.mjs'

/** Packages core may use: pure and well known. */
const corePackages = [
  '@date-fns/tz',
  '@neaps/tide-predictor',
  'suncalc',
  'date-fns',
  'fractional-indexing',
  'jsep',
  'minisearch',
  'tinyqueue',
]
const coreOnly = {
  patterns: [
    {
      regex: `^(?!\\.{1,2}/|${corePackages.join('$|')}$)`,
      message: 'core/ imports core and its few listed pure packages only.',
    },
    { regex: '(^|/)(app|server|shared|demo|tests)/', message: 'Arrows point towards core.' },
  ],
}
const hiddenInputs = [
  {
    selector: "CallExpression[callee.object.name='Date'][callee.property.name='now']",
    message: 'The time comes in as an argument.',
  },
  {
    selector: "NewExpression[callee.name='Date'][arguments.length=0]",
    message: 'The time comes in as an argument.',
  },
  {
    selector: "CallExpression[callee.object.name='Math'][callee.property.name='random']",
    message: 'Dice come in as an argument.',
  },
]

export default withNuxt(
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      'no-console': 'error',
      'vue/multi-word-component-names': 'off',
      'vue/html-self-closing': 'off',
      'vue/require-default-prop': 'off',
    },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts', 'core/testing/**'],
    rules: {
      'no-restricted-imports': ['error', coreOnly],
      'no-restricted-syntax': ['error', ...hiddenInputs],
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'localStorage', 'fetch'],
    },
  },
  {
    files: ['shared/**/*.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex: '(^|/)(app|server)/|^(vue|nuxt|pinia|sequelize)',
              message: 'shared → core only.',
            },
          ],
        },
      ],
    },
  },
  {
    files: ['server/**/*.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            { regex: '(^~/|(^|/)app/)|^(vue|pinia)$', message: 'server → shared → core.' },
          ],
        },
      ],
      'no-restricted-globals': ['error', 'window', 'document', 'localStorage'],
    },
  },
  {
    files: ['app/**/*.{ts,vue}'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            { regex: '(^|/)server/|^(sequelize|sqlite3|umzug)', message: 'app → shared → core.' },
          ],
        },
      ],
    },
  },
  {
    files: ['app/**/*.{ts,vue}'],
    rules: { 'no-restricted-globals': ['error', { name: 'navigateTo', message: 'goTo.' }] },
  },
  { files: ['scripts/**', 'bench/**', 'tests/**'], rules: { 'no-console': 'off' } },
)
