import type { Letter, Term } from '../../review'
import type { Doing } from '../doing'
import { ownerOf, weaving } from './weave'

/** A phrase of the question that goes to a concept, with the headings that it leads to. */
export interface PhraseTaken {
  letter: Letter
  phrase: { text: string; start: number; end: number }
  headings: readonly { sourceId: string; label: string; withNarrower: boolean }[]
}

/**
 * Weaves a phrase into the concept of a letter, where it is not woven there yet, and takes the headings that it leads to; one
 * that leads to none is taken as it stands, as words for every source.
 */
export const takePhrase: Doing<PhraseTaken> = ({ review, newId }, { letter, phrase, headings }) => {
  const owner = ownerOf(review, phrase)
  const { concept, commands } =
    owner?.letter === letter
      ? { concept: owner, commands: [] }
      : weaving(review, letter, phrase.start, phrase.end, newId)
  const term = (of: Pick<Term, 'sourceId' | 'kind' | 'expression' | 'withNarrower'>): Term => ({
    id: newId(),
    conceptId: concept.id,
    mainFocus: false,
    origin: 'question',
    from: `“${phrase.text}”`,
    status: 'in use',
    ...of,
  })
  const words = /[^\p{L}\p{N}]/u.test(phrase.text) ? `"${phrase.text}"` : phrase.text
  const wanted = headings.length
    ? headings.map(({ sourceId, label, withNarrower }) =>
        term({ sourceId, kind: 'heading', expression: label, withNarrower }),
      )
    : [term({ sourceId: 'all', kind: 'text', expression: words.toLowerCase(), withNarrower: false })]
  const terms = wanted.filter(
    (t) =>
      !review.terms.some(
        (known) =>
          known.sourceId === t.sourceId &&
          known.expression === t.expression &&
          (t.kind === 'heading' || known.conceptId === t.conceptId),
      ),
  )
  return [...commands, ...(terms.length ? [{ kind: 'terms.set' as const, payload: { terms } }] : [])]
}
