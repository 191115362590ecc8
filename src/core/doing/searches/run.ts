import {
  inRound,
  personNamed,
  type Command,
  type Line,
  type Run,
  type RunEvidence,
  type Source,
} from '../../review'
import { lineKeys, PRESENT_RULE, PRINTER_VERSION, reachedBy } from '../../strategy'
import type { Doing, DoingAt } from '../doing'
import { updateFor } from './update'

/** What came of one line, as it was sent and where. */
export interface RunMade {
  source: Source
  /** The lines of the strategy as they were run. */
  lines: readonly Line[]
  line: Line
  /** In the source's own syntax. */
  sent: string
  hits: number
  release: string
  how: Run['how']
  evidence: RunEvidence
  /** When it was run; absent: now. */
  at?: string
  /** Who ran it; absent: who logs it. */
  by?: string
  platform?: string | undefined
  /** The number that the line had there, as it stood. */
  there?: number | undefined
  /** What was set on the screen there, and where. */
  onScreen?: readonly { what: string; where: string }[] | undefined
}

/** A run as it is logged: what it asked, of what, under which round. The only place where one is made. */
export function runOf({ review, now, newId, person }: DoingAt, made: RunMade): Run {
  const {
    source,
    lines,
    line,
    sent,
    hits,
    release,
    how,
    evidence,
    at = now,
    by = person,
    platform,
    there,
    onScreen = [],
  } = made
  const number = lines.findIndex((l) => l.id === line.id) + 1
  return {
    id: newId(),
    sourceId: source.id,
    lineId: line.id,
    key: lineKeys(lines).get(line.id)!,
    keyRule: PRESENT_RULE.version,
    reached: reachedBy(lines, line.id),
    evidence,
    ...inRound(review),
    number,
    text: line.text,
    sent,
    limits: line.limits,
    hits,
    at,
    by,
    release,
    how,
    // What a person typed elsewhere nobody here has written.
    ...(how === 'stand-in' ? { printer: PRINTER_VERSION } : {}),
    ...(platform ? { platform } : {}),
    ...(there === undefined || there === number ? {} : { there: String(there) }),
    ...(onScreen.length ? { onScreen: [...onScreen] } : {}),
  }
}

const logged = (run: Run): Command => ({ kind: 'run.log', payload: run })

/** Logs what came of several lines that were run together. */
export const logRuns: Doing<readonly RunMade[]> = (at, made) => made.map((one) => logged(runOf(at, one)))

/** A run that somebody made elsewhere and logs by hand. */
export interface LoggedByHand extends Omit<RunMade, 'how' | 'by' | 'release' | 'platform'> {
  /** Who ran it, by name; empty, or the name of who logs it: they themselves. */
  ranBy: string
  /** What who logs it is called. */
  reader: string
  platform: string
  coverage: string
}

/** Who ran something, by the name that was typed: their id, and the entry that names somebody who is not known here yet. */
export function whoRan(
  { review, person, newId }: DoingAt,
  { ranBy, reader }: { ranBy: string; reader: string },
): { by: string; named: Command[] } {
  const said = ranBy.trim()
  const known = !said || said === reader ? person : personNamed(review, said)?.id
  if (known) return { by: known, named: [] }
  const by = newId()
  return { by, named: [{ kind: 'person.named', payload: { id: by, name: said } }] }
}

/**
 * Logs one run made by hand. Somebody else who ran it is named by an entry of their own; what was noted for this line holds
 * for the source too, where nothing was noted there yet.
 */
export const logByHand: Doing<LoggedByHand> = (at, { ranBy, reader, platform, coverage, ...made }) => {
  const { by, named } = whoRan(at, { ranBy, reader })
  const { source } = made
  const [through, covers] = [platform.trim(), coverage.trim()]
  const more = {
    ...(!source.platform && through ? { platform: through } : {}),
    ...(!source.coverage && covers ? { coverage: covers } : {}),
  }
  return [
    ...named,
    logged(runOf(at, { ...made, by, how: 'by hand', release: covers, platform: through })),
    ...(Object.keys(more).length ? [{ kind: 'source.set', payload: { ...source, ...more } } as const] : []),
  ]
}

/** Corrects the count of a run with the reason: by another run, and both are kept. */
export const correctRun: Doing<{ run: Run; hits: number; because: string }> = (
  { newId },
  { run, hits, because },
) => [logged({ ...run, id: newId(), hits, supersedes: run.id, because: because.trim() })]

/** Takes a history over: the lines of the strategy, and a run for each of which a count stands there. */
export const takeHistory: Doing<{
  source: Source
  lines: readonly Line[]
  runs: readonly RunMade[]
  /** It is that of a search made again for what is new. */
  update?: boolean
}> = (at, { source, lines, runs, update }) => {
  const round = update
    ? updateFor(
        at,
        runs.map((r) => r.line.id),
      )
    : { review: at.review, commands: [] }
  return [
    { kind: 'strategy.set', payload: { sourceId: source.id, lines: [...lines], why: 'a pasted history' } },
    ...round.commands,
    ...logRuns({ ...at, review: round.review }, runs),
  ]
}
