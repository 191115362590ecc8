import { unzipSync } from 'fflate'
import mammoth from 'mammoth'
import { expect, it } from 'vitest'
import { demoContext } from './demo-context.fixture'
import { toWord } from './documents/word'
import { recordOfSearches, resolved, resolveFact, sectionDocument } from '.'

it('has the table of sources and every strategy as it was run, as the section has them, and no contents', async () => {
  const context = await demoContext()
  const record = recordOfSearches(context)
  const tables = record.blocks.filter((b) => b.kind === 'table')
  const whole = sectionDocument(context).blocks
  const from = whole.findIndex((b) => b.kind === 'heading' && JSON.stringify(b).includes('Appendix B.'))
  const to = whole.findIndex((b, n) => n > from && b.kind === 'heading' && b.page)
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
