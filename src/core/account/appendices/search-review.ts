import {
  finishedReviews,
  nameOfPerson,
  REVIEWED,
  settlingOf,
  type Review,
  type Reviewed,
  type SearchAnswer,
  type SearchComment,
  type SearchPoint,
  type SearchReview,
} from '../../review'
import { ELEMENTS } from '../../strategy'
import { text } from '../document'
import { cell, type Block } from '../documents/tree'
import { WHEN_LOOKED, whenLooked } from '../search-looks'
import { dateWords } from '../words'
import type { AppendixContext } from './context'

/** An element of PRESS 2015 in our own short words. */
export const elementWords = (element: Reviewed): string => ELEMENTS[REVIEWED.indexOf(element)]!

/** What was thought of an element. */
export const VERDICT_WORDS: Record<SearchAnswer['verdict'], string> = {
  none: 'nothing to change',
  suggested: 'could be better',
  required: 'has to be changed',
}

/** What a comment is about: "Fernhollow Education Index, line 3". A line that is gone is said to be. */
export function aboutWords(review: Review, { sourceId, lineId }: SearchComment): string {
  const source = review.sources.find((s) => s.id === sourceId)?.name ?? 'a database that is no longer planned'
  if (lineId === undefined) return source
  const at = (review.strategies[sourceId] ?? []).findIndex((l) => l.id === lineId)
  return at < 0 ? `${source}, a line that is gone` : `${source}, line ${at + 1}`
}

/** What became of what was asked for, with the line as it reads now where it was changed since. */
export function outcomeWords(review: Review, point: SearchPoint): string {
  const settled = settlingOf(review, point)
  if (!settled) return 'still open'
  const why = settled.reason.trim()
  if (settled.as === 'declined') return `declined${why ? `, because ${why}` : ''}`
  const of = 'of' in point ? point.of : undefined
  const line =
    'lineId' in point ? review.strategies[point.sourceId]?.find((l) => l.id === point.lineId) : undefined
  const now = line && of !== undefined && line.text !== of ? `; it reads now: ${line.text}` : ''
  return `acted on${why ? `: ${why}` : ''}${now}`
}

/** When a reviewer looked, look by look: "5 May 2026, after the first search", "again on 8 May 2026". */
export const lookWords = (review: Review, { earlier = [], finished }: SearchReview): string[] =>
  [...earlier, ...(finished ? [finished] : [])].map(
    (look, n) =>
      `${n ? 'again on ' : ''}${dateWords(look.at)}${afterWords(WHEN_LOOKED[whenLooked(review, look)])}`,
  )
const afterWords = (when: string): string => (when ? `, ${when}` : '')

/** I: who reviewed the searches by the six elements of PRESS 2015, with their answers, and what became of each comment. */
export function searchReviewAppendix({ review }: AppendixContext): Block[] {
  return finishedReviews(review).flatMap((r): Block[] => {
    const who = [
      `${nameOfPerson(review, r.reader)}${r.finished.as ? ` (${r.finished.as})` : ''}`,
      ...lookWords(review, r),
    ].join(', ')
    return [
      {
        kind: 'table',
        caption: [text(`Review of the searches by ${who}, by element of PRESS 2015`)],
        head: ['Element', 'Finding', 'In the reviewer’s words', 'Outcome'],
        rows: REVIEWED.map((element) => {
          const own = r.answers.filter((a) => a.element === element)
          return [
            cell(elementWords(element)),
            cell(own.map((a) => VERDICT_WORDS[a.verdict]).join('; ') || 'not answered'),
            cell(own.flatMap((a) => a.words.trim() || []).join(' / ')),
            cell(own.flatMap((a) => (a.verdict === 'none' ? [] : outcomeWords(review, a))).join(' / ')),
          ]
        }),
      },
      ...comments(review, r),
    ]
  })
}

const comments = (review: Review, { comments: all }: SearchReview): Block[] =>
  all.length
    ? [
        {
          kind: 'table',
          caption: [text('Comments on single lines, and what became of them')],
          head: ['About', 'As it read then', 'Comment', 'Proposed', 'Outcome'],
          rows: all.map((c) => [
            cell(aboutWords(review, c)),
            cell(c.of ?? ''),
            cell(c.text),
            cell(
              c.proposal
                ? `${c.proposal.text}${c.proposal.hits === undefined ? '' : ` (${c.proposal.hits} hits)`}`
                : '',
            ),
            cell(outcomeWords(review, c)),
          ]),
          mono: [1, 3],
          wide: true,
        },
      ]
    : []
