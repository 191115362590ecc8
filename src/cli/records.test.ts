import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { afterAll, describe, expect, it } from 'vitest'
import { parseArguments, UsageError } from './arguments'
import { COMMANDS } from './commands'

const folder = mkdtempSync(path.join(tmpdir(), 'luvren-records-'))
afterAll(() => rmSync(folder, { recursive: true }))
const file = (name: string, content: string | Uint8Array): string => {
  const at = path.join(folder, name)
  writeFileSync(at, content)
  return at
}
const run = async (name: string, ...words: string[]) => {
  const command = COMMANDS[name]!
  return command.run(parseArguments(words, command.options, command.files))
}

const RIS = file(
  'a.ris',
  ['Sound fields in the classrooms of older schools', 'Quiet corners']
    .map((t, n) => `TY  - JOUR\nTI  - ${t}\nAU  - Ahola, R.\nPY  - 2019\nVL  - 7\nSP  - ${41 + n}\nER  - \n`)
    .join(''),
)
const BIB = file(
  'b.bib',
  '@article{x,\n  title = {Sound fields in the {Classrooms} of older schools},\n  author = {Riikka Ahola}, year = 2019, volume = 7, pages = {41--58}}\n@book{broken, title = {Never',
)

describe('the commands for records', () => {
  it('convert by what stands in a file and by the ending of the other; a broken record is named and makes exit 1', async () => {
    const to = path.join(folder, 'b.json')
    const outcome = await run('convert', BIB, to, '--json')
    expect([outcome.exit, JSON.parse(outcome.output!)]).toEqual([
      1,
      { read: 2, broken: 1, written: 1, from: 'bibtex', encoding: 'utf-8', to: 'csl-json' },
    ])
    expect(outcome.errors![0]).toContain('Line 4')
    expect(JSON.parse(readFileSync(to, 'utf8'))).toMatchObject([{ type: 'article-journal', page: '41-58' }])
  })

  it('convert from standard input to standard output, where a file is called -', { timeout: 60_000 }, () => {
    const main = path.join(import.meta.dirname, 'main.ts')
    const out = execFileSync(
      process.execPath,
      ['--import', 'tsx', main, 'convert', '-', '-', '--to', 'ris'],
      {
        input: readFileSync(RIS),
        encoding: 'utf8',
      },
    )
    expect(out).toMatch(/^TY {2}- /)
    expect(out.match(/^TY {2}- /gm)).toHaveLength(readFileSync(RIS, 'utf8').match(/^TY {2}- /gm)!.length)
  })

  it('convert Latin-1 and UTF-16 without being told', async () => {
    const text = 'TY  - JOUR\nTI  - Café – Größe\nER  - \n'
    const utf16 = file(
      'u.ris',
      Uint8Array.from([...`\uFEFF${text}`].flatMap((c) => [c.charCodeAt(0) & 255, c.charCodeAt(0) >> 8])),
    )
    const old = file('l.ris', Uint8Array.from([...text].map((c) => (c === '–' ? 0x96 : c.charCodeAt(0)))))
    for (const from of [utf16, old]) {
      const to = path.join(folder, 'out.csv')
      expect((await run('convert', from, to)).exit).toBe(0)
      expect(readFileSync(to, 'utf8')).toContain('Café – Größe')
    }
  })

  it('dedupe names groups and pairs by file and position, and holds them against the truth', async () => {
    const truth = file('truth.json', JSON.stringify([['a.ris#1', 'b.bib#1'], ['a.ris#2']]))
    const { output } = await run('dedupe', RIS, BIB, '--truth', truth, '--json')
    expect(JSON.parse(output!)).toMatchObject({
      groups: [['a.ris#1', 'b.bib#1'], ['a.ris#2']],
      toSettle: [],
      measured: { truePairs: 1, wrong: 0, recall: { value: 1 } },
    })
  })

  it('references sets a list with its hints', async () => {
    const { output } = await run('references', RIS, '--style', 'apa')
    expect(output).toContain('Ahola, R. (2019a). Quiet corners. 7, 42.')
    expect(output).toContain('(no journal; no DOI)')
  })

  it('end with 1 where no column is the title, and write nothing', async () => {
    const table = file('untitled.csv', 'Wörter,Autoren,Jahr\nRooms,"Lund, Eva",2019\n')
    const { exit, errors } = await run('convert', table, path.join(folder, 'untitled.bib'))
    expect(exit).toBe(1)
    expect(errors!.join('\n')).toContain('No column is the title: say which one is.')
    expect(errors!.join('\n')).toContain('nothing was written')
  })

  it('search any format, and warn once of each kind', async () => {
    const bib = file(
      'two.bib',
      '@article{a, title={Noise in rooms}, note={\\foo{x}}}\n@article{b, title={Halls}, note={\\bar{y}}}',
    )
    const { output, errors } = await run('search', '--records', bib, '--query', 'title: noise')
    expect(output).toContain('1')
    expect(errors).toHaveLength(1)
    expect(errors![0]).toContain('(and 1 more of this kind)')
  })

  it('say what is wrong with the call', async () => {
    await expect(run('convert', RIS)).rejects.toThrow(UsageError)
    await expect(run('convert', RIS, path.join(folder, 'x.xyz'))).rejects.toThrow('--to')
    await expect(run('references', RIS, '--style', 'none')).rejects.toThrow('--style is apa')
    await expect(run('dedupe', path.join(folder, 'missing.ris'))).rejects.toThrow('could not be read')
    await expect(run('convert', file('empty.ris', ''), path.join(folder, 'y.bib'))).rejects.toThrow(
      'This is an empty file',
    )
  })
})
