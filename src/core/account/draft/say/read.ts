import { listed } from '../../../base'
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

const ORDER = {
  source: 'as they came',
  year: 'from the newest to the oldest',
  chance: 'in an order of chance',
  likely: 'with those first that were most like the ones already kept',
}

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
  read: (
    { left, out, open, toSettle, readers, bare }: GroupedOf<'read'>,
    say: Say,
    { review }: FactContext,
  ) => {
    const setAside = out ? `{broad.out} ${were(out)} set aside` : 'none was set aside'
    const kept = `{broad.in} went on to full text, ${setAside}`
    const settle = toSettle ? `{broad.toSettle} ${bare ? 'to settle' : `${are(toSettle)} to be settled`}` : ''
    const undecided = `${open ? `, {broad.unsure} ${bare ? '' : `${are(open)} `}open` : ''}${settle && `, ${settle}`}`
    const rest = left
      ? `${kept}${undecided}, ${bare ? '{broad.left} unread' : `and {broad.left} ${are(left)} still to be read`}.`
      : open || toSettle
        ? `${kept}${open && toSettle ? ', {broad.unsure} left open' : open ? ' and {broad.unsure} left open' : ''}${settle && ` and ${settle}`}.`
        : `{broad.in} went on to full text and ${setAside}.`
    const of = left ? '{broad.ruled} of {works}' : '{broad.read}'
    const passive = left
      ? [
          `${bare ? 'Titles' : 'So far titles'} and abstracts of ${of} have been read by {readers}: ${rest}`,
          `Titles and abstracts of ${of} have so far been read by {readers}: ${rest}`,
        ]
      : [
          `Titles and abstracts of ${of} were read by {readers}: ${rest}`,
          `By {readers}, titles and abstracts of ${of} were read: ${rest}`,
        ]
    const { voice } = review.account
    // One who writes alone does not speak of several readers as of themselves.
    if (voice === 'I' && readers > 1) return passive
    const alone = voice === 'I'
    const who = alone ? 'We' : '{^readers.n} of us'
    const have = alone || readers > 1 ? 'have' : 'has'
    return say(
      left
        ? [
            `${who} ${have}${bare ? '' : ' so far'} read titles and abstracts of ${of}: ${rest}`,
            `So far ${alone ? 'we' : '{readers.n} of us'} ${have} read titles and abstracts of ${of}: ${rest}`,
          ]
        : [
            `${who} read titles and abstracts of ${of}: ${rest}`,
            `Titles and abstracts of ${of} were read by ${alone ? 'one reader' : '{readers.n} of us'}: ${rest}`,
          ],
      passive,
    )
  },
  questions: ({ criterionIds }: GroupedOf<'questions'>, _say: Say, { review }: FactContext) => {
    const asked = review.criteria.filter((k) => criterionIds.includes(k.id))
    const list = asked.map((k) => `*${verbatim(k.text)}*`).join(' ')
    return asked.length === 1
      ? [`One question was asked of each: ${list}`, `Asked of each was one question: ${list}`]
      : [`These questions were asked of each: ${list}`, `Each was asked: ${list}`]
  },
  'in order': ({ orders }: GroupedOf<'in order'>, say: Say) => {
    const list = orders.map((o) => ORDER[o])
    const words = list.length === 1 ? list[0]! : `first ${list[0]}, then ${listed(list.slice(1), 'and then')}`
    return say(
      [`Works were read ${words}.`, `We read them ${words}.`],
      [`Works were read ${words}.`, `They were read ${words}.`],
    )
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
    return [`What they saw differently was settled${by}.`, `Differences were settled${by}.`]
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
  'read in full': (
    { out, open, toSettle, noText, included, reasons: why, finished }: GroupedOf<'read in full'>,
    say: Say,
  ) => {
    const so = finished ? '' : 'so far '
    const gone = out
      ? `{close.out} ${were(out)} set aside${why.length ? ` (${reasons(why, 'out.for')})` : ''}`
      : 'none was set aside'
    const settle = toSettle ? `, {close.toSettle} ${are(toSettle)} to be settled` : ''
    const rest = `${gone}${open ? `, {close.open} ${were(open)} left open` : ''}${settle} and {close.in} ${finished ? 'remained' : included === 1 ? 'remains' : 'remain'}`
    const all = noText === out + open + toSettle + included
    const bare = noText ? ` (${all ? '' : '{texts.noText} of them '}without a text noted)` : ''
    return say(
      [
        `Of {texts.read} that we ${so ? 'have so far read' : 'read'} in full${bare}, ${rest}.`,
        `Reading {texts.read} in full${bare} ${so ? 'has so far given' : 'gave'} this: ${rest}.`,
      ],
      [
        `Of {texts.read} that ${so ? 'have so far been read' : 'were read'} in full${bare}, ${rest}.`,
        `Reading {texts.read} in full${bare} ${so ? 'has so far given' : 'gave'} this: ${rest}.`,
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
