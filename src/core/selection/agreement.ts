/** Two-sided 95 % of the normal distribution. */
export const Z95 = 1.959963984540054

export interface Agreement {
  /** Works on which both ruled. */
  both: number
  /** How often the first said the one (row) and the second the other (column). */
  table: number[][]
  /** The share on which they say the same; undefined without works. */
  agreed: number | undefined
  /**
   * Cohen's kappa: agreement beyond what their frequencies alone would give. Undefined where that is certain already, as
   * when both always say the same thing.
   */
  kappa: number | undefined
  /** Its 95 % interval by the large-sample variance. */
  interval: readonly [number, number] | undefined
}

/**
 * Agreement of two readers from the table of what they said. Kappa: Cohen, Educ Psychol Meas 1960;20:37. Its variance:
 * Fleiss, Cohen and Everitt, Psychol Bull 1969;72:323.
 */
export function agreementOf(table: readonly (readonly number[])[]): Agreement {
  const size = table.length
  const copy = table.map((row) => [...row])
  const n = table.flat().reduce((a, b) => a + b, 0)
  if (!n) return { both: 0, table: copy, agreed: undefined, kappa: undefined, interval: undefined }
  const p = (i: number, j: number): number => table[i]![j]! / n
  const range = Array.from({ length: size }, (_, i) => i)
  const rows = range.map((i) => range.reduce((a, j) => a + p(i, j), 0))
  const columns = range.map((j) => range.reduce((a, i) => a + p(i, j), 0))
  const observed = range.reduce((a, i) => a + p(i, i), 0)
  const expected = range.reduce((a, i) => a + rows[i]! * columns[i]!, 0)
  if (1 - expected < 1e-12)
    return { both: n, table: copy, agreed: observed, kappa: undefined, interval: undefined }
  const kappa = (observed - expected) / (1 - expected)
  let diagonal = 0
  let off = 0
  for (const i of range)
    for (const j of range)
      if (i === j) diagonal += p(i, i) * (1 - (rows[i]! + columns[i]!) * (1 - kappa)) ** 2
      else off += p(i, j) * (columns[i]! + rows[j]!) ** 2
  const variance =
    (diagonal + (1 - kappa) ** 2 * off - (kappa - expected * (1 - kappa)) ** 2) / (n * (1 - expected) ** 2)
  const half = Z95 * Math.sqrt(Math.max(0, variance))
  // Neither end of an interval lies where kappa itself cannot.
  return {
    both: n,
    table: copy,
    agreed: observed,
    kappa,
    interval: [Math.max(-1, kappa - half), Math.min(1, kappa + half)],
  }
}

/** What readers can say, in the order of the rows and columns of a table. */
export const SAID = ['in', 'unsure', 'out'] as const

/** The table of two readers from what each said of works on which both ruled. */
export function tableOf(
  pairs: Iterable<readonly [(typeof SAID)[number], (typeof SAID)[number]]>,
): number[][] {
  const table = SAID.map(() => SAID.map(() => 0))
  for (const [a, b] of pairs) table[SAID.indexOf(a)]![SAID.indexOf(b)]!++
  return table
}
