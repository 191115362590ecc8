import mammoth from 'mammoth'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { beforeAll, describe, expect, it } from 'vitest'
import { packReview } from '../core/review'
import { STANDINS } from '../standins'
import { builtDemo } from '../standins/built-demo.fixture'
import { parseArguments } from './arguments'
import { COMMANDS } from './commands'

const folder = mkdtempSync(path.join(tmpdir(), 'luvren-account-'))
const file = (name: string): string => path.join(folder, name)
const run = async ([name = '', ...words]: string[]) => {
  const command = COMMANDS[name]!
  return command.run(parseArguments(words, command.options, command.files))
}

beforeAll(() => writeFileSync(file('demo.zip'), packReview(builtDemo(), 'Demo')), 120_000)

/** What a stranger reads in a Word file: its tables, by an independent reader that shares no code with the writer. */
async function tablesOf(name: string): Promise<{ caption: string; rows: string[][] }[]> {
  const { value: html } = await mammoth.convertToHtml({ buffer: readFileSync(file(name)) })
  const plain = (t: string): string =>
    t
      .replace(/<[^>]+>/g, '')
      .replace(/&lt;/g, '<')
      .replace(/&gt;/g, '>')
      .replace(/&quot;/g, '"')
      .replace(/&amp;/g, '&')
      .trim()
  return [...html.matchAll(/<p>((?:(?!<\/p>).)*)<\/p><table>(.*?)<\/table>/gs)].map(([, caption, table]) => ({
    caption: plain(caption!),
    rows: [...table!.matchAll(/<tr>(.*?)<\/tr>/gs)].map(([, row]) =>
      [...row!.matchAll(/<t[dh][^>]*>(.*?)<\/t[dh]>/gs)].map(([, cell]) => plain(cell!)),
    ),
  }))
}

describe('a stranger who has only the Word file', () => {
  it('types the lines of Appendix B into the stand-ins and gets every count, of spring and of autumn', async () => {
    const out = await run(['account', file('demo.zip'), file('section.docx')])
    expect(out.errors ?? []).toEqual([])
    const tables = (await tablesOf('section.docx')).filter((t) =>
      t.rows[0]?.join().startsWith('Line,As sent,In plain notation,Limits,Hits,Run'),
    )
    // Five databases, searched twice.
    expect(tables).toHaveLength(10)
    let lines = 0
    for (const { caption, rows } of tables) {
      const source = STANDINS.find((s) => caption.includes(s.name))!
      const month = /release of (March|September) 2026/.exec(caption)![1]
      const typed = rows.slice(1)
      writeFileSync(file('lines.txt'), typed.map((r) => `${r[1]}\t${r[3]}`).join('\n'))
      const answer = await run([
        'standin',
        ...['--source', source.id],
        ...['--release', month === 'March' ? '2026-03' : '2026-09'],
        ...['--lines', file('lines.txt')],
      ])
      expect(answer.errors ?? [], caption).toEqual([])
      expect(JSON.parse(answer.output!), caption).toEqual(typed.map((r) => Number(r[4]!.replace(/,/g, ''))))
      lines += typed.length
    }
    expect(lines).toBeGreaterThan(60)
  }, 120_000)
})
