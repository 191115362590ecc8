import type { Asked, Duplicates, ReadByMany, Reads, Shown, TextsRead, TitlesRead } from '../reads/en'
import { Deeds, type Deed, type World } from './deeds'
import { askedOtherwise, askedWith, leftOut, noNearness, takenOver, withoutQuery } from './asked-with'
import { broughtShort, limitsBeyond } from './counted'
import { agreed, settled } from './differing'
import { cameIn, removedUnread, studies, textsSought, updateBrought } from './gathered'
import { headingsSeen } from './looked-up'
import { limitInSome, limitsDropped, limitsKept, limitsPlanned, noLimit, stoodIn } from './limits-planned'
import { notPartly, notSent } from './not-sent'
import { reasonWords } from './reason-words'
import { phrasesSentApart } from './phrases'
import {
  askedIs,
  dividedInto,
  dropped,
  knownAdded,
  knownFound,
  knownNamed,
  noHeading,
  notRequired,
  oneEnough,
  terms,
} from './plan'
import { departed, protocolAmended, protocolFrozen } from './protocol'
import { pointsRaised, searchReviewed } from './search-reviewed'
import {
  chosen,
  indexed,
  pagesNoted,
  searched,
  searchedAgain,
  searchedOn,
  together,
  toSearch,
  toSearchBesides,
  wayGone,
  wayPlanned,
  waysAtOnce,
} from './sources'
import {
  countsByHand,
  countsCorrected,
  searchedBefore,
  searchesWithout,
  stemmed,
  truncation,
} from './searches'
import { followed, looked, notGone, peopleAsked, searchAgain, sourceGone } from './ways'

const has = (deeds: Deeds, works: readonly string[], pass: 'broad' | 'close', verdict: string): number =>
  works.filter((w) => deeds.stands(w, pass).verdict === verdict).length

function titlesRead(read: TitlesRead, deeds: Deeds): boolean {
  const works = deeds.counted('broad')
  const left = deeds.works.filter((w) => deeds.stands(w, 'broad').verdict === 'left').length
  return (
    works.length > 0 &&
    read.read === works.length &&
    (read.of === undefined ? left === 0 : read.of === deeds.works.length && left > 0) &&
    (read.left === undefined || read.left === left) &&
    read.kept === has(deeds, works, 'broad', 'in') &&
    read.out === has(deeds, works, 'broad', 'out') &&
    (read.undecided === undefined
      ? read.open === has(deeds, works, 'broad', 'unsure') &&
        read.toSettle === has(deeds, works, 'broad', 'to settle')
      : read.undecided === has(deeds, works, 'broad', 'unsure') + has(deeds, works, 'broad', 'to settle'))
  )
}

/** Each work was read by just as many as is said, "the same" means the same people, and numbers sum to all works. */
function whoRead(read: readonly ReadByMany[], deeds: Deeds, pass: 'broad' | 'close'): boolean {
  const works = deeds.counted(pass)
  const people = (all: readonly string[]): Set<string> => new Set(all.flatMap((w) => deeds.readers(w, pass)))
  const everybody = new Set(
    (['broad', 'close'] as const).flatMap((p) => [
      ...new Set(deeds.counted(p).flatMap((w) => deeds.readers(w, p))),
    ]),
  )
  // Somebody alone is "I" or "we": of them it is not said who read.
  if (everybody.size < 2 && read.every((r) => r.each > 0)) return false
  const told = read.reduce((n, r) => n + (r.works ?? works.length), 0)
  return (
    works.length > 0 &&
    told === works.length &&
    read.every(({ works: n, each, same, among }) => {
      const own = works.filter((w) => deeds.readers(w, pass).length === each)
      const who = people(own)
      return (
        own.length === (n ?? works.length) &&
        (same ? who.size === each : who.size > each) &&
        (among === undefined || who.size === among)
      )
    })
  )
}

function asked(read: Asked, deeds: Deeds, pass: 'broad' | 'close'): boolean {
  const now = deeds.questions(pass)
  const works = deeds.counted(pass).filter((w) => deeds.readers(w, pass).length)
  const rulings = (w: string) => [...deeds.ruled(w, pass).values()].filter((r) => !r.unread)
  // Where there was no question yet, none is noted.
  const bare = works.filter((w) => rulings(w).some((r) => r.asked === '[]'))
  const others = works.filter(
    (w) => !bare.includes(w) && rulings(w).some((r) => r.asked !== JSON.stringify(now)),
  ).length
  return (
    works.length > 0 &&
    read.questions.length === now.length &&
    now.every((q) =>
      read.questions.some((r) => r.words === q.text.trim() && r.outIf === (q.sense === 'in' ? 'no' : 'yes')),
    ) &&
    read.others === others &&
    read.notNoted === bare.length &&
    read.each === (others + bare.length === 0)
  )
}

function titlesOrder(read: Shown, deeds: Deeds): boolean {
  const chosen = deeds.of('order.choose').filter((o) => o.pass === 'broad')
  const keepers = new Set(chosen.map((o) => o.$by))
  const shown = new Map<string, number>()
  let unknown = 0
  for (const work of deeds.counted('broad')) {
    const firsts = [...deeds.ruled(work, 'broad')].flatMap(([reader, r]) =>
      !r.unread && r.first !== undefined ? [{ reader, at: r.first }] : [],
    )
    if (!firsts.length) continue
    const known = firsts.filter((f) => keepers.has(f.reader)).sort((a, b) => (a.at < b.at ? -1 : 1))[0]
    if (!known) unknown++
    else {
      const order = String(chosen.findLast((o) => o.$at <= known.at)?.order ?? 'source')
      shown.set(order, (shown.get(order) ?? 0) + 1)
    }
  }
  const all = [...shown.values()].reduce((a, b) => a + b, 0)
  return (
    [...shown.keys()].some((o) => o !== 'source') &&
    read.orders.length === shown.size &&
    read.unknown === unknown &&
    read.orders.every((o) => shown.get(o.order) === (o.works ?? all))
  )
}

function textsRead(read: TextsRead, deeds: Deeds): boolean {
  const works = deeds.counted('close')
  const out = works.filter((w) => deeds.stands(w, 'close').verdict === 'out')
  const texts = new Map(deeds.of('retrieval.set').map((p) => [p.recordId as string, p.state as string]))
  const without = works.filter(
    (w) => !['open copy', 'subscription', 'have'].includes(texts.get(w) ?? ''),
  ).length
  const reasons = new Map<string, number>()
  for (const w of out) {
    const words = reasonWords(deeds, deeds.stands(w, 'close').reason)
    reasons.set(words, (reasons.get(words) ?? 0) + 1)
  }
  const named = read.reasons.filter((r) => r.words !== 'other reasons')
  const told = read.reasons.reduce((n, r) => n + r.count, 0)
  return (
    works.length > 0 &&
    read.read === works.length &&
    (read.noText === 'all' ? without === works.length : read.noText === without && without < works.length) &&
    read.out === out.length &&
    read.open === has(deeds, works, 'close', 'unsure') &&
    read.toSettle === has(deeds, works, 'close', 'to settle') &&
    read.kept === has(deeds, works, 'close', 'in') &&
    // Where reasons are told they sum to all that were set aside; the short form leaves all of them out.
    (!read.reasons.length || told === out.length) &&
    named.every((r) => reasons.get(r.words) === r.count)
  )
}

function duplicates(read: Duplicates, deeds: Deeds): boolean {
  const pair = (a: unknown, b: unknown): string => [a, b].map(String).sort().join(' ')
  const pairs = new Set([...deeds.of('pair.join'), ...deeds.of('pair.part')].map((p) => pair(p.a, p.b)))
  const open = deeds.alike().filter(([a, b]) => !pairs.has(pair(a, b)))
  return (
    deeds.works.length > 0 &&
    read.rules === deeds.of('partition.set').at(-1)?.rules &&
    // The second version of the rules is the first that holds them for one.
    read.versions === (read.rules ?? 0) >= 2 &&
    read.byHand === pairs.size &&
    read.open === open.length &&
    (read.rules !== undefined || pairs.size > 0)
  )
}

/** Works whose reason is a person’s own words, and no question by its id. */
function textsReasons(read: { own: number }, deeds: Deeds): boolean {
  const out = deeds.counted('close').filter((w) => deeds.stands(w, 'close').verdict === 'out')
  const own = out.filter((w) => {
    const { reason } = deeds.stands(w, 'close')
    return reason !== '' && reason !== 'reasons differ' && !reason.startsWith('question:')
  })
  const questions = [...deeds.questions('broad'), ...deeds.questions('close')]
  return own.length > 0 && own.length === read.own && questions.length > 0
}

const MEANINGS: { readonly [N in keyof Reads]: (read: Reads[N], deeds: Deeds) => boolean } = {
  asked: askedIs,
  divided: dividedInto,
  'one-enough': oneEnough,
  'not-required': notRequired,
  'protocol-frozen': protocolFrozen,
  'protocol-amended': protocolAmended,
  departed,
  searched,
  'to-search': toSearch,
  'to-search-besides': toSearchBesides,
  indexed,
  chosen,
  together,
  'searched-on': searchedOn,
  'searched-again': searchedAgain,
  'searched-before': searchedBefore,
  'way-gone': wayGone,
  'ways-at-once': waysAtOnce,
  'way-planned': wayPlanned,
  'pages-noted': pagesNoted,
  'asked-with': askedWith,
  'asked-otherwise': askedOtherwise,
  'no-nearness': noNearness,
  'left-out': leftOut,
  'without-query': withoutQuery,
  'taken-over': takenOver,
  terms,
  'no-heading': noHeading,
  dropped,
  'known-named': knownNamed,
  'known-added': knownAdded,
  'known-found': knownFound,
  'limits-kept': limitsKept,
  'limits-planned': limitsPlanned,
  'limits-dropped': limitsDropped,
  'limit-in-some': limitInSome,
  'no-limit': noLimit,
  'stood-in': stoodIn,
  'search-reviewed': searchReviewed,
  'points-raised': pointsRaised,
  'came-in': cameIn,
  'removed-unread': removedUnread,
  'titles-agreed': (read, deeds) => agreed(read, deeds, 'broad'),
  'texts-agreed': (read, deeds) => agreed(read, deeds, 'close'),
  'titles-settled': (read, deeds) => settled(read, deeds, 'broad'),
  'texts-settled': (read, deeds) => settled(read, deeds, 'close'),
  'texts-sought': textsSought,
  studies,
  'update-brought': updateBrought,
  'brought-short': broughtShort,
  duplicates,
  'titles-read': titlesRead,
  'titles-who': (read, deeds) => whoRead(read, deeds, 'broad'),
  'titles-asked': (read, deeds) => asked(read, deeds, 'broad'),
  'titles-order': titlesOrder,
  'texts-read': textsRead,
  'texts-who': (read, deeds) => whoRead(read, deeds, 'close'),
  'texts-asked': (read, deeds) => asked(read, deeds, 'close'),
  'texts-reasons': textsReasons,
  'way-followed': followed,
  'way-looked': looked,
  'way-people': peopleAsked,
  'ways-not-gone': notGone,
  'source-gone': sourceGone,
  'search-again': searchAgain,
  deposited: (read, deeds) => {
    const last = deeds.of('package.deposit').at(-1)
    return last?.address === read.address && last.day === read.day
  },
  'headings-seen': headingsSeen,
  truncation,
  stemmed,
  'phrases-apart': phrasesSentApart,
  'not-sent': notSent,
  'not-partly': notPartly,
  'limits-beyond': limitsBeyond,
  'searches-without': searchesWithout,
  'counts-by-hand': countsByHand,
  'counts-corrected': countsCorrected,
}

/** Is it true what a sentence says? Judged from deeds and works, slowly, and from nothing else. */
export const holds = <N extends keyof Reads>(
  name: N,
  read: Reads[N],
  entries: readonly Deed[],
  /** What lies beside the journal as numbers: the pairs that rules found alike. */
  beside?: (digest: string) => readonly number[] | undefined,
  world?: World,
): boolean => MEANINGS[name](read, deedsOf(entries, beside, world))

/** A journal is gone through once for all sentences on it. */
const gone = new WeakMap<readonly Deed[], Deeds>()
function deedsOf(
  entries: readonly Deed[],
  beside: Parameters<typeof holds>[3],
  world: World | undefined,
): Deeds {
  const known = gone.get(entries)
  if (known && known.beside === beside) return known
  const deeds = new Deeds(entries, beside, world)
  gone.set(entries, deeds)
  return deeds
}

export { Deeds, type Deed, type World } from './deeds'
