import type { CommandKind } from '../review'

/** One stop of the walk through the demo: where it is, and what somebody does there, any one of these. */
export interface Stop {
  id: StopId
  stage: 'question' | 'terms' | 'searches' | 'records' | 'selection' | 'methods'
  /** None: something is looked at, and nothing is written. */
  does: readonly CommandKind[]
}
export type StopId =
  | 'known item'
  | 'term'
  | 'line'
  | 'run'
  | 'bring'
  | 'pair'
  | 'ruling'
  | 'full text'
  | 'section'
  | 'package'

export const STOPS: readonly [Stop, ...Stop[]] = [
  { id: 'known item', stage: 'question', does: ['known.add'] },
  { id: 'term', stage: 'terms', does: ['term.set', 'terms.set'] },
  { id: 'line', stage: 'searches', does: ['line.change', 'line.add', 'strategy.set', 'strategy.draft'] },
  { id: 'run', stage: 'searches', does: ['run.log'] },
  { id: 'bring', stage: 'searches', does: ['records.import'] },
  { id: 'pair', stage: 'records', does: ['pair.join', 'pair.part'] },
  { id: 'ruling', stage: 'selection', does: ['ruling.set', 'ruling.many'] },
  { id: 'full text', stage: 'selection', does: ['retrieval.set'] },
  { id: 'section', stage: 'methods', does: ['account.edit', 'account.voice', 'account.telling'] },
  { id: 'package', stage: 'methods', does: [] },
]

/** How far somebody is: at which stop, and how many entries the journal had when they came to it. */
export interface Walk {
  stop: number
  from: number
}

export const beginWalk = (entries: number): Walk => ({ stop: 0, from: entries })

/** The stop somebody is at; undefined behind the last one. */
export const stopOf = ({ stop }: Walk): Stop | undefined => STOPS[stop]

/** Was what this stop asks for done since it was come to? False of one where there is only something to look at. */
export function isStopDone(walk: Walk, entries: readonly { kind: string }[]): boolean {
  const does: readonly string[] = stopOf(walk)?.does ?? []
  return entries.slice(walk.from).some((e) => does.includes(e.kind))
}

/** On to the next stop, or back to the one before, however much was done; the walk ends behind the last one. */
export const goOn = ({ stop }: Walk, entries: number, by: 1 | -1 = 1): Walk | undefined => {
  const next = Math.max(0, stop + by)
  return next < STOPS.length ? { stop: next, from: entries } : undefined
}

/** What was kept of a walk, if it is whole and is one of this build. */
export function readWalk(value: unknown): Walk | undefined {
  if (typeof value !== 'object' || value === null) return undefined
  const { stop, from } = value as Partial<Walk>
  const isCount = (n: unknown): n is number => Number.isInteger(n) && (n as number) >= 0
  return isCount(stop) && isCount(from) && stop < STOPS.length ? { stop, from } : undefined
}
