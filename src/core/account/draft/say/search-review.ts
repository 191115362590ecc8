import { verbatim } from '../../document'
import { WHEN_LOOKED, type WhenLooked } from '../../search-looks'
import type { GroupedOf } from '../grouped'
import { are, were, type Say } from './speaker'

const VERDICTS: Readonly<Record<NonNullable<GroupedOf<'reviewed'>['verdict']>, (again: boolean) => string>> =
  {
    'no revisions': (again) => `found nothing ${again ? 'left ' : ''}to revise`,
    'revisions suggested': () => 'suggested revisions',
    'revisions required': () => 'asked for revisions',
  }
const whenWords = (when: WhenLooked): string => (when === 'none run' ? '' : `, ${WHEN_LOOKED[when]}`)
const capital = (words: string): string => `O${words.slice(1)}`

/** Who looked the searches over, and what came of it. */
export const SEARCH_REVIEW = {
  reviewed: (told: GroupedOf<'reviewed'>, say: Say) => {
    const { reader, as, when, first, of, verdict } = told
    const role = as ? ` (${verbatim(as)})` : ''
    const [Who, who] = [`{^reviewer:${reader}}${role}`, `{reviewer:${reader}}${role}`]
    const what = of
      ? `the strategies of {reviewed.of:${reader}} of {reviewed.searched:${reader}} databases`
      : 'the strategies'
    const [last, then] = [`on {reviewed.on:${reader}}${whenWords(when)}`, `on {reviewed.first:${reader}}`]
    const days = first === undefined ? last : `${then}${whenWords(first)}, and again ${last}`
    const by = `by the guideline for Peer Review of Electronic Search Strategies (PRESS; Appendix I)${
      verdict ? `, and ${VERDICTS[verdict](first !== undefined)}` : ''
    }`
    const [active, passive] = outcome(told)
    return say(
      [
        `${Who} reviewed ${what} ${days}, ${by}.${active}`,
        `${capital(days)}, ${who} reviewed ${what} ${by}.${active}`,
      ],
      [
        `${Who} reviewed ${what} ${days}, ${by}.${passive}`,
        `${capital(days)}, ${who} reviewed ${what} ${by}.${passive}`,
      ],
    )
  },
}

/** What became of what was asked for, with "we" and in the passive; nothing where there were none. */
function outcome({ reader, taken, declined, waiting }: GroupedOf<'reviewed'>): [string, string] {
  const all = taken + declined + waiting
  const of = `{reviewed.points:${reader}}`
  const [k, d, w] = [
    `{reviewed.taken:${reader}}`,
    `{reviewed.declined:${reader}}`,
    `{reviewed.waiting:${reader}}`,
  ]
  if (!all) return ['', '']
  if (all === 1) {
    if (taken) return [' We acted on the one point made.', ' The one point made was acted on.']
    if (declined)
      return [
        ' We declined the one point made, with a reason.',
        ' The one point made was declined, with a reason.',
      ]
    return [' The one point made is still open.', ' The one point made is still open.']
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
