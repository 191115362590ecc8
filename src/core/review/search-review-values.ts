import { z } from 'zod'
import { canonicalJson, Id } from '../base'
import { Digest, PersonId, Text } from './names'

/** The six elements of the PRESS 2015 guideline (McGowan et al., J Clin Epidemiol 2016;75:40–46), in its order. */
export const REVIEWED = ['question', 'operators', 'headings', 'words', 'spelling', 'limits'] as const
export type Reviewed = (typeof REVIEWED)[number]

/** What a reviewer of the searches thinks of one element: nothing is to be changed, something could be, something has to be. */
export const SearchAnswer = z.object({
  reader: PersonId,
  element: z.enum(REVIEWED),
  verdict: z.enum(['none', 'suggested', 'required']),
  words: Text,
})
export type SearchAnswer = z.infer<typeof SearchAnswer>
/** An answer as it is kept: with the time at which it was given. */
export type AnswerGiven = SearchAnswer & { at: string }

/** What a reviewer says of one line, or of a whole strategy, perhaps with a better text and what that found. */
export const SearchComment = z.object({
  reader: PersonId,
  id: Id,
  sourceId: Id,
  lineId: Id.optional(),
  /** The line as it read then: what a comment is about is not lost when the line is changed. */
  of: Text.optional(),
  text: Text.min(1),
  proposal: z.object({ text: Text.min(1), hits: z.int().min(0).optional() }).optional(),
})
export type SearchComment = z.infer<typeof SearchComment> & { at: string }

/** A reviewer is done, for now, and says as what they reviewed: "subject librarian". */
export const SearchReviewed = z.object({
  reader: PersonId,
  as: Text,
  at: z.iso.datetime({ offset: true }),
  /** Which strategies were looked at, each with the digest of the entry that was the last then. */
  of: z.array(z.object({ sourceId: Id, head: Digest })).optional(),
  verdict: z.enum(['no revisions', 'revisions suggested', 'revisions required']).optional(),
})
export type SearchReviewed = z.infer<typeof SearchReviewed>

/** What the owner of the searches did with a comment. It holds for what was said at that moment, not for another wording. */
export const CommentSettled = z.object({
  reader: PersonId,
  id: Id,
  said: z.iso.datetime({ offset: true }),
  as: z.enum(['taken', 'declined']),
  /** Why it was declined, or what was done. */
  reason: Text,
  /** Where it settles what was found of an element, and no comment. */
  element: z.enum(REVIEWED).optional(),
})
export type CommentSettled = z.infer<typeof CommentSettled>

/** All that one person said of the searches. */
export interface SearchReview {
  reader: string
  answers: AnswerGiven[]
  comments: SearchComment[]
  finished?: SearchReviewed
  /** Looks that were finished before that one, the first first; absent: it was the only one. */
  earlier?: SearchReviewed[]
}

export interface SearchReviewing {
  /** By person; absent until somebody says something. */
  searchReviews?: Record<string, SearchReview>
  settledComments?: CommentSettled[]
}

/** What a reviewer asks for: in a comment, or in an answer by which an element could be better or has to be changed. */
export type SearchPoint = SearchComment | AnswerGiven

/** All that a reviewer asks for, answers before comments. */
export const pointsOf = ({ answers, comments }: SearchReview): SearchPoint[] => [
  ...answers.filter((a) => a.verdict !== 'none'),
  ...comments,
]

/** What a point is called where it is settled: an answer by its element, a comment by its id. */
export const pointName = (point: SearchPoint): Pick<CommentSettled, 'id' | 'element'> =>
  'element' in point ? { id: point.element, element: point.element } : { id: point.id }

/** What was done with a point as it is worded now; undefined: it waits. */
export function settlingOf(
  { settledComments = [] }: SearchReviewing,
  point: SearchPoint,
): CommentSettled | undefined {
  const { id, element } = pointName(point)
  return settledComments.find(
    (s) => s.reader === point.reader && s.id === id && s.element === element && s.said === point.at,
  )
}

/** Points that nobody acted on or declined yet, of all people. */
export const openPoints = (review: SearchReviewing): SearchPoint[] =>
  searchReviews(review)
    .flatMap(pointsOf)
    .filter((point) => !settlingOf(review, point))

/** Comments that nobody acted on or declined yet, of all people, or of one source. */
export const openComments = (review: SearchReviewing, sourceId?: string): SearchComment[] =>
  searchReviews(review)
    .flatMap((r) => r.comments)
    .filter((c) => (sourceId === undefined || c.sourceId === sourceId) && !settlingOf(review, c))

/** The reviews of the searches, by the ids of their people. */
export const searchReviews = ({ searchReviews: by = {} }: SearchReviewing): SearchReview[] =>
  Object.values(by).sort((a, b) => (a.reader < b.reader ? -1 : 1))

/** The elements that a reviewer has not answered: a review by PRESS answers all six. */
export const unansweredOf = ({ answers }: Pick<SearchReview, 'answers'>): Reviewed[] =>
  REVIEWED.filter((element) => !answers.some((a) => a.element === element))

/** Those of which their reviewer said that they were done, the first first. */
export const finishedReviews = (review: SearchReviewing): (SearchReview & { finished: SearchReviewed })[] =>
  searchReviews(review)
    .filter(
      (r): r is SearchReview & { finished: SearchReviewed } =>
        r.finished !== undefined && !unansweredOf(r).length,
    )
    .sort((a, b) => Date.parse(a.finished.at) - Date.parse(b.finished.at))

/**
 * What several files of one person come to: everything that any of them says, each once. Where two parted, both wordings
 * stand. The order of the files does not matter.
 */
export function togetherSaid(reader: string, all: readonly SearchReview[]): SearchReview | undefined {
  if (!all.length) return undefined
  const each = <T>(of: (r: SearchReview) => readonly T[]): T[] =>
    [...new Map(all.flatMap(of).map((value) => [canonicalJson(value), value]))]
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([, value]) => value)
  const answers = each((r) => r.answers).sort(
    (a, b) => REVIEWED.indexOf(a.element) - REVIEWED.indexOf(b.element),
  )
  const comments = each((r) => r.comments).sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0))
  const looks = each((r) => [...(r.earlier ?? []), ...(r.finished ? [r.finished] : [])]).sort((a, b) =>
    a.at < b.at ? -1 : 1,
  )
  const finished = looks.pop()
  return {
    reader,
    answers,
    comments,
    ...(finished ? { finished } : {}),
    ...(looks.length ? { earlier: looks } : {}),
  }
}
