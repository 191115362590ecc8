import type { CheckContext, Remark, Rule } from './check'
import * as headings from './headings'
import * as limits from './limits'
import * as operators from './operators'
import * as syntax from './syntax'
import * as textWords from './text-words'
import * as translation from './translation'

export {
  ELEMENTS,
  remarkKey,
  type CheckContext,
  type CheckedLine,
  type Element,
  type Remark,
  type Rule,
} from './check'

/** Every rule, in the order of the elements of the guideline. Adding one is one function in one of these files. */
export const RULES: readonly Rule[] = [translation, operators, headings, textWords, syntax, limits].flatMap(
  (rules) => Object.values(rules) as Rule[],
)

/** What a librarian would remark on a strategy, in the order of the rules. No lines, no remarks on lines. */
export const checkStrategy = (context: CheckContext): Remark[] => RULES.flatMap((rule) => rule(context))
