import { plural } from '../../../base'
import type { FactContext } from '../../facts'
import { passSums } from '../../facts/selection'
import { departed, protocolFrozen } from '../../sayings/protocol'
import type { Saying } from '../../sayings'
import { pointsRaised, reviewersOf, searchReviewed } from '../../sayings/search-reviewed'
import { settledIn } from '../../sayings/settled'
import { denies, isPlan, ofAll, type Matter } from './said'

const foundOf = <Found>({ finds }: Saying<Found>, c: FactContext): Found | undefined =>
  Object.values(finds.when).every((holds) => holds(c, '')) ? finds.found(c, '') : undefined

/** How differences between readers ended. */
export const differences: Matter = (s, c) => {
  const { figures } = c
  const open = figures.conflicts.broad + figures.conflicts.close
  const settled = figures.settled.broad + figures.settled.close
  if (!open && !settled) return undefined
  if (!/\bdisagree|\bdifferences?\b|\bconflicts?\b|\bdiscrepanc|\bagreed on (?:every|all|each)\b/i.test(s))
    return undefined
  if (/\bprotocol\b|\bpairs?\b/i.test(s)) return undefined
  const record = `of ${plural(open + settled, 'difference')}, ${settled} ${settled === 1 ? 'was' : 'were'} settled and ${open} ${open === 1 ? 'waits' : 'wait'}`
  if (/\bagreed on (?:every|all|each)\b/i.test(s)) return record
  if (denies(s))
    return /\bopen\b|\bwait|\bunsettled\b|\bunresolved\b/i.test(s) ? (open ? record : undefined) : record
  const hows = (['broad', 'close'] as const).flatMap((pass) => settledIn(c, pass).hows)
  if (/\bthird\b/i.test(s) && hows.length && !hows.some((how) => /third/i.test(how)))
    return `differences were settled otherwise: ${hows.join(', ')}`
  const ended = /\bsettled\b|\bresolved\b|\bdecided\b|\badjudicated\b/i.test(s)
  return ended && ofAll(s) && open ? record : undefined
}

/** Which full texts were had and read. */
export const textsHad: Matter = (s, { figures }) => {
  const { fetched, sought, notHad, awaited, notLooked, assessed } = passSums(figures)
  if (!fetched || !/\bfull[- ]texts?\b/i.test(s) || isPlan(s)) return undefined
  const lacking = notHad + awaited + notLooked
  if (!lacking) return undefined
  const record = `of ${plural(sought + notLooked, 'full text')} to be sought, ${notHad} ${notHad === 1 ? 'was' : 'were'} not to be had and ${awaited + notLooked} ${awaited + notLooked === 1 ? 'is' : 'are'} awaited, unread or not looked for; ${assessed} ${assessed === 1 ? 'was' : 'were'} read`
  if (denies(s))
    return /\bmissing\b|\bunavailable\b|\black|\bcould not (?:get|be had|obtain)/i.test(s)
      ? record
      : undefined
  const had = /\bobtain|\bhad\b(?! two)|\bretriev|\bavailable\b|\bread\b|\bto be had\b/i.test(s)
  const every =
    /\b(?:all|every|each)(?: of)?(?: the)?(?: \d+)? (?:full[- ]texts?|works?)\b/i.test(s) &&
    !/\basked\b|\bshared\b/i.test(s)
  return had && every ? record : undefined
}

/** Whether there is a protocol, when it was frozen, and whether the review kept to it. */
export const protocol: Matter = (s, c) => {
  if (
    !/\bprotocol\b|\bregister(?:ed)?\b(?! of)|\bplan was\b/i.test(s) ||
    /\bregisters of\b|\btrial registers?\b/i.test(s)
  )
    return undefined
  const frozen = foundOf(protocolFrozen, c)
  const departs = foundOf(departed, c)
  const no = /\bno protocol\b|\bnot (?:been )?(?:frozen|written)\b|\bwithout a protocol\b/i.test(s)
  if (no) return frozen ? 'a plan was frozen as a protocol' : undefined
  if (/\bnot (?:been )?regist|\bunregistered\b|\bno registered\b/i.test(s))
    return frozen?.registered ? 'the protocol is registered' : undefined
  const kept =
    /\bno (?:departures?|changes?|deviations?)\b|\bnothing was changed\b|\bnot (?:deviate|depart)|\bin (?:every|all) (?:points?|respects?)\b|\bfollowed\b[^.]*\b(?:fully|entirely|exactly)\b/i.test(
      s,
    )
  if (kept)
    return departs ? `the review departs from its protocol in ${plural(departs.points, 'point')}` : undefined
  const late = /\bafter (?:the )?(?:first )?search|\bonce search|\bafter searching\b/i.test(s)
  return late && frozen?.when === 'before' ? 'the protocol was frozen before the first search' : undefined
}

/** Who looked the strategies over, when, and what became of it. */
export const searchReview: Matter = (s, c) => {
  const of = /\bstrateg/i.test(s) || /\bsearch review\b|\blibrarian/i.test(s)
  if (
    !of ||
    !/\breview(?:ed)?\b|\blooked over\b|\blibrarian|\bcomments?\b|\bsuggestions?\b|\bpoints?\b/i.test(s) ||
    isPlan(s)
  )
    return undefined
  const done = reviewersOf(c).map((r) => ({
    ...searchReviewed.finds.found(c, r),
    ...pointsRaised.finds.found(c, r),
  }))
  const [one] = done
  if (!one) return undefined
  const points = done.reduce((n, r) => n + r.taken + r.declined + r.waiting, 0)
  const taken = done.reduce((n, r) => n + r.taken, 0)
  const record = `of ${plural(points, 'point')}, ${taken} ${taken === 1 ? 'was' : 'were'} acted on`
  if (denies(s)) {
    if (/\bpoints?\b|\bcomments?\b|\bsuggestions?\b/i.test(s)) {
      if (/\bdeclined\b|\brejected\b/i.test(s)) return taken < points ? record : undefined
      return points ? record : undefined
    }
    if (!/\bnot named\b/i.test(s)) return 'somebody looked the strategies over'
  }
  if (
    /\b(?:before|prior to)\b[^,]*\bsearch/i.test(s) &&
    done.every((r) => r.when !== 'before') &&
    !/\bafter\b/i.test(s)
  )
    return 'the strategies were looked over after the first search'
  if (ofAll(s) && /\bacted\b|\btaken up\b|\baccepted\b|\badopted\b/i.test(s))
    return taken < points ? record : undefined
  const by = /\bby (two|three|four) (?:librarians|people|reviewers|colleagues)\b/i.exec(s)
  return by && done.length === 1 ? 'one person looked the strategies over' : undefined
}
