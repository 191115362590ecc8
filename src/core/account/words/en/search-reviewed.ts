import { verbatim } from '../../document'
import { WHEN_LOOKED, type WhenLooked } from '../../search-looks'
import type { FoundOf } from '../../sayings'
import { are, were } from './speaker'
import type { Words } from './words'
import { fact } from './fact'

type Reviewed = FoundOf<'search-reviewed'>

const VERDICTS: Readonly<Record<NonNullable<Reviewed['verdict']>, (again: boolean) => string>> = {
  'no revisions': (again) => `found nothing ${again ? 'left ' : ''}to revise`,
  'revisions suggested': () => 'suggested revisions',
  'revisions required': () => 'asked for revisions',
}
const whenWords = (when: WhenLooked): string => (when === 'none run' ? '' : `, ${WHEN_LOOKED[when]}`)
const capital = (words: string): string => `O${words.slice(1)}`

export const searchReviewed: Words<Reviewed> = {
  says: ({ reader, as, when, first, partly, verdict }) => {
    const role = as ? ` (${verbatim(as)})` : ''
    const [Who, who] = [`${fact('^reviewer', reader)}${role}`, `${fact('reviewer', reader)}${role}`]
    const what = partly
      ? `the strategies of ${fact('reviewed.of', reader)} of ${fact('reviewed.searched', reader)} databases`
      : 'the strategies'
    const [last, then] = [
      `on ${fact('reviewed.on', reader)}${whenWords(when)}`,
      `on ${fact('reviewed.first', reader)}`,
    ]
    const days = first === undefined ? last : `${then}${whenWords(first)}, and again ${last}`
    const by = `by the guideline for Peer Review of Electronic Search Strategies (PRESS; Appendix I)${
      verdict ? `, and ${VERDICTS[verdict](first !== undefined)}` : ''
    }`
    return [`${Who} reviewed ${what} ${days}, ${by}.`, `${capital(days)}, ${who} reviewed ${what} ${by}.`]
  },
}

/** What became of what was asked for. */
export const pointsRaised: Words<FoundOf<'points-raised'>> = {
  says: ({ reader, taken, declined, waiting }, say) => {
    const all = taken + declined + waiting
    const of = fact('reviewed.points', reader)
    const [k, d, w] = [
      fact('reviewed.taken', reader),
      fact('reviewed.declined', reader),
      fact('reviewed.waiting', reader),
    ]
    if (all === 1) {
      if (taken) return say(['We acted on the one point made.'], ['The one point made was acted on.'])
      if (declined)
        return say(
          ['We declined the one point made, with a reason.'],
          ['The one point made was declined, with a reason.'],
        )
      return ['The one point made is still open.']
    }
    if (taken === all) return say([`We acted on all ${of}.`], [`All ${of} were acted on.`])
    if (waiting === all) return [`All ${of} are still open.`]
    const open = waiting ? `, and ${w} ${are(waiting)} still open` : ''
    const reasons = declined === 1 ? ', with a reason' : ', with reasons'
    if (taken === 1 && declined === 1 && !waiting)
      return say(
        [`Of ${of}, we acted on ${k} and declined the other, with a reason.`],
        [`Of ${of}, ${k} was acted on and the other declined, with a reason.`],
      )
    if (!taken)
      return say(
        [`Of ${of}, we declined ${d}${reasons}${open}.`],
        [`Of ${of}, ${d} ${were(declined)} declined${reasons}${open}.`],
      )
    if (!declined)
      return say([`Of ${of}, we acted on ${k}${open}.`], [`Of ${of}, ${k} ${were(taken)} acted on${open}.`])
    return say(
      [`Of ${of}, we acted on ${k} and declined ${d}${reasons}${open}.`],
      [`Of ${of}, ${k} ${were(taken)} acted on and ${d} ${were(declined)} declined${reasons}${open}.`],
    )
  },
}
