import { unzipSync } from 'fflate'
import mammoth from 'mammoth'
import { expect, it } from 'vitest'
import { demoContext } from './demo-context.fixture'
import { wordsOfCell } from './documents/tree'
import { toWord } from './documents/word'
import { recordOfSearches, resolved, resolveFact, sectionDocument } from '.'

it('has the table of sources and every strategy as it was run, as the section has them, and no contents', async () => {
  const context = await demoContext()
  const record = recordOfSearches(context)
  const tables = record.blocks.filter((b) => b.kind === 'table')
  const whole = sectionDocument(context).blocks
  const from = whole.findIndex((b) => b.kind === 'heading' && JSON.stringify(b).includes('Appendix B.'))
  const to = whole.findIndex((b, n) => n > from && b.kind === 'heading' && b.page)
  // A page for each source.
  const pages = record.blocks.filter((b) => b.kind === 'heading' && b.page)
  expect(pages.map((b) => b.kind === 'heading' && wordsOfCell(b.content))).toEqual(
    context.review.sources.filter((s) => s.kind === 'database').map((s) => s.name),
  )
  expect(tables.slice(1)).toEqual(whole.slice(from, to).filter((b) => b.kind === 'table'))
  expect(tables.length).toBeGreaterThan(5)
  const words = (ref: string): string => resolveFact(context, ref).text
  const file = await toWord(resolved(record, words))
  const { value } = await mammoth.extractRawText({ buffer: Buffer.from(file) })
  expect(value).toContain('Databases, dates and counts')
  expect(value).toContain('As sent')
  const body = new TextDecoder().decode(unzipSync(file)['word/document.xml'])
  expect(body).not.toContain(' TOC ')
  expect(body).toContain('w:orient="landscape"')
})

it('has what was sent to a source that was taken out of the plan since, and says that it was', async () => {
  const context = await demoContext()
  const [first, ...others] = context.review.sources
  const without = { ...context, review: { ...context.review, sources: others } }
  const words = (c: typeof context): string[] =>
    sectionDocument(c).blocks.flatMap((b) =>
      b.kind === 'table'
        ? [wordsOfCell(b.caption), ...b.rows.map((r) => r.map(wordsOfCell).join(' | '))]
        : [],
    )
  const sent = context.review.runs.filter((r) => r.sourceId === first!.id).map((r) => r.sent)
  expect(sent.length).toBeGreaterThan(5)
  const told = words(without)
  for (const query of sent) expect(told.some((row) => row.includes(` | ${query} | `))).toBe(true)
  expect(told.filter((w) => w.startsWith(`${first!.name}, taken out of the plan, `))).not.toEqual([])
  expect(words(context).filter((w) => w.includes('taken out of the plan'))).toEqual([])
})

it('has the number that a line had there, in a column of its own, where that of any line is another', async () => {
  const context = await demoContext()
  const [first] = context.review.sources
  const runs = context.review.runs.map((r) =>
    r.sourceId === first!.id && r.number === 2 ? { ...r, there: '7' } : r,
  )
  const tables = recordOfSearches({ ...context, review: { ...context.review, runs } }).blocks.flatMap((b) =>
    b.kind === 'table' && b.head.includes('As sent') ? [b] : [],
  )
  const [own, others] = [
    tables.filter((t) => t.head[1] === 'There'),
    tables.filter((t) => t.head[1] === 'As sent'),
  ]
  expect(own.length).toBeGreaterThan(0)
  expect(others.length).toBeGreaterThan(0)
  for (const table of own) {
    expect(table.rows.every((r) => r.length === table.head.length)).toBe(true)
    expect(table.rows.map((r) => r.slice(0, 2).map(wordsOfCell)).slice(0, 3)).toEqual([
      ['1', '1'],
      ['2', '7'],
      ['3', '3'],
    ])
    expect(table.mono).toEqual([2, 3])
  }
})

it('marks what was tried behind the line that somebody chose to count, and nothing where nobody chose', async () => {
  const context = await demoContext()
  const [first] = context.review.sources
  const lines = context.review.strategies[first!.id]!
  const at = lines.length - 2
  const counts = { [first!.id]: { lineId: lines[at]!.id, why: '' } }
  const marked = (review: typeof context.review): string[] =>
    recordOfSearches({ ...context, review }).blocks.flatMap((b) =>
      b.kind === 'table' && b.head.includes('As sent')
        ? b.rows.flatMap((r) =>
            r.map(wordsOfCell).at(-1)!.includes('tried, not used') ? [wordsOfCell(r[0]!)] : [],
          )
        : [],
    )
  expect(marked(context.review)).toEqual([])
  const tried = marked({ ...context.review, counts })
  expect(tried).toContain(String(at + 2))
  expect(tried).not.toContain(String(at + 1))
})
