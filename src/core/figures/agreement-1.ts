// Frozen: version 1 of the figures told agreement by these numbers, of the last word of each reader.
import { tableOf, Z95 } from '../selection'
import type { Ruled, Ruling } from '../review'
import { heldValues } from '../base'

export interface FirstAgreement {
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
export function firstAgreementOf(table: readonly (readonly number[])[]): FirstAgreement {
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

/** Agreement of the two readers of the broad pass who ruled most of the same works, by the last word of each. */
export function firstAgreementIn({ byWork }: Ruled): FirstAgreement | undefined {
  const said = new Map<string, (readonly [Ruling['verdict'], Ruling['verdict']])[]>()
  for (const own of heldValues(byWork)) {
    const read = Object.values(own).filter((r) => r.pass === 'broad' && !r.unread)
    read.sort((a, b) => (a.reader < b.reader ? -1 : 1))
    read.forEach((a, n) => {
      for (const b of read.slice(n + 1)) {
        const pair = `${a.reader}\n${b.reader}`
        said.set(pair, [...(said.get(pair) ?? []), [a.verdict, b.verdict]])
      }
    })
  }
  const [most] = [...said].sort(([x, a], [y, b]) => b.length - a.length || (x < y ? -1 : 1))
  return most && firstAgreementOf(tableOf(most[1]))
}
