import { REVIEWED, unansweredOf, type SearchAnswer, type SearchReviewed } from '../../review'
import type { Doing } from '../doing'

const VERDICTS: Readonly<Record<SearchAnswer['verdict'], NonNullable<SearchReviewed['verdict']>>> = {
  none: 'no revisions',
  suggested: 'revisions suggested',
  required: 'revisions required',
}
const WORST: readonly SearchAnswer['verdict'][] = ['required', 'suggested', 'none']

/**
 * Says that one’s review of the searches is finished: of which strategies, as they stood behind the entry of this digest, and
 * with what verdict, which is that of the gravest answer. Nothing is done before all six elements are answered.
 */
export const finishSearchReview: Doing<{ as: string; head: string }> = (
  { review, now, person },
  { as, head },
) => {
  const said = review.searchReviews?.[person]
  if (!said || unansweredOf(said).length) return []
  const worst = WORST.find((v) => said.answers.some((a) => a.verdict === v))!
  const searched = review.sources.filter((s) => review.runs.some((r) => r.sourceId === s.id))
  return [
    {
      kind: 'searchreview.finish',
      payload: {
        reader: person,
        as: as.trim(),
        at: now,
        of: searched.map((s) => ({ sourceId: s.id, head })),
        verdict: VERDICTS[worst],
      },
    },
  ]
}

/** How many of the elements are answered, in words. */
export const answeredWords = (unanswered: number): string =>
  unanswered ? `${REVIEWED.length - unanswered} of ${REVIEWED.length} elements are answered` : ''
