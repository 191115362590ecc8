import { keptFor } from '../../base'
import { parse, referredLines, sameLimit, stricterLimit, type LimitKind, type LimitValue } from '../../query'
import { finalNumber, type LineLike } from '../lines/keys'
import { limitsOfEach } from './limits-of-each'

/**
 * How a planned limit stands in one source. `applied`: it holds for what the strategy finds; `run` says whether that was
 * run or is only set. `lost` names the line that joins anew without it, and what had been set; `other` the line that sets
 * it to another value, `stricter` the one that narrows it further; `forgotten`: it could be set and no line does; `open`:
 * there are no lines yet.
 */
export type LimitStanding =
  | { state: 'applied' | 'stood in'; line: number; run: boolean }
  | { state: 'lost'; line: number; at: number; value: LimitValue }
  | { state: 'other' | 'stricter'; line: number; value: LimitValue }
  | { state: 'forgotten' | 'open' | 'not available' }

/** What the ledger must know of a source. */
export interface LedgerSource {
  lines: readonly LineLike[]
  can: (kind: LimitKind) => 'exact' | 'stood in' | 'not available'
  /** Was the line of this id run as it stands? Absent: nothing is known of runs, and none is said. */
  ran?: (lineId: string) => boolean
}

/** For each line the limits that hold for everything it finds: its own, and those that hold for what it is made of. */
export const limitsInForce: (lines: readonly LineLike[]) => LimitValue[][] = keptFor(limitsOfEach)

/** The limits that hold for the line which says what the strategy found; none where there is no such line. */
export const limitsThatCount = (lines: readonly LineLike[]): LimitValue[] =>
  limitsInForce(lines)[finalNumber(lines) - 1] ?? []

/**
 * For each line the limits that have to be sent with it: its own, where the source keeps lines; else all that hold, for
 * there each row says everything.
 */
export const limitsToSend = (lines: readonly LineLike[], keepsLines: boolean): (readonly LimitValue[])[] =>
  keepsLines ? lines.map((l) => l.limits) : limitsInForce(lines)

/**
 * How one planned limit stands in a source, judged by its last line. A limit that some line set and the last line does
 * not have is lost at the first line that is built on others and came after without it.
 */
export function limitStanding(planned: LimitValue, source: LedgerSource): LimitStanding {
  const can = source.can(planned.kind)
  if (can === 'not available') return { state: 'not available' }
  const { lines } = source
  if (!finalNumber(lines)) return { state: 'open' }
  const force = limitsInForce(lines)
  const setAt = lines.findIndex((l) => l.limits.some((x) => x.kind === planned.kind)) + 1
  const end = finalNumber(lines)
  const last = force[end - 1]!
  const own = last.filter((l) => l.kind === planned.kind)
  const [first] = own
  const lineOf = (value: LimitValue): number =>
    lines.findIndex((l) => l.limits.some((x) => sameLimit(x, value))) + 1
  const narrower = own.find((l) => stricterLimit(l, planned))
  const kept = own.find((l) => sameLimit(l, planned))
  if (kept && narrower) return { state: 'stricter', line: lineOf(narrower), value: narrower }
  if (kept)
    return {
      state: can === 'stood in' ? 'stood in' : 'applied',
      line: lineOf(kept),
      run: source.ran?.(lines[end - 1]!.id) ?? false,
    }
  if (first) return { state: 'other', line: lineOf(first), value: first }
  const value = lines[setAt - 1]?.limits.find((x) => x.kind === planned.kind)
  if (!value) return { state: 'forgotten' }
  for (let i = setAt; i < lines.length; i++) {
    const { tree } = parse(lines[i]!.text)
    const joins = tree !== undefined && referredLines(tree).length > 0
    if (joins && !force[i]!.some((l) => l.kind === planned.kind))
      return { state: 'lost', line: setAt, at: i + 1, value }
  }
  return { state: 'lost', line: setAt, at: end, value }
}
