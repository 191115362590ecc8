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
  /** Works that nobody has ruled yet. */
  left: number
}

/** By work, then by pass and reader. */
type ByWork = Readonly<Record<string, Readonly<Record<string, RulingLike>>>>

/** How a work stands: in if any reader said in, out if all who ruled said out, else unsure. */
function standing(own: ByWork[string] | undefined, pass: PassName): Verdict | 'left' {
  let [all, outs] = [0, 0]
  for (const key in own) {
    const ruling = own[key]!
    if (ruling.pass !== pass) continue
    if (ruling.verdict === 'in') return 'in'
    all++
    if (ruling.verdict === 'out') outs++
  }
  return !all ? 'left' : outs === all ? 'out' : 'unsure'
}

/**
 * Counts one pass over these works. Where several readers ruled, a work is in if any said in, out if all who ruled
 * said out, else unsure: what is not agreed goes on to be settled. total = in + out + unsure + left, always.
 */
export function passCounts(workIds: readonly string[], rulings: ByWork, pass: PassName): PassCounts {
  const counts = { total: workIds.length, in: 0, out: 0, unsure: 0, left: 0 }
  for (const id of workIds) counts[standing(rulings[id], pass)]++
  return counts
}

/** The same counts after what was said of some works has changed. */
export function passAfter(
  before: PassCounts,
  changed: readonly string[],
  was: ByWork,
  is: ByWork,
  pass: PassName,
): PassCounts {
  const counts = { ...before }
  for (const id of changed) {
    counts[standing(was[id], pass)]--
    counts[standing(is[id], pass)]++
  }
  return counts
}

/** The readers who ruled in a pass, in alphabetical order. */
export function readersOf(rulings: ByWork, pass: PassName): string[] {
  const names = new Set<string>()
  for (const own of Object.values(rulings))
    for (const r of Object.values(own)) if (r.pass === pass) names.add(r.reader)
  return [...names].sort()
}
