import type { LimitValue } from '../../query'
import { keyOfRun, lineKeys, type KeyedRun, type LineLike } from '../lines/keys'

/** As much of a run as comparing needs. */
export interface RunLike extends KeyedRun {
  id: string
  text: string
  limits: readonly LimitValue[]
  hits: number
  at: string
  by: string
  release: string
}

/** One time at which a line was run, as it stood then. */
export interface Occasion<L extends LineLike, R extends RunLike> {
  run: R
  /** The whole strategy as it stood then; undefined where the journal no longer tells. */
  lines: readonly L[] | undefined
}

/**
 * The occasions on which a line was run, the oldest first: the last run of each that asked the same in the same
 * release. Two runs in one release that ask the same differ in nothing and are one occasion.
 */
export function occasionsOf<L extends LineLike, R extends RunLike>(
  runs: readonly R[],
  lineId: string,
  versions: readonly { lines: readonly L[] }[],
): Occasion<L, R>[] {
  const last = new Map<string, R>()
  for (const run of runs) {
    if (run.lineId !== lineId) continue
    const same = `${keyOfRun(run)}/${run.release}`
    // Put anew, so that the order is that of the last runs.
    last.delete(same)
    last.set(same, run)
  }
  const keyed = versions.map((v) => ({ lines: v.lines, key: lineKeys(v.lines).get(lineId) }))
  return [...last.values()].map((run) => ({
    run,
    lines: keyed.findLast((v) => v.key === keyOfRun(run))?.lines,
  }))
}
