import withNuxt from './.nuxt/eslint.config.mjs'

export default withNuxt(
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      'vue/multi-word-component-names': 'off',
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/html-self-closing': ['error', { html: { void: 'never', normal: 'always' }, svg: 'always' }],
      '@stylistic/max-statements-per-line': 'off',
    },
  },
  { ignores: ['server/database/migrations/**', 'docs/**', 'demo/**'] },
)
