import { parseSound } from '../../query'
import type { CheckContext, Remark, Rule } from './check'
import { headingUnknown, narrowerForgotten, relatedMissed } from './headings'
import { limitMissing, limitUnavailable } from './limits'
import { mixedOperators, notLosesWanted, nearnessExtreme, smallOperators, wordsSideBySide } from './operators'
import {
  brokenLine,
  wrongReference,
  deadLine,
  unusedLine,
  addsNothing,
  countImpossible,
  fieldMissing,
  capExceeded,
} from './syntax'
import { spellingMissing, stemTooShort, stemDeadInQuotes, stemBelowLeast } from './text-words'
import {
  conceptWithoutWords,
  conceptWithoutHeading,
  conceptWithoutLine,
  optionalAsked,
  conceptFeedsNothing,
} from './translation'

export { alikeRemarks, type AlikeRemarks } from './alike'
export {
  ELEMENTS,
  remarkKey,
  type CheckContext,
  type CheckedLine,
  type Element,
  type Remark,
  type Rule,
} from './check'

/** Every rule, in the order of the elements of the guideline. Adding one is one function in one of these files, named here. */
export const RULES: readonly Rule[] = [
  conceptWithoutWords,
  conceptWithoutHeading,
  conceptWithoutLine,
  conceptFeedsNothing,
  optionalAsked,
  mixedOperators,
  notLosesWanted,
  nearnessExtreme,
  smallOperators,
  wordsSideBySide,
  headingUnknown,
  narrowerForgotten,
  relatedMissed,
  spellingMissing,
  stemTooShort,
  stemDeadInQuotes,
  stemBelowLeast,
  brokenLine,
  wrongReference,
  deadLine,
  unusedLine,
  addsNothing,
  countImpossible,
  fieldMissing,
  capExceeded,
  limitMissing,
  limitUnavailable,
]

/**
 * What a librarian would remark on a strategy, in the order of the rules. No lines, no remarks on lines. A change is only
 * offered for a line that is understood whole: of another it would drop what it does not know.
 */
export function checkStrategy(context: CheckContext): Remark[] {
  const sound = new Set(context.lines.flatMap((l) => (parseSound(l.text) ? [l.id] : [])))
  return RULES.flatMap((rule) => rule(context)).map((remark) => {
    if (!remark.fix || sound.has(remark.fix.lineId)) return remark
    const { fix: _, ...without } = remark
    return without
  })
}
