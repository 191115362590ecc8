import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { KINDS } from './core/review'
import { SAYING_NAMES } from './core/account/sayings'
import { LIMIT_KINDS } from './core/query'
import { FORMATS } from './core/records'
import { STANDINS } from './standins'

const page = readFileSync('CONTRIBUTING.md', 'utf8')
/** The text below a heading of the page. */
const below = (heading: string): string => page.split(`## ${heading}\n`)[1]!.split('\n## ')[0]!
const quoted = (text: string): string[] => [...text.matchAll(/`([^`]+)`/g)].map((m) => m[1]!)
const files = readdirSync('src', { recursive: true })
  .map((name) => `src/${String(name).replaceAll('\\', '/')}`)
  .filter((name) => /\.(?:ts|tsx|json)$/.test(name))
const text = (file: string): string => readFileSync(file, 'utf8')
const named = (name: string): string[] =>
  [
    ...files,
    ...['docs', 'scripts', 'e2e'].flatMap((dir) => readdirSync(dir).map((f) => `${dir}/${f}`)),
  ].filter((file) => file === name || file.endsWith(`/${name}`))
const program = files.filter((f) => !/test|fixture|arbitrary|plan-cases/.test(f) && /\.tsx?$/.test(f))

describe('the pages on adding something', () => {
  it('name only files and folders that are there', () => {
    for (const name of quoted(page).filter((q) => /[/.]/.test(q) && !/[ *(]|NAME/.test(q)))
      expect(existsSync(name) || (name.endsWith('/') ? holds(name) : named(name).length > 0), name).toBe(true)
  })

  it('name only things that the files have', () => {
    for (const name of quoted(page).filter((q) => /^[A-Za-z_]+$/.test(q) && q !== 'NAME'))
      expect(
        program.some((file) => new RegExp(`\\b${name}\\b`).test(text(file))),
        name,
      ).toBe(true)
  })

  it('are true of formats: each has a file of its own, and a row in each of two', () => {
    const rows = quoted(below('A format of records')).filter((q) => q.startsWith('formats/f'))
    expect(rows).toEqual(['formats/files.ts', 'formats/format.ts'])
    const own: Partial<Record<string, string>> = { csv: 'table' }
    for (const format of FORMATS) {
      expect(named(`formats/${own[format] ?? format}.ts`), format).toHaveLength(1)
      for (const row of rows)
        expect(text(named(row)[0]!), row).toMatch(new RegExp(`^  '?${format}'?: \\{`, 'm'))
    }
  })

  it('are true of limits: one is named in the files of its page, and nowhere else', () => {
    const told = quoted(below('A kind of limit')).filter((q) => q.startsWith('src/'))
    // A kind of which nothing hangs but what every kind has.
    expect(LIMIT_KINDS).toContain('open access')
    const where = program.filter(
      (file) => text(file).includes("'open access'") || /open access\//.test(text(file)),
    )
    expect(where.sort()).toEqual([...told].sort())
  })

  it('are true of advice: each rule has its name in one list, and stands in a file beside it', () => {
    const dir = 'src/core/strategy/checks/rules/'
    const list = text(`${dir}index.ts`)
    const rules = files.filter((f) => f.startsWith(dir) && !/index|test|fixture/.test(f))
    expect(rules.length).toBeGreaterThan(15)
    for (const file of rules)
      for (const [, name] of text(file).matchAll(/^export const (\w+): Rule\b/gm))
        expect(list, file).toContain(`${name},`)
  })

  it('are true of sentences: each has four files’ worth of words, and a line in each of four lists', () => {
    const lists = ['sayings', 'words/en', 'reads/en', 'meanings'].map((dir) =>
      text(`src/core/account/${dir}/index.ts`),
    )
    for (const name of SAYING_NAMES)
      for (const list of lists) expect(list).toMatch(new RegExp(`(?:^|\\W)'?${name}'?[:,]`, 'm'))
  })

  it('are true of invented databases: each is described in one file and named in one list', () => {
    const list = text(named('standins/list.ts')[0]!)
    for (const { id } of STANDINS) {
      expect(named(`standins/profiles/${id}.json`)).toHaveLength(1)
      expect(list.split(`id: '${id}'`)).toHaveLength(2)
    }
  })

  it('are true of commands: each kind has its schema, words and effect in one file', () => {
    const kinds = files.filter((f) => f.startsWith('src/core/review/kinds/') && !/test/.test(f))
    for (const kind of Object.keys(KINDS).filter((k) => k.includes('.')))
      expect(
        kinds.filter((f) => new RegExp(`^  '?${kind.replace('.', '\\.')}'?: `, 'm').test(text(f))),
        kind,
      ).toHaveLength(1)
  })
})

/** A folder that is named from within one that was named before it. */
function holds(name: string): boolean {
  return files.some((file) => file.includes(`/${name}`))
}
