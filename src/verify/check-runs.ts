import { plural, thousands } from '../core/base'
import { sourceName, standingRuns, type Run } from '../core/review'
import { runStrategy } from '../core/strategy'
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

/** Every run in a stand-in is run again in its release, and its hits compared. */
export async function checkRuns(
  { review }: Pick<OpenedReview, 'review'>,
  load: (id: string, release: string) => OpenStandin | Promise<OpenStandin>,
): Promise<Check> {
  const faults: string[] = []
  const remarks: string[] = []
  const groups: Group[] = []
  let elsewhere = 0
  const nameOf = (run: Run): string => sourceName(review, run.sourceId)
  for (const run of standingRuns(review.runs)) {
    const standinId = review.sources.find((s) => s.id === run.sourceId)?.profileId
    if (run.how !== 'stand-in' || !standinId || !standin(standinId) || !run.reached) {
      elsewhere++
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
    for (const run of runs) {
      const hits = results.get(run.number)?.docs?.length
      const where = `Line ${run.number} in ${nameOf(run)}, release ${release}`
      const changed = run.evidence?.data !== undefined && run.evidence.data !== now.data
      if (hits === run.hits) continue
      const words = `${where}: ${thousands(run.hits)} hits are logged, ${hits === undefined ? 'and it does not run' : `${thousands(hits)} are found`}.`
      if (changed) remarks.push(`${words} The stand-in itself was changed since.`)
      else faults.push(words)
    }
  }
  const again = groups.reduce((n, g) => n + g.runs.length, 0)
  const others = elsewhere ? `; ${plural(elsewhere, 'run')} of other databases cannot be repeated here` : ''
  return checked(
    'Runs',
    `${plural(again, 'run')} of stand-ins repeated in their releases${others}`,
    faults,
    remarks,
  )
}
