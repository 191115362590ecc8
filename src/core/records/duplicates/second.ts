import { contrastOf, type Contrast } from './contrast'
import { LEAST, otherKinds, type Judgement } from './judge'
import type { Print } from './print'
import { abstracts, likenessAtMost, signalsOf, type Signal, type Signals } from './signals'

/** Years that lie between a version before publication and the publication, at most. */
const EARLIER = 2

/**
 * Can it be seen at once that two records are different? Never said of two that would be judged otherwise; said of most,
 * so that only few are compared letter by letter.
 */
export function plainlyDifferent(a: Print, b: Print): boolean {
  if (a.doi !== undefined && a.doi === b.doi) return false
  if (a.year !== undefined && b.year !== undefined && Math.abs(a.year - b.year) > EARLIER) return true
  const [one, other] = [a.more!, b.more!]
  // A title may be a translation, where the place or the abstract is the same.
  if (one.place !== undefined && one.place === other.place) return false
  if (one.opening !== undefined && one.opening === other.opening) return false
  if (!a.title.length || !b.title.length) return false
  if (a.mainText === b.titleText || b.mainText === a.titleText) return false
  return likenessAtMost(a, b) < LEAST
}

/** All that a pair is judged by. */
interface Pair {
  a: Print
  b: Print
  s: Signals
  /** Read only where it matters, for it is dear. */
  abstract: () => Signal
  contrast: () => Contrast
  /** One of them came before the publication of the other. */
  early: boolean
}

/** Says what two records are to each other, by the rules of version 2. */
export function judgeSecond(a: Print, b: Print): Judgement {
  const s = signalsOf(a, b)
  let read: Signal | undefined
  let compared: Contrast | undefined
  const pair: Pair = {
    a,
    b,
    s,
    abstract: () => (read ??= abstracts(a, b)),
    contrast: () => (compared ??= contrastOf(a, b)),
    early: a.more!.early !== b.more!.early,
  }
  const veto = vetoOf(pair)
  const signals = (): Signal[] => [
    ...[s.doi, s.title, s.authors, s.year, s.journal, s.volume, s.issue, s.page],
    ...(read && read.same !== 'unknown' ? [read] : []),
  ]
  if (veto) return { class: 'different', veto, signals: signals() }
  const against = againstIt(pair)
  const enough = sameIdentifier(pair) || (against === undefined && agrees(pair))
  if (enough)
    return {
      class: 'certain',
      signals: signals(),
      ...(pair.early ? { versions: 'one is a version from before the publication of the other' } : {}),
    }
  return {
    class: perhaps(pair) ? 'to settle' : 'different',
    signals: signals(),
    ...(against === undefined ? {} : { against }),
  }
}

const known = (signal: Signal): boolean => signal.same === 'same'
const not = (signal: Signal): boolean => signal.same === 'different'
const people = ({ s, a, b }: Pair): boolean =>
  known(s.authors) || s.authors.same === 'near' || calledSo(a, b) || calledSo(b, a)
/** Is the author of one what the body that wrote the other is called by its letters? */
const calledSo = (a: Print, b: Print): boolean =>
  b.families.length === 1 && (b.families[0]?.length ?? 0) > 1 && a.more!.called.includes(b.families[0]!)
const nearYear = ({ s, a, b, early }: Pair): boolean =>
  !not(s.year) || (early && Math.abs(a.year! - b.year!) <= EARLIER)

/** What forbids that two records are one work, in words. */
function vetoOf(pair: Pair): string | undefined {
  const { a, b, s, early } = pair
  const kinds = otherKinds(a, b, s, early)
  if (kinds) return kinds
  if (known(s.doi)) return undefined
  const elsewhere = [s.year, s.volume, s.page].some((x) => not(x) || x.same === 'near')
  if ((a.generic || b.generic) && (elsewhere || not(s.journal))) return 'a title that many works have'
  if (not(s.doi) && not(s.page) && !early) return 'another DOI and another first page'
  if (s.title.value < LEAST || s.title.value === 1) return undefined
  const contrast = pair.contrast()
  if (contrast.numbers) return 'other numbers in their titles'
  if (contrast.words && not(pair.abstract()))
    return `other words in their titles (${said(contrast.words)}), and other abstracts`
  return undefined
}
const said = ([one, other]: [string[], string[]]): string =>
  `${one.slice(0, 3).join(' ')} / ${other.slice(0, 3).join(' ')}`

/** What speaks against a certain join where no identifier is the same, in words. */
function againstIt(pair: Pair): string | undefined {
  const { s, early } = pair
  if (not(s.doi) && !early) return 'another DOI'
  if (not(s.page)) return 'another first page'
  if (not(s.volume)) return 'another volume'
  if (!nearYear(pair)) return 'another year'
  if (!people(pair)) return 'other authors, or none'
  if (not(pair.abstract())) return 'other abstracts'
  const placeless = s.volume.same === 'unknown' && s.page.same === 'unknown'
  if (s.year.same === 'near' && placeless && !early && !known(pair.abstract()))
    return 'another year, and no volume or page that tells whether it comes out every year'
  const contrast = pair.contrast()
  if (contrast.words && !known(pair.abstract())) return `other words in their titles: ${said(contrast.words)}`
  return undefined
}

/** The same identifier is enough where the titles do not contradict it. */
function sameIdentifier(pair: Pair): boolean {
  const { s } = pair
  if (!known(s.doi)) return false
  return (
    s.title.value >= 0.6 ||
    (s.title.same === 'unknown' && !not(s.year)) ||
    (people(pair) && known(pair.abstract()))
  )
}

/** Does enough agree, where nothing speaks against it? */
function agrees(pair: Pair): boolean {
  const { a, b, s, early } = pair
  const text = known(pair.abstract())
  const title = known(s.title) || s.title.cut || s.title.value >= 0.9
  const place = known(s.page) && !not(s.volume) && !not(s.journal)
  if (a.generic || b.generic) return place && known(s.volume) && known(s.journal) && known(s.title)
  // The text itself makes them one, whatever language the titles are in.
  if (text && (title || known(s.year) || early)) return true
  if (!title) return false
  if (early) return known(s.title) || s.title.cut
  const long = Math.min(a.title.length, b.title.length) >= 4
  const volume = known(s.volume) && !not(s.issue) && !not(s.journal)
  if (known(s.title)) {
    const published = a.more!.publisher !== undefined && a.more!.publisher === b.more!.publisher
    return (
      place ||
      (long && volume) ||
      (long &&
        s.page.same === 'unknown' &&
        s.volume.same === 'unknown' &&
        known(s.year) &&
        !not(s.journal)) ||
      (known(s.year) && known(s.authors) && published && !not(s.journal))
    )
  }
  return place || (volume && known(s.year) && (s.title.cut || s.journal.same !== 'unknown'))
}

/** Is it worth a person's look? */
function perhaps(pair: Pair): boolean {
  const { a, b, s } = pair
  if (known(s.doi)) return true
  if (a.generic || b.generic) return false
  const { value } = s.title
  const places = known(s.page) && known(s.volume) && known(s.authors) && known(s.year)
  if (places) return value >= LEAST || (!not(s.journal) && !not(s.doi))
  // One place and one title are looked at whoever is said to have written it.
  if (known(s.title) && known(s.page) && known(s.volume) && known(s.year) && !not(s.doi)) return true
  if ((not(s.authors) && !people(pair)) || !nearYear(pair) || (not(s.page) && not(s.volume))) return false
  const text = pair.abstract()
  if (known(s.title) || s.title.cut) return !not(text)
  if (value < 0.85) return text.same === 'same'
  return !pair.contrast().words && !not(text)
}
