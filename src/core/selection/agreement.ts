import { kappaInterval, kappaOf } from './kappa'

/** What readers can say, in the order of the rows and columns of a table. */
export const SAID = ['in', 'unsure', 'out'] as const
export type SaidOf = (typeof SAID)[number]
/** The same in words. */
export const SAID_WORDS: Readonly<Record<SaidOf, string>> = { in: 'in', unsure: 'open', out: 'out' }

export interface Agreement {
  /** Works on which both ruled. */
  both: number
  /** How often the first said the one (row) and the second the other (column). */
  table: number[][]
  /** What at least one of them said at least once: kappa and PABAK are of these classes. */
  classes: SaidOf[]
  /** The share on which they say the same; undefined without works. */
  agreed: number | undefined
  /**
   * Cohen's kappa: agreement beyond what their frequencies alone would give. Undefined where that is certain already, as
   * when both always say the same thing.
   */
  kappa: number | undefined
  /** Its 95 % interval, where there is enough for one to hold; see `kappaInterval`. */
  interval: readonly [number, number] | undefined
  /** Of all that either ruled in, how much both did; the same of what was ruled out. Undefined where nobody did. */
  positive: number | undefined
  negative: number | undefined
  /** Kappa as it would be if all classes were as frequent as each other. Undefined with fewer than two classes. */
  pabak: number | undefined
}

/**
 * Agreement of two readers from the table of what they said. Positive and negative agreement: Cicchetti and Feinstein, J Clin
 * Epidemiol 1990;43:551. PABAK: Byrt, Bishop and Carlin, J Clin Epidemiol 1993;46:423, with as many classes as were used.
 */
export function agreementOf(table: readonly (readonly number[])[]): Agreement {
  const copy = table.map((row) => [...row])
  const both = table.flat().reduce((a, b) => a + b, 0)
  const row = (i: number): number => copy[i]!.reduce((a, b) => a + b, 0)
  const column = (i: number): number => copy.reduce((a, r) => a + r[i]!, 0)
  const classes = SAID.filter((_, i) => row(i) + column(i) > 0)
  const same = copy.reduce((n, r, i) => n + r[i]!, 0)
  const agreed = both ? same / both : undefined
  const of = (said: SaidOf): number | undefined => {
    const i = SAID.indexOf(said)
    const either = row(i) + column(i)
    return either ? (2 * copy[i]![i]!) / either : undefined
  }
  const k = classes.length
  return {
    both,
    table: copy,
    classes,
    agreed,
    kappa: kappaOf(copy)?.kappa,
    interval: kappaInterval(copy),
    positive: of('in'),
    negative: of('out'),
    pabak: agreed === undefined || k < 2 ? undefined : (k * agreed - 1) / (k - 1),
  }
}

/** The table of two readers from what each said of works on which both ruled. */
export function tableOf(pairs: Iterable<readonly [SaidOf, SaidOf]>): number[][] {
  const table = SAID.map(() => SAID.map(() => 0))
  for (const [a, b] of pairs) table[SAID.indexOf(a)]![SAID.indexOf(b)]!++
  return table
}

/** Agreement of three readers and more. */
export interface AgreementOfAll {
  /** How many readers ruled each of the works. */
  readers: number
  works: number
  /** The share of pairs of rulings that are the same. */
  agreed: number
  /** Undefined where all say the same of everything. */
  kappa: number | undefined
}

/**
 * Fleiss' kappa (Psychol Bull 1971;76:378) of works that were each ruled by the same number of people, not always the same
 * ones: how many said each thing, and of how many works that is so. Undefined without works.
 */
export function fleissOf(
  said: readonly (readonly [counts: readonly number[], works: number])[],
): AgreementOfAll | undefined {
  const [first] = said
  if (!first) return undefined
  const readers = sum(first[0])
  const works = sum(said.map(([, n]) => n))
  const alike = sum(said.map(([counts, n]) => n * (sum(counts.map((c) => c * c)) - readers)))
  const agreed = alike / (works * readers * (readers - 1))
  const shares = first[0].map((_, j) => sum(said.map(([counts, n]) => n * counts[j]!)) / (works * readers))
  const expected = sum(shares.map((share) => share * share))
  return {
    readers,
    works,
    agreed,
    kappa: 1 - expected < 1e-12 ? undefined : (agreed - expected) / (1 - expected),
  }
}

const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0)
