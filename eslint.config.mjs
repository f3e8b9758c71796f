import withNuxt from './.nuxt/eslint.config.mjs'

export default withNuxt(
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      // What is still over these limits is in eslint-suppressions.json, which only becomes shorter.
      'max-len': ['error', { code: 120 }],
      'max-lines-per-function': ['error', { max: 60, skipComments: true }],
      'complexity': ['error', 15],
      'max-params': ['error', 5],
      'vue/multi-word-component-names': 'off',
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/html-self-closing': ['error', { html: { void: 'never', normal: 'always' }, svg: 'always' }],
      '@stylistic/max-statements-per-line': 'off',
      // ARIA in HTML: a div or span without a role may not be named.
      'vue/no-restricted-syntax': ['error', {
        selector: 'VElement[rawName=/^(div|span|p|b)$/] > VStartTag:has(VAttribute[key.name="aria-label"], VAttribute[key.argument.name="aria-label"]):not(:has(VAttribute[key.name="role"], VAttribute[key.argument.name="role"]))',
        message: 'What is named needs a role: role="group" for what scrolls.',
      }],
    },
  },
  { ignores: ['.nuxt-build/**', 'server/database/migrations/**', 'docs/**', 'demo/**'] },
)
