// What no rule of the linter says: shapes of code that are refused, by a selector, with a word why.
import { builtinRules } from 'eslint/use-at-your-own-risk'

const plugin = {
  meta: { name: 'own' },
  rules: { 'no-restricted-syntax': builtinRules.get('no-restricted-syntax') },
}
export default plugin
