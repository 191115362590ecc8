import { verbatim } from '../../document'
import type { GroupedOf } from '../grouped'
import { are, were, type Say } from './speaker'

/** Who looked the searches over, and what came of it. */
export const SEARCH_REVIEW = {
  reviewed: (told: GroupedOf<'reviewed'>, say: Say) => {
    const { reader, as } = told
    const role = as ? ` (${verbatim(as)})` : ''
    const [Who, who] = [`{^reviewer:${reader}}${role}`, `{reviewer:${reader}}${role}`]
    const by = 'by the guideline for Peer Review of Electronic Search Strategies (PRESS; Appendix I)'
    const [active, passive] = outcome(told)
    return say(
      [
        `${Who} reviewed the strategies on {reviewed.on:${reader}} ${by}.${active}`,
        `On {reviewed.on:${reader}}, ${who} reviewed the strategies ${by}.${active}`,
      ],
      [
        `${Who} reviewed the strategies on {reviewed.on:${reader}} ${by}.${passive}`,
        `On {reviewed.on:${reader}}, ${who} reviewed the strategies ${by}.${passive}`,
      ],
    )
  },
}

/** What became of the comments, with "we" and in the passive; nothing where there were none. */
function outcome({ reader, taken, declined, waiting }: GroupedOf<'reviewed'>): [string, string] {
  const all = taken + declined + waiting
  const of = `{reviewed.comments:${reader}}`
  const [k, d, w] = [
    `{reviewed.taken:${reader}}`,
    `{reviewed.declined:${reader}}`,
    `{reviewed.waiting:${reader}}`,
  ]
  if (!all) return ['', '']
  if (all === 1) {
    if (taken) return [' We acted on the one comment made.', ' The one comment made was acted on.']
    if (declined)
      return [
        ' We declined the one comment made, with a reason.',
        ' The one comment made was declined, with a reason.',
      ]
    return [' The one comment made is still open.', ' The one comment made is still open.']
  }
  if (taken === all) return [` We acted on all ${of}.`, ` All ${of} were acted on.`]
  const open = waiting ? `, and ${w} ${are(waiting)} still open` : ''
  if (!taken && !declined) return [` All ${of} are still open.`, ` All ${of} are still open.`]
  const reasons = declined === 1 ? ', with a reason' : ', with reasons'
  if (taken === 1 && declined === 1 && !waiting)
    return [
      ` Of ${of}, we acted on ${k} and declined the other, with a reason.`,
      ` Of ${of}, ${k} was acted on and the other declined, with a reason.`,
    ]
  if (!taken)
    return [
      ` Of ${of}, we declined ${d}${reasons}${open}.`,
      ` Of ${of}, ${d} ${were(declined)} declined${reasons}${open}.`,
    ]
  if (!declined)
    return [` Of ${of}, we acted on ${k}${open}.`, ` Of ${of}, ${k} ${were(taken)} acted on${open}.`]
  return [
    ` Of ${of}, we acted on ${k} and declined ${d}${reasons}${open}.`,
    ` Of ${of}, ${k} ${were(taken)} acted on and ${d} ${were(declined)} declined${reasons}${open}.`,
  ]
}
