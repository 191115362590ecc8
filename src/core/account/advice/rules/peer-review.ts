import { searchedIn } from '../../../figures'
import { limitHonour } from '../../../profile'
import { limitApplied } from '../../standing'
import type { Rule } from '../advice'

/** Peer review is claimed, where a document type stood for it and the text does not say so. */
export const peerReview: Rule = ({ context, sentences, text, short }) => {
  const planned = context.review.limits.find((l) => l.limit.kind === 'peer reviewed')
  if (short || !planned || !/peer[- ]review/i.test(text)) return []
  const stood = searchedIn(context.review).flatMap((s) => {
    const profile = context.source(s.id)?.profile
    const how = profile && limitHonour('peer reviewed', profile)
    return how?.state === 'stood in' && limitApplied(context, planned, s.id) === 'stood in'
      ? [{ s, how: how.how }]
      : []
  })
  const untold = stood.filter(
    ({ how }) => !/stood (?:in )?for|stand-in|instead of/i.test(text) && !text.includes(how),
  )
  const where = sentences.find((x) => /peer[- ]review/i.test(x.text))
  return untold.length
    ? [
        {
          matter: 'stand-in',
          message: `Peer review is claimed; in ${untold.map((u) => u.s.name).join(', ')} ${untold[0]!.how} stood for it.`,
          ...(where ? { passage: where.passage, words: where.text } : {}),
        },
      ]
    : []
}
