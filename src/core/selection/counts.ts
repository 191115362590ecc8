/** What the counts need of a ruling. */
export interface RulingLike {
  pass: 'broad' | 'close'
  reader: string
  verdict: 'in' | 'out' | 'unsure'
}

export interface PassCounts {
  /** Works to be read in this pass. */
  total: number
  in: number
  out: number
  unsure: number
  /** Works that nobody has ruled yet. */
  left: number
}

/**
 * Counts one pass over these works. Where several readers ruled, a work is in if any said in, out if all who ruled
 * said out, else unsure: what is not agreed goes on to be settled. total = in + out + unsure + left, always.
 */
export function passCounts(
  workIds: readonly string[],
  rulings: Readonly<Record<string, Readonly<Record<string, RulingLike>>>>,
  pass: 'broad' | 'close',
): PassCounts {
  const counts = { total: workIds.length, in: 0, out: 0, unsure: 0, left: 0 }
  for (const id of workIds) {
    const verdicts = Object.values(rulings[id] ?? {})
      .filter((r) => r.pass === pass)
      .map((r) => r.verdict)
    if (!verdicts.length) counts.left++
    else if (verdicts.includes('in')) counts.in++
    else if (verdicts.every((v) => v === 'out')) counts.out++
    else counts.unsure++
  }
  return counts
}

/** The readers who ruled in a pass, by name, in alphabetical order. */
export function readersOf(
  rulings: Readonly<Record<string, Readonly<Record<string, RulingLike>>>>,
  pass: 'broad' | 'close',
): string[] {
  const names = new Set<string>()
  for (const own of Object.values(rulings))
    for (const r of Object.values(own)) if (r.pass === pass) names.add(r.reader)
  return [...names].sort()
}
