import { readReview } from '@/core/handed'
import { limitsInRow } from '@/core/query'
import { runStrategy } from '@/core/strategy'
import { builtDemo } from '@/standins/built-demo.fixture'
import { JudgeDesk, type Judgement, type PlannedLine } from '../judge-desk'
import { judgedIn } from '../judged-in'
import { planOf } from '../judged-plan'
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

/** Judges a sheet of the demo’s plan in one of its sources. */
export async function judgePlanted(source: string, lines: PlannedLine[]): Promise<Judgement> {
  const { review } = await opened
  const plan = planOf(review)
  const judged = judgedIn(await opened, await sources.finder(source))
  return (await desk.judge({ key: source, sourceId: `demo-${source}`, lines, plan, judged }))!
}

/** What a line of a sheet finds, for comparing; undefined where it cannot be run. */
export async function foundBy(
  source: string,
  lines: PlannedLine[],
  number: number,
): Promise<string | undefined> {
  return runStrategy(await sources.source(source), lines)[number - 1]?.docs?.join()
}
