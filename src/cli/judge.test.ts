import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { beforeAll, describe, expect, it } from 'vitest'
import { packReview } from '../core/review'
import { builtDemo } from '../standins/built-demo.fixture'
import { judgePlanted, sheetOf } from '../workers/planted/planted.fixture'
import { parseArguments } from './arguments'
import { COMMANDS } from './commands'

const folder = mkdtempSync(path.join(tmpdir(), 'luvren-judge-'))
const file = (name: string): string => path.join(folder, name)
const run = async ([name = '', ...words]: string[]) => {
  const command = COMMANDS[name]!
  return command.run(parseArguments(words, command.options, command.files))
}
const ROWS = [
  'text: (nosie OR reverberat*)',
  'text: ("listening comprehension" OR "speech perception")',
  'all(#1, #2)\tlanguage=en',
]

beforeAll(() => {
  writeFileSync(file('demo.zip'), packReview(builtDemo(), 'Demo'))
  writeFileSync(file('lines.txt'), ROWS.join('\n'))
}, 120_000)

describe('judging from the command line', () => {
  it('remarks on the same lines what the screen does, with changes by the number of their line', async () => {
    const asked = [
      '--plan',
      file('demo.zip'),
      '--source',
      'fernhollow',
      '--lines',
      file('lines.txt'),
      '--json',
    ]
    const rows = JSON.parse((await run(['advise', ...asked])).output!) as {
      code: string
      class: string
      line: number | null
      fixes: { line: number; text: string; limits?: unknown[] }[]
    }[]
    const { remarks } = await judgePlanted('fernhollow', sheetOf(ROWS))
    expect(rows.map((r) => [r.code, r.class])).toEqual(remarks.map((r) => [r.code, r.kind]))
    expect(rows.find((r) => r.code === 'dead-part')).toMatchObject({
      line: 1,
      fixes: [{ line: 1, text: 'text: (noise OR reverberat*)' }],
    })
    expect(rows.find((r) => r.code === 'limit-stricter')!.fixes[0]!.limits).toEqual([
      { kind: 'language', values: ['en', 'de', 'es'] },
    ])
  })

  it('names every cause for which a known item is missed', async () => {
    const { output } = await run(['board', file('demo.zip'), '--source', 'Fernhollow Education Index'])
    expect(output).toMatch(
      /missed {2}Learning to read next door to noise.*\n\s+its record says other words for C Listening and reading \(lines 7, 8\)\n\s+years 2017–2026 in line 11 leaves it out: it is of 2016/,
    )
  })

  it('offers what good records call a thing, and says of which concept it is where that can be told', async () => {
    const { offers, records } = JSON.parse((await run(['harvest', file('demo.zip'), '--json'])).output!) as {
      offers: { text: string; concept: string | null }[]
      records: number
    }
    expect(records).toBeGreaterThan(100)
    expect(offers.find((o) => o.text === 'listening')).toMatchObject({ concept: 'C' })
  })

  it('says which line names no limit, and which source the review has not', async () => {
    writeFileSync(file('bad.txt'), 'noise\tcolour=red')
    const asked = ['advise', '--plan', file('demo.zip'), '--lines', file('bad.txt'), '--source']
    await expect(run([...asked, 'fernhollow'])).rejects.toThrow('Line 1: “colour=red” names no limit.')
    await expect(run([...asked, 'nowhere'])).rejects.toThrow('The review has no source "nowhere".')
  })
})
