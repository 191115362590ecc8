import { verbatim } from '../../document'
import type { FactContext } from '../../facts'
import type { GroupedOf } from '../grouped'
import { are, were, type Say } from './speaker'

/** At most three reasons, the most frequent first, each with its number. */
const reasons = (list: readonly string[], of: string): string =>
  list
    .slice(0, 3)
    .map((reason) => `{${of}:${reason}}`)
    .join(', ')

/** What came back, who read it and how it was ruled, in title and abstract and in full. */
export const READ = {
  brought: ({ ofHits, merged, once, bare }: GroupedOf<'brought'>) => {
    if (bare && merged)
      return [
        'The {records.identified} that came in described {works}.',
        'From {records.identified} came {works}.',
      ]
    const alone = once ? ', {works.once} of them from one source alone' : ''
    const after = merged
      ? `; {records.described} described a work already found, and {works} remained${alone}`
      : once
        ? `; {works.once} of them stood in one source alone`
        : ''
    return [
      ofHits
        ? `Of {hits.total} that the searches found, {records.identified.n} were brought in${after}.`
        : `In all, {records.identified} came in${after}.`,
      ofHits
        ? `The searches found {hits.total}, of which {records.identified.n} were brought in${after}.`
        : `Searching brought {records.identified}${after}.`,
    ]
  },
  removed: ({ count, reasons: why }: GroupedOf<'removed'>) => {
    const for_ = why.length ? ` (${reasons(why, 'removed.for')})` : ''
    return [
      `Before anything was read, {broad.removed} ${were(count)} removed${for_}.`,
      `{^broad.removed} ${were(count)} removed before anything was read${for_}.`,
    ]
  },
  agreed: ({ pairs, kappa, interval: known, bare }: GroupedOf<'agreed'>) => {
    if (pairs > 1) {
      const also = kappa ? ' (Cohen’s kappa {agreed.kappa})' : ''
      return [
        `{^agreed.pairs} of readers ruled the same {agreed.both} and agreed on {agreed.share}${also}.`,
        `On the same {agreed.both}, {agreed.pairs} of readers agreed in {agreed.share} of cases${also}.`,
      ]
    }
    const interval = bare || !known ? '' : ', 95 % interval {agreed.interval}'
    const also = kappa ? ` (Cohen’s kappa {agreed.kappa}${interval})` : ''
    if (bare)
      return [
        `Two readers agreed on {agreed.share} of {agreed.both}${also}.`,
        `On {agreed.both}, two readers agreed in {agreed.share} of cases${also}.`,
      ]
    return [
      `Two readers ruled the same {agreed.both} and agreed on {agreed.share}${also}.`,
      `On {agreed.both} that both read, two readers agreed in {agreed.share} of cases${also}.`,
    ]
  },
  settled: ({ how, all }: GroupedOf<'settled'>, _say: Say, { figures }: FactContext) => {
    const by = how ? ` ${verbatim(how)}` : ' between them'
    const some = figures.settled.broad
    const others = figures.conflicts.broad === 1 ? 'the other still waits' : 'the others still wait'
    if (!all)
      return [
        `Of {settled.of} that readers saw differently, {settled.n} ${were(some)} settled${by}; ${others}.`,
        `{^settled.n} of {settled.of} that readers saw differently ${were(some)} settled${by}, and ${others}.`,
      ]
    return [
      `What readers saw differently was settled${by}.`,
      `Differences between readers were settled${by}.`,
    ]
  },
  sought: ({ notLooked, notHad, awaited }: GroupedOf<'sought'>, say: Say) => {
    const missed = notHad ? `; {texts.notHad} ${were(notHad)} not to be had` : ''
    const wait = awaited
      ? `${missed ? ' and' : ';'} {texts.awaited} ${are(awaited)} still awaited or unread`
      : ''
    if (notLooked) {
      const rest = `; {texts.notLooked} ${notLooked === 1 ? 'has' : 'have'} not been looked for yet${missed.replace(';', ',')}${wait.replace(';', ' and')}`
      return [
        `The full texts of {texts.sought} were to be sought${rest}.`,
        `To be sought were the full texts of {texts.sought}${rest}.`,
      ]
    }
    return say(
      [
        `We sought the full text of {texts.sought}${missed}${wait}.`,
        `Full texts were sought of {texts.sought}${missed}${wait}.`,
      ],
      [
        `The full text of {texts.sought} was sought${missed}${wait}.`,
        `Full texts were sought of {texts.sought}${missed}${wait}.`,
      ],
    )
  },
  studies: () => ['They report {studies}.', 'Between them they report {studies}.'],
  updated: ({ round, included }: GroupedOf<'updated'>) => {
    const kept = included
      ? `{round.included:${round}} of these ${are(included)} included`
      : 'none of these is included so far'
    const came = `{round.identified:${round}}, {round.works:${round}} of them new; ${kept}.`
    return [`An update brought ${came}`, `By an update came ${came}`]
  },
}
