import { z } from 'zod'
import { Id } from '../../base'
import { PersonId } from '../names'
import {
  CommentSettled,
  REVIEWED,
  SearchAnswer,
  SearchComment,
  SearchReviewed,
  type SearchReview,
} from '../search-review-values'
import type { Review } from '../values'
import { atStage, drop, kind, PLAIN, put, said } from './kind'

/** What a person says of the searches, begun where they say the first of it. */
const of = (r: Review, reader: string): SearchReview =>
  ((r.searchReviews ??= {})[reader] ??= { reader, answers: [], comments: [] })

/** Takes a person out of whom nothing is left. */
function tidy(r: Review, reader: string): void {
  const own = r.searchReviews?.[reader]
  if (!own || own.answers.length || own.comments.length || own.finished) return
  delete r.searchReviews![reader]
  if (!Object.keys(r.searchReviews!).length) delete r.searchReviews
}

const AT = atStage('methods', 'searchreview')

/** The searches looked over by another person: what they say, and what was done with it. */
export const SEARCH_REVIEW_KINDS = {
  'searchreview.answer': kind({
    ...PLAIN,
    schema: SearchAnswer,
    apply: (r, p, { at }) => {
      const own = of(r, p.reader)
      own.answers = [...own.answers.filter((a) => a.element !== p.element), { ...p, at }].sort(
        (a, b) => REVIEWED.indexOf(a.element) - REVIEWED.indexOf(b.element),
      )
    },
    place: () => AT,
    words: said('element of the searches answered'),
    bearsPerson: true,
  }),
  'searchreview.comment': kind({
    ...PLAIN,
    schema: SearchComment,
    apply: (r, p, { at }) => put(of(r, p.reader).comments, { ...p, at }),
    place: (p) => ({
      stage: 'searches',
      sourceId: p.sourceId,
      ...(p.lineId === undefined ? {} : { anchor: `line:${p.lineId}` }),
    }),
    words: said('search commented on'),
    bearsPerson: true,
  }),
  'searchreview.withdraw': kind({
    ...PLAIN,
    schema: z.object({ reader: PersonId, id: Id }),
    apply: (r, p) => {
      const own = r.searchReviews?.[p.reader]
      if (own) drop(own.comments, p.id)
      tidy(r, p.reader)
    },
    place: () => AT,
    words: said('comment on a search withdrawn'),
    bearsPerson: true,
  }),
  'searchreview.finish': kind({
    ...PLAIN,
    schema: SearchReviewed,
    apply: (r, p) => {
      const own = of(r, p.reader)
      if (own.finished) own.earlier = [...(own.earlier ?? []), own.finished]
      own.finished = p
    },
    place: () => AT,
    words: said('review of the searches finished'),
    bearsPerson: true,
  }),
  'searchreview.settle': kind({
    ...PLAIN,
    schema: CommentSettled,
    apply: (r, p) => {
      const others = (r.settledComments ?? []).filter(
        (s) => s.reader !== p.reader || s.id !== p.id || s.element !== p.element,
      )
      r.settledComments = [...others, p]
    },
    place: () => AT,
    words: said('comment on a search settled'),
  }),
}
