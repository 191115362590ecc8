import { numberIn, partsOf } from './number'

/** From the lowest to the highest of several pairs, or the one number of one pair twice. */
export type Span = readonly [low: number, high: number]

export interface AgreedOn {
  pairs: number
  works: Span
  /** In percent, as it is printed. */
  share: Span
  kappa?: Span
  /** Of one pair, where it can be told. */
  interval?: Span
  /** What they said, in words; absent in short. */
  classes?: string[]
  /** How many were ruled with the other's ruling in sight; "some" where it is only said that there are such. */
  seen?: number | 'some'
}

const decimal = (words: string | undefined): number | undefined =>
  words === undefined ? undefined : Number(words.replace('−', '-'))
const NUMBER = '(−?[\\d.,]+)'
const span = (unit: string): string => `${NUMBER}(?: to ${NUMBER})?${unit}`
const KAPPA = `Cohen’s kappa ${span('')}(?:, 95 % interval ${NUMBER} to ${NUMBER})?`
const WHO = '([A-Za-z]+)( pairs? of)? readers'

export function agreedOn(sentence: string, them: 'titles' | 'texts'): AgreedOn | undefined {
  const of = span(them === 'texts' ? ' full texts?' : ' works?')
  const said = `${span(' %')} \\(ruled ([^;)]+)(?:; ${KAPPA})?\\)(?:; (.*))?\\.$`
  const bare = `agreed on ${span(' %')} of ${of}(?: \\(${KAPPA}\\))?\\.$`
  const whole =
    new RegExp(
      `^${WHO} (?:both ruled|ruled the same) ${of}, and in their first rulings agreed on ${said}`,
    ).exec(sentence) ??
    new RegExp(`^In their first rulings, ${WHO} who both ruled ${of} agreed on ${said}`).exec(sentence) ??
    turned(new RegExp(`^On the same ${of}, the first rulings of ${WHO} agreed on ${said}`).exec(sentence))
  const short = whole
    ? undefined
    : (new RegExp(`^(Two)() readers’ first rulings ${bare}`).exec(sentence) ??
      new RegExp(`^First rulings of ${WHO} ${bare}`).exec(sentence))
  const who = whole ?? short
  if (!who) return undefined
  const pairs = who[2] ? numberIn(who[1]) : who[1]!.toLowerCase() === 'two' ? 1 : undefined
  if (pairs === undefined) return undefined
  if (short) {
    const [, , , a, b, c, d, e, f] = short
    return { pairs, works: numbers(c, d)!, share: decimals(a, b)!, ...kappaOf(e, f) }
  }
  const [, , , a, b, c, d, classes, e, f, g, h, rest] = whole!
  const seen = rest === undefined ? undefined : seenIn(rest)
  if (rest !== undefined && seen === undefined) return undefined
  return {
    pairs,
    works: numbers(a, b)!,
    share: decimals(c, d)!,
    ...kappaOf(e, f),
    ...(g === undefined ? {} : { interval: decimals(g, h)! }),
    classes: partsOf(classes!).flatMap((p) => p.split(/,? or /)),
    ...(seen === undefined ? {} : { seen }),
  }
}

/** The works before who ruled them, in the order of the other form. */
const turned = (m: RegExpExecArray | null): (string | undefined)[] | undefined =>
  m ? [m[0], m[3], m[4], m[1], m[2], ...m.slice(5)] : undefined

const numbers = (a: string | undefined, b: string | undefined): Span | undefined => {
  const [low, high] = [numberIn(a), numberIn(b ?? a)]
  return low === undefined || high === undefined ? undefined : [low, high]
}
const decimals = (a: string | undefined, b: string | undefined): Span | undefined => {
  const [low, high] = [decimal(a), decimal(b ?? a)]
  return low === undefined || high === undefined ? undefined : [low, high]
}
const kappaOf = (a: string | undefined, b: string | undefined): { kappa?: Span } => {
  const kappa = decimals(a, b)
  return kappa ? { kappa } : {}
}

function seenIn(rest: string): number | 'some' | undefined {
  if (rest === 'what one of a pair ruled with the other’s ruling in sight is not counted') return 'some'
  return numberIn(
    /^([\d,]+) more, ruled with the other’s ruling in sight, (?:is|are) not counted$/.exec(rest)?.[1],
  )
}
