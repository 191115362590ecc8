/** Two-sided 95 % of the normal distribution. */
export const Z95 = 1.959963984540054
/** The 95 % point of chi-square with one degree of freedom. */
const CHI95 = Z95 * Z95

type Table = readonly (readonly number[])[]

const total = (table: Table): number => table.flat().reduce((a, b) => a + b, 0)

/**
 * Cohen's kappa (Educ Psychol Meas 1960;20:37) with its large-sample variance (Fleiss, Cohen and Everitt, Psychol Bull
 * 1969;72:323). Undefined without works and where agreement by chance is certain.
 */
export function kappaOf(table: Table): { kappa: number; variance: number } | undefined {
  const n = total(table)
  if (!n) return undefined
  const p = (i: number, j: number): number => table[i]![j]! / n
  const range = table.map((_, i) => i)
  const rows = range.map((i) => range.reduce((a, j) => a + p(i, j), 0))
  const columns = range.map((j) => range.reduce((a, i) => a + p(i, j), 0))
  const observed = range.reduce((a, i) => a + p(i, i), 0)
  const expected = range.reduce((a, i) => a + rows[i]! * columns[i]!, 0)
  if (1 - expected < 1e-12) return undefined
  const kappa = (observed - expected) / (1 - expected)
  let diagonal = 0
  let off = 0
  for (const i of range)
    for (const j of range)
      if (i === j) diagonal += p(i, i) * (1 - (rows[i]! + columns[i]!) * (1 - kappa)) ** 2
      else off += p(i, j) * (columns[i]! + rows[j]!) ** 2
  const spread = diagonal + (1 - kappa) ** 2 * off - (kappa - expected * (1 - kappa)) ** 2
  return { kappa, variance: Math.max(0, spread) / (n * (1 - expected) ** 2) }
}

/** An interval is given from so many works on. */
export const ENOUGH_WORKS = 60
/** And where the second most frequent class was said so often, by both together. */
export const ENOUGH_SAID = 10

/**
 * The 95 % interval of kappa, undefined where there is too little for it to hold. On the scale of Fisher's z: as it is
 * (kappa plus and minus its error) the interval covers 90 to 92 % at 60 works, so 93 to 97 %; simulated in
 * `bench/kappa.ts`, its table in `docs/selection.md`. Where readers never differed there is no error to reckon with, and the
 * goodness-of-fit interval of Donner and Eliasziw (Stat Med 1992;11:1511) is taken, of the most frequent class against the
 * others.
 */
export function kappaInterval(table: Table): readonly [number, number] | undefined {
  const n = total(table)
  const said = table.map((row, i) => row.reduce((a, b) => a + b, 0) + table.reduce((a, r) => a + r[i]!, 0))
  const second = [...said].sort((a, b) => b - a)[1] ?? 0
  if (n < ENOUGH_WORKS || second < ENOUGH_SAID) return undefined
  const of = kappaOf(table)
  if (!of) return undefined
  const { kappa, variance } = of
  if (variance > 0 && Math.abs(kappa) < 1) {
    const half = (Z95 * Math.sqrt(variance)) / (1 - kappa * kappa)
    return [Math.tanh(Math.atanh(kappa) - half), Math.tanh(Math.atanh(kappa) + half)]
  }
  return goodnessOfFit(Math.max(...table.map((row, i) => row[i]!)), n)
}

/** Of two readers who never differed and said `same` of so many works the one thing: all kappas that fit. */
function goodnessOfFit(same: number, n: number): readonly [number, number] | undefined {
  const p = same / n
  const q = 1 - p
  if (p <= 0 || q <= 0) return undefined
  const distance = (kappa: number): number => {
    const [one, other, mixed] = [
      n * (p * p + p * q * kappa),
      n * (q * q + p * q * kappa),
      2 * n * p * q * (1 - kappa),
    ]
    return (same - one) ** 2 / one + (n - same - other) ** 2 / other + mixed
  }
  // The distance falls towards 1, which fits exactly: where it reaches the bound is the lower end.
  let [low, high] = [Math.max(-p / q, -q / p) + 1e-9, 1]
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2
    if (distance(middle) > CHI95) low = middle
    else high = middle
  }
  return [high, 1]
}
