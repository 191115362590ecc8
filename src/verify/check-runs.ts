import { plural, thousands } from '../core/base'
import { sourceName, standingRuns, type Run } from '../core/review'
import { readWithLimits } from '../core/profile'
import { print, type LimitValue } from '../core/query'
import { limitsToSend, PRINTER_VERSION, runStrategy } from '../core/strategy'
import { evidenceNow, RELEASES, standin, type OpenStandin } from '../standins'
import type { OpenedReview } from '../core/handed'
import { checked, type Check } from './report'

/** Runs that can be repeated at once: lines of one strategy, of one source in one release. */
interface Group {
  standinId: string
  release: string
  /** By number. */
  lines: Map<number, NonNullable<Run['reached']>[number]>
  runs: Run[]
}

/** The hits of texts as they were sent, typed line by line; a line that nobody sent asks what it says. */
function asTyped(
  source: OpenStandin,
  runs: readonly Run[],
  lines: readonly { id: string; text: string; limits: readonly LimitValue[] }[],
): (number | undefined)[] {
  const limits = limitsToSend(lines, source.profile.lines !== undefined)
  const own = lines.map((line, n) => {
    const run = runs.find((r) => r.number === n + 1)
    if (!run) return line
    const read = readWithLimits(run.sent, source.profile)
    const ticked = limits[n]!.filter((l) => !read.limits.some((r) => r.kind === l.kind))
    return { id: line.id, text: read.tree ? print(read.tree) : '', limits: [...read.limits, ...ticked] }
  })
  return runStrategy(source, own).map((r) => r.docs?.length)
}

/** Every run in a stand-in is run again in its release, and its hits compared. */
export async function checkRuns(
  { review }: Pick<OpenedReview, 'review'>,
  load: (id: string, release: string) => OpenStandin | Promise<OpenStandin>,
): Promise<Check> {
  const faults: string[] = []
  const remarks: string[] = []
  const groups: Group[] = []
  const unknown: string[] = []
  /** Typed by people, or answered by a database that nobody here can ask. */
  let onTrust = 0
  const nameOf = (run: Run): string => sourceName(review, run.sourceId)
  for (const run of standingRuns(review.runs)) {
    const standinId = review.sources.find((s) => s.id === run.sourceId)?.profileId
    if (run.how !== 'stand-in') {
      onTrust++
      continue
    }
    if (!standinId || !standin(standinId) || !run.reached) {
      unknown.push(`Line ${run.number} in ${nameOf(run)} was run in a stand-in that is not here.`)
      continue
    }
    if (!(RELEASES as readonly string[]).includes(run.release)) {
      faults.push(
        `Line ${run.number} in ${nameOf(run)} was run in the release ${run.release}, which there is not.`,
      )
      continue
    }
    const last = run.reached.find((l) => l.number === run.number)
    if (last?.text !== run.text)
      faults.push(`Line ${run.number} in ${nameOf(run)} says another text than the lines that it reached.`)
    const fits = (g: Group): boolean =>
      g.standinId === standinId &&
      g.release === run.release &&
      run.reached!.every((l) => {
        const known = g.lines.get(l.number)
        return !known || JSON.stringify([known.text, known.limits]) === JSON.stringify([l.text, l.limits])
      })
    let group = groups.find(fits)
    if (!group) groups.push((group = { standinId, release: run.release, lines: new Map(), runs: [] }))
    for (const line of run.reached) group.lines.set(line.number, line)
    group.runs.push(run)
  }
  const open = new Map<string, OpenStandin>()
  for (const { standinId, release, lines, runs } of groups) {
    const key = `${standinId} ${release}`
    const source = open.get(key) ?? (await load(standinId, release))
    open.set(key, source)
    const now = evidenceNow({ standinId, release, profile: source.profile, vocabularyFile: undefined })
    const most = Math.max(...lines.keys())
    const all = Array.from({ length: most }, (_, n) => {
      const line = lines.get(n + 1)
      return { id: line?.id ?? `gap ${n}`, text: line?.text ?? '', limits: line?.limits ?? [] }
    })
    const results = new Map(runStrategy(source, all).map((r) => [r.number, r]))
    /** What the texts that were sent find, typed as they are; reckoned only where another version wrote them. */
    let typed: readonly (number | undefined)[] | undefined
    for (const run of runs) {
      const made = results.get(run.number)
      const present = (run.printer ?? 1) === PRINTER_VERSION
      if (!present) typed ??= asTyped(source, runs, all)
      const hits = present ? made?.docs?.length : typed?.[run.number - 1]
      const where = `Line ${run.number} in ${nameOf(run)}, release ${release}`
      if (made && made.sent !== run.sent) {
        if (present) faults.push(`${where}: another text is logged as sent than is written for what it asks.`)
        else remarks.push(`${where}: what was sent is written otherwise since, and was run as it was typed.`)
      }
      const changed = run.evidence?.data !== undefined && run.evidence.data !== now.data
      if (hits === run.hits) continue
      const words = `${where}: ${thousands(run.hits)} hits are logged, ${hits === undefined ? 'and it does not run' : `${thousands(hits)} are found`}.`
      if (changed) unknown.push(`${words} The data of the stand-in are others than those it was run in.`)
      else faults.push(words)
    }
  }
  const again = groups.reduce((n, g) => n + g.runs.length, 0)
  const others = onTrust ? `; ${plural(onTrust, 'run')} typed by people taken on trust` : ''
  return checked(
    'Runs',
    `${plural(again, 'run')} of stand-ins repeated in their releases${others}`,
    faults,
    remarks,
    { open: unknown, onTrust },
  )
}
