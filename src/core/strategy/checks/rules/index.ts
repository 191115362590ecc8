import type { Rule } from '../check'
import { andAddsNothing } from './and-adds-nothing'
import { andInConcept } from './and-in-concept'
import { noHeadingAsked, noWordsAsked, plannedMissing } from './asked-one-way'
import { manyAsked, optionalAsked } from './asked-too-much'
import { noiseBrought, noneBrought } from './brought'
import { conceptMissing, planThin } from './concept-missing'
import { conceptTwice } from './concept-twice'
import { covered } from './covered'
import { deadPart } from './dead-part'
import { headingAsWords, headingUnknown, mainFocus, narrowerForgotten, relatedMissed } from './headings'
import { limitLost, limitsForgotten, limitUnavailable, limitUnlikePlan } from './limits'
import {
  brokenLine,
  capExceeded,
  countImpossible,
  deadLine,
  triedLast,
  unusedLine,
  wrongReference,
} from './lines'
import { noiseTerm } from './noise'
import { notLoses } from './not-loses'
import { numberMissing } from './number-missing'
import { oneField } from './one-field'
import { mixedOperators, nearnessExtreme, smallOperators, wordsSideBySide } from './operators'
import { orBetweenConcepts } from './or-between-concepts'
import { partForBlock } from './part-for-block'
import { sentOtherwise } from './sent-otherwise'
import { spellingMissing } from './spelling-missing'
import { stemmingOff } from './stemming-off'
import { stemTooLong, stemTooShort } from './stems'

/** Every rule, causes before what follows from them: a rule that explains a part stands before those that would remark on it. */
export const RULES: readonly Rule[] = [
  brokenLine,
  wrongReference,
  triedLast,
  smallOperators,
  wordsSideBySide,
  mixedOperators,
  partForBlock,
  headingUnknown,
  oneField,
  deadPart,
  sentOtherwise,
  headingAsWords,
  orBetweenConcepts,
  conceptTwice,
  manyAsked,
  andInConcept,
  andAddsNothing,
  nearnessExtreme,
  notLoses,
  planThin,
  conceptMissing,
  optionalAsked,
  noWordsAsked,
  noHeadingAsked,
  plannedMissing,
  mainFocus,
  narrowerForgotten,
  relatedMissed,
  numberMissing,
  spellingMissing,
  stemTooShort,
  noiseTerm,
  noneBrought,
  noiseBrought,
  stemTooLong,
  stemmingOff,
  covered,
  unusedLine,
  deadLine,
  countImpossible,
  capExceeded,
  limitLost,
  limitsForgotten,
  limitUnlikePlan,
  limitUnavailable,
]
