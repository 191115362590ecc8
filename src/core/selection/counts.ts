/** What the counts need of a ruling. */
export interface RulingLike {
  pass: PassName
  reader: string
  verdict: Verdict
}
type PassName = 'broad' | 'close'
type Verdict = 'in' | 'out' | 'unsure'

export interface PassCounts {
  /** Works to be read in this pass. */
  total: number
  in: number
  out: number
  unsure: number
  /** Ruled differently, and neither in nor out until that is settled. */
  toSettle: number
  /** Works that nobody has ruled yet. */
  left: number
}

/** By work, then by pass and reader. */
type ByWork = Readonly<Buckets<Readonly<Record<string, RulingLike>>>>

/** The readers who ruled in a pass, in alphabetical order. */
export function readersOf(rulings: ByWork, pass: PassName): string[] {
  const names = new Set<string>()
  for (const own of heldValues(rulings))
    for (const r of Object.values(own)) if (r.pass === pass) names.add(r.reader)
  return [...names].sort()
}
import { heldValues, type Buckets } from '../base'
