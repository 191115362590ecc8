import { readReview } from '@/core/handed'
import { limitsInRow } from '@/core/query'
import { findRecord } from '@/core/records'
import { builtDemo } from '@/standins/built-demo.fixture'
import { held } from '@/core/base'
import { rulingsByWork } from '@/core/review'
import { JudgeDesk, type Judged, type JudgedPlan, type Judgement, type PlannedLine } from '../judge-desk'
import { openHere } from '../open-here'

/** Lines in plain notation, limits behind a tab, as a sheet whose lines have no letters. */
export const sheetOf = (rows: readonly string[]): PlannedLine[] =>
  rows.map((row, i) => {
    const [text = '', limits = ''] = row.split('\t')
    return { id: `l${i + 1}`, text, limits: limitsInRow(limits).limits }
  })

const { entries, blobs } = builtDemo()
const opened = readReview(entries, async (digest) => blobs.get(digest))
const sources = openHere()
const desk = new JudgeDesk(sources)

/** What is wanted of a stand-in in the demo: known items, and all that was ruled in, from whichever source it came. */
async function judgedIn(source: string): Promise<Judged> {
  const { review, works } = await opened
  const finder = await sources.finder(source)
  const recordId = ({
    title,
    year,
    doi,
  }: {
    title: string
    year?: number | undefined
    doi?: string | undefined
  }): string[] => {
    const found = findRecord(finder, {
      title,
      ...(year === undefined ? {} : { year }),
      ...(doi === undefined ? {} : { doi }),
    })
    return found ? [finder.records[found.record]!.id!] : []
  }
  const { byWork } = rulingsByWork(works, review)
  const ruled = (verdict: 'in' | 'out'): string[] =>
    works.works.flatMap(({ id, record }) =>
      Object.values(held(byWork, id) ?? {}).some((r) => r.verdict === verdict) ? recordId(record) : [],
    )
  return {
    known: review.knownItems.flatMap((k) => recordId(k).map((r) => ({ id: k.id, recordId: r }))),
    in: ruled('in'),
    out: ruled('out'),
  }
}

/** Judges a sheet of the demo’s plan in one of its sources. */
export async function judgePlanted(source: string, lines: PlannedLine[]): Promise<Judgement> {
  const { review } = await opened
  const plan: JudgedPlan = { ...review, limits: review.limits.map((l) => l.limit) }
  const judged = await judgedIn(source)
  return (await desk.judge({ key: source, sourceId: `demo-${source}`, lines, plan, judged }))!
}

/** What the last line of a sheet finds, and what a line does. */
export async function foundBy(
  source: string,
  lines: PlannedLine[],
  number: number,
): Promise<string | undefined> {
  const { index } = await sources.source(source)
  const { runStrategy } = await import('@/core/strategy')
  const docs = runStrategy(await sources.source(source), lines)[number - 1]?.docs
  return index.size && docs ? docs.join() : undefined
}
