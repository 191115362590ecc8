/**
 * How far the counts of a two-by-two table are from what chance would give: the log-likelihood ratio G² = 2 Σ O ln(O/E)
 * (Dunning, Accurate methods for the statistics of surprise and coincidence, Computational Linguistics 19, 1993).
 * `good` of `goods` documents have it, and `rest` of the `rests` others. Zero where both sides have it equally often.
 */
export function logLikelihood(good: number, goods: number, rest: number, rests: number): number {
  const total = goods + rests
  const having = good + rest
  if (!total || !goods || !rests) return 0
  const cell = (seen: number, row: number, column: number): number =>
    seen === 0 ? 0 : seen * Math.log((seen * total) / (row * column))
  const g2 =
    2 *
    (cell(good, having, goods) +
      cell(rest, having, rests) +
      cell(goods - good, total - having, goods) +
      cell(rests - rest, total - having, rests))
  return Math.max(0, g2)
}

/** Is it more frequent among the good ones than among the rest? */
export const overRepresented = (good: number, goods: number, rest: number, rests: number): boolean =>
  good * rests > rest * goods

/** 10.83: what G² exceeds by chance once in a thousand times (chi-squared, one degree of freedom). */
export const CHANCE_ONE_IN_A_THOUSAND = 10.828
/** The same value for one in twenty. */
export const CHANCE_ONE_IN_TWENTY = 3.841

/**
 * How many times more often the documents of one set lie in another than documents do at large: (both / a) / (b / all).
 * 1 is what chance gives; zero where one of them is empty.
 */
export function lift(both: number, a: number, b: number, all: number): number {
  return a && b ? (both * all) / (a * b) : 0
}
