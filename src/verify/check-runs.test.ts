import path from 'node:path'
import { beforeAll, describe, expect, it } from 'vitest'
import type { Review, Run } from '../core/review'
import { openReviewFile } from '../cli/open-package'
import { loadStandin } from '../cli/standins'
import { PRINTER_VERSION } from '../core/strategy'
import { checkRuns } from './check-runs'

const FILE = path.join(import.meta.dirname, '../core/review/fixtures/version-6/demo.luvren.zip')
let review: Review
/** The runs of one strategy, and its last one. */
let runs: Run[]

beforeAll(async () => {
  const opened = await openReviewFile(FILE)
  if ('problems' in opened) throw new Error('The package does not open.')
  const all = opened.review
  const first = all.runs[0]!
  runs = all.runs.filter((r) => r.sourceId === first.sourceId && r.release === first.release)
  review = all
}, 60_000)

/** What is said where the last run is another. */
const checked = async (change: Partial<Run>) => {
  const own = runs.map((r, i) => (i === runs.length - 1 ? { ...r, ...change } : r))
  return checkRuns({ review: { ...review, runs: own } }, loadStandin)
}

describe('the text that a run says was sent', () => {
  it('is the one that is written for what it asks, under the same version', async () => {
    const now = { printer: PRINTER_VERSION }
    expect((await checked(now)).faults).toEqual([])
    expect((await checked({ ...now, sent: 'noise' })).faults).toEqual([
      expect.stringContaining('another text is logged as sent'),
    ])
  })

  it('is run as it was typed where another version wrote it, and only its count matters', async () => {
    const { sent } = runs.at(-1)!
    const same = await checked({ sent: ` ${sent} `, printer: 99 })
    expect([same.faults, same.remarks]).toEqual([[], [expect.stringContaining('written otherwise since')]])
    const other = await checked({ sent: 'noise', printer: 99 })
    expect(other.faults).toEqual([expect.stringContaining('hits are logged')])
  })
})
