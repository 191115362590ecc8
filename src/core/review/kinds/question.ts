import { z } from 'zod'
import { Id, ReviewId } from '../../base'
import { Alternatives, Concept, Pick } from '../values'
import { atStage, drop, kind, one, PLAIN, put, removes, said } from './kind'

/** Groups without these concepts; one that is left alone is no alternative. */
const withoutConcepts = (groups: readonly Alternatives[], ids: readonly string[]): Alternatives[] =>
  groups
    .map((a) => ({ ...a, conceptIds: a.conceptIds.filter((id) => !ids.includes(id)) }))
    .filter((a) => a.conceptIds.length > 1)

export const QUESTION_KINDS = {
  'review.create': kind({
    ...PLAIN,
    schema: z.object({ id: ReviewId, title: z.string() }),
    apply: (r, p) => {
      r.id = p.id
      r.title = p.title
    },
    undo: 'happened',
    place: () => atStage('question'),
    words: said('review begun'),
  }),
  'review.rename': kind({
    ...PLAIN,
    schema: z.object({ title: z.string() }),
    apply: (r, p) => {
      r.title = p.title
    },
    place: () => atStage('question'),
    words: said('title changed'),
    held: (r) => ({ title: r.title }),
  }),
  'question.set': kind({
    ...PLAIN,
    schema: z.object({ text: z.string().max(5000) }),
    apply: (r, p) => {
      r.question = p.text
      // Picked words are found again in the new wording; what is gone from it is no longer picked.
      r.picks = r.picks.flatMap((pick) => {
        const near = p.text.indexOf(pick.text, Math.max(0, pick.start - 40))
        const start = near >= 0 ? near : p.text.indexOf(pick.text)
        return start < 0 ? [] : [{ ...pick, start, end: start + pick.text.length }]
      })
    },
    place: () => atStage('question', 'question'),
    words: said('question written'),
    held: (r) => ({ text: r.question }),
  }),
  'framework.set': kind({
    ...PLAIN,
    schema: z.object({ framework: z.string() }),
    apply: (r, p) => {
      r.framework = p.framework
    },
    place: () => atStage('question', 'concepts'),
    words: said('framework chosen'),
  }),
  'pick.add': kind({
    ...PLAIN,
    schema: Pick,
    apply: (r, p) => {
      // A word belongs to one concept: what overlaps gives way.
      r.picks = r.picks.filter((pick) => pick.end <= p.start || pick.start >= p.end)
      r.picks.push(p)
      r.picks.sort((a, b) => a.start - b.start)
    },
    place: () => atStage('question', 'question'),
    words: said('words woven into a concept'),
  }),
  'pick.remove': removes((r) => r.picks, atStage('question', 'question'), 'words taken out of a concept'),
  'concept.set': kind({
    ...PLAIN,
    schema: Concept,
    apply: (r, p) => {
      put(r.concepts, p)
      r.concepts.sort((a, b) => (a.letter < b.letter ? -1 : 1))
    },
    place: (p) => atStage('question', `concept:${p.id}`),
    words: said('concept set'),
    held: (r, p) => one(r.concepts, p.id),
  }),
  'concept.remove': kind({
    ...PLAIN,
    schema: z.object({ id: Id }),
    apply: (r, p) => {
      drop(r.concepts, p.id)
      r.picks = r.picks.filter((pick) => pick.conceptId !== p.id)
      r.terms = r.terms.filter((t) => t.conceptId !== p.id)
      r.gaps = r.gaps.filter((g) => g.conceptId !== p.id)
      r.alternatives = withoutConcepts(r.alternatives, [p.id])
    },
    place: () => atStage('question', 'concepts'),
    words: said('concept removed'),
  }),
  'alternatives.set': kind({
    ...PLAIN,
    schema: Alternatives,
    apply: (r, p) => {
      // A concept is in one group at most: it leaves the one that it was in.
      r.alternatives = withoutConcepts(
        r.alternatives.filter((a) => a.id !== p.id),
        p.conceptIds,
      )
      r.alternatives.push(p)
    },
    place: () => atStage('question', 'concepts'),
    words: said('concepts made alternatives'),
  }),
  'alternatives.remove': removes(
    (r) => r.alternatives,
    atStage('question', 'concepts'),
    'alternatives taken apart',
  ),
}
