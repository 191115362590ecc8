import type { Passage } from '../document'
import type { FactContext } from '../facts'
import type { Advice, Rule } from './advice'
import { lookAt } from './look'
import { abbreviation } from './rules/abbreviation'
import { criteriaMissing } from './rules/criteria-missing'
import { databaseUntold } from './rules/database-untold'
import { departureReason } from './rules/departure-reason'
import { difficulty } from './rules/difficulty'
import { filterUnnamed } from './rules/filter-unnamed'
import { findingsVoice } from './rules/findings-voice'
import { keptWhere } from './rules/kept-where'
import { limitReason } from './rules/limit-reason'
import { longSentence } from './rules/long-sentence'
import { peerReview } from './rules/peer-review'
import { peopleCited } from './rules/people-cited'
import { planAsDone } from './rules/plan-as-done'
import { reasonsMissing } from './rules/reasons-missing'
import { sameOpening } from './rules/same-opening'
import { snowball } from './rules/snowball'
import { sourceAge } from './rules/source-age'
import { sums } from './rules/sums'
import { tense } from './rules/tense'
import { termCount } from './rules/term-count'
import { typedNumber } from './rules/typed-number'
import { webCredibility } from './rules/web-credibility'
import { wordTwice } from './rules/word-twice'
import { untrue } from './untrue'

export type { Advice } from './advice'
export { lookAt, sentencesOf } from './look'

/** The rules in the order in which their advice is shown, each with why it matters to a reader. */
export const ADVICE_RULES = {
  'typed-number': {
    rule: typedNumber,
    why: 'A number that is bound to the record follows it; a typed one does not.',
  },
  untrue: {
    rule: untrue,
    why: 'A sentence is believed when the numbers beside it are right.',
  },
  sums: { rule: sums, why: 'A reader who adds up once and fails believes nothing more.' },
  'plan-as-done': { rule: planAsDone, why: 'Planned, set and run are different facts.' },
  'departure-reason': {
    rule: departureReason,
    why: 'A departure that is explained is no fault; one that is found out is.',
  },
  'criteria-missing': { rule: criteriaMissing, why: 'Another reader could not rule the same way.' },
  'reasons-missing': {
    rule: reasonsMissing,
    why: 'PRISMA 2020 asks for the reason of each work that was read in full and left out.',
  },
  'limit-reason': { rule: limitReason, why: 'A limit is a decision, and decisions have reasons.' },
  'source-age': { rule: sourceAge, why: 'It is the first thing that is asked of a search.' },
  'database-untold': { rule: databaseUntold, why: 'The same database differs by platform and span.' },
  'peer-review': { rule: peerReview, why: 'A document type is not a judgement by peers.' },
  'people-cited': {
    rule: peopleCited,
    why: 'What a person said can be asked for again only by name and date.',
  },
  'web-credibility': { rule: webCredibility, why: 'Anybody can publish a page.' },
  'filter-unnamed': { rule: filterUnnamed, why: 'PRISMA-S asks for filters and earlier strategies by name.' },
  'kept-where': { rule: keptWhere, why: 'Who wants to repeat the search has to find it.' },
  snowball: { rule: snowball, why: 'The word alone cannot be repeated.' },
  difficulty: { rule: difficulty, why: 'A difficulty without its reason reads as an excuse.' },
  'term-count': { rule: termCount, why: 'Six to twelve terms in the text, the rest in the appendix.' },
  'findings-voice': { rule: findingsVoice, why: 'The first person is for what was done.' },
  tense: { rule: tense, why: 'A methods section tells what was done.' },
  abbreviation: { rule: abbreviation, why: 'Readers of another field do not know it.' },
  'long-sentence': { rule: longSentence, why: 'It is read twice, or not at all.' },
  'word-twice': { rule: wordTwice, why: 'Another word, or none, reads better.' },
  'same-opening': { rule: sameOpening, why: 'It reads like a list.' },
} as const satisfies Record<string, { rule: Rule; why: string }>

/** What strikes in a section as it stands, over text and record; what a person left with a reason is among it. */
export function adviceOn(context: FactContext, passages: readonly Passage[]): Advice[] {
  const look = lookAt(context, passages)
  return Object.entries(ADVICE_RULES).flatMap(([name, { rule, why }]) =>
    (rule as Rule)(look).map(({ matter, ...found }) => ({
      ...found,
      rule: name,
      why,
      key: `${name}/${matter}`,
    })),
  )
}
