import type { FactContext } from '../facts'
import { pairsOf } from '../facts/selection'
import type { SaidOf } from '../../selection'

/** How far two readers agree, or each pair of several, in what they said first of the same works. */
export interface Agreed {
  pairs: number
  kappa: boolean
  interval: boolean
  /** Works that were ruled with the other's ruling in sight are left out. */
  seen: number
  /** What any of them said of any of these works. */
  classes: SaidOf[]
}

export const pairsRuled = ({ figures }: FactContext, pass: 'broad' | 'close'): boolean =>
  pairsOf(figures, pass).length > 0

export function agreedOn({ figures }: FactContext, pass: 'broad' | 'close'): Agreed {
  const pairs = pairsOf(figures, pass)
  return {
    pairs: pairs.length,
    kappa: pairs.every((p) => p.kappa !== undefined),
    interval: pairs.length === 1 && pairs[0]!.interval !== undefined,
    seen: pairs.reduce((n, p) => n + p.seen, 0),
    classes: [...new Set(pairs.flatMap((p) => p.classes))],
  }
}
