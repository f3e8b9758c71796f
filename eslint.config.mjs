import { builtinRules } from 'eslint/use-at-your-own-risk'
import withNuxt from './.nuxt/eslint.config.mjs'

const lines = builtinRules.get('max-lines-per-function')
const isDescribe = ({ parent }) => parent?.type === 'CallExpression' && /^describe/.test(parent.callee.name ?? '')
/** Functions are short; what a `describe` holds is a list of tests, each of which is one. */
const linesPerFunction = {
  ...lines,
  create: context => lines.create(Object.create(context, {
    report: { value: found => isDescribe(found.node) ? undefined : context.report(found) },
  })),
}

export default withNuxt(
  {
    plugins: { house: { rules: { 'lines-per-function': linesPerFunction } } },
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      // What is still over these limits is in eslint-suppressions.json, which only becomes shorter.
      // The name of a test is one sentence, and is not cut.
      'max-len': ['error', { code: 120, ignorePattern: '^\\s*(it|test|describe)\\([\'`]' }],
      'house/lines-per-function': ['error', { max: 60, skipComments: true }],
      'complexity': ['error', 15],
      'max-params': ['error', 5],
      'vue/multi-word-component-names': 'off',
      'vue/max-attributes-per-line': 'off',
      // A new line at the edge of an element would be a space on the screen.
      'vue/singleline-html-element-content-newline': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/html-self-closing': ['error', { html: { void: 'never', normal: 'always' }, svg: 'always' }],
      '@stylistic/max-statements-per-line': 'off',
      // ARIA in HTML: a div or span without a role may not be named.
      'vue/no-restricted-syntax': [
        'error',
        {
          selector:
            'VElement[rawName=/^(div|span|p|b)$/] > VStartTag:has(VAttribute[key.name="aria-label"], '
            + 'VAttribute[key.argument.name="aria-label"]):not(:has(VAttribute[key.name="role"], '
            + 'VAttribute[key.argument.name="role"]))',
          message: 'What is named needs a role: role="group" for what scrolls.',
        },
      ],
    },
  },
  { ignores: ['.nuxt-build/**', 'server/database/migrations/**', 'docs/**', 'demo/**'] },
)
