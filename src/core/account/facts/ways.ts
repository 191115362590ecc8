import { inWords, plural, pluralInWords, thousands } from '../../base'
import type { Contact, Step } from '../../review'
import type { FlowColumn } from '../../selection'
import { dateWords } from '../words'
import { MISSING, type FactContext, type Reader } from './fact'

const stepsOf = (c: FactContext, id: string): Step[] =>
  (c.review.steps ?? []).filter((s) => s.sourceId === id)
const contactsOf = (c: FactContext, id: string): Contact[] =>
  (c.review.contacts ?? []).filter((x) => x.sourceId === id && x.asked)
const followed =
  (of: (steps: readonly Step[]) => number, words: (n: number) => string): Reader =>
  (c, id) => {
    const steps = stepsOf(c, id)
    return {
      text: words(of(steps)),
      missing: !steps.length,
      stage: 'selection',
      from: 'the steps in which references were followed',
    }
  }
const round =
  (of: (c: FlowColumn) => number, words: (n: number) => string): Reader =>
  (c, n) => {
    const found = c.figures.flow.rounds[Number(n)]
    return {
      text: words((found?.columns ?? []).reduce((sum, column) => sum + of(column), 0)),
      missing: !found,
      stage: 'selection',
      from: 'the flow of this update',
    }
  }

/** Facts of the ways that are no database, and of updates. */
export const WAYS: Record<string, Reader> = {
  'followed.steps': followed(
    (s) => s.length,
    (n) => pluralInWords(n, 'step'),
  ),
  'followed.named': followed(
    (s) => s.reduce((n, x) => n + x.named, 0),
    (n) => plural(n, 'work'),
  ),
  'followed.known': followed((s) => s.reduce((n, x) => n + x.known, 0), thousands),
  /** Cited as a personal communication is (Publication Manual of the APA, 7th edition, section 8.9). */
  contact: (c, id) => {
    const found = c.review.contacts?.find((x) => x.id === id)
    return {
      text: found
        ? `${found.who} (personal communication${found.answered ? `, ${dateWords(found.answered)}` : ''})`
        : MISSING,
      missing: !found?.who,
      stage: 'selection',
      from: 'what was noted of who was asked',
    }
  },
  'contacts.silent': (c, id) => {
    const n = contactsOf(c, id).filter((x) => !x.answered || !x.who.trim()).length
    return { text: inWords(n), missing: !n, stage: 'selection', from: 'who was asked and has not answered' }
  },
  pages: (c, id) => {
    const n = (c.review.pages ?? []).filter((p) => p.sourceId === id && p.seen).length
    return {
      text: pluralInWords(n, 'page'),
      missing: !n,
      stage: 'selection',
      from: 'the pages that were seen',
    }
  },
  'round.identified': round(
    (c) => c.identified,
    (n) => plural(n, 'record'),
  ),
  'round.works': round((c) => c.works, thousands),
  'round.included': round((c) => c.included, thousands),
}
