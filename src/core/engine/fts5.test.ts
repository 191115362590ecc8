import sqlite3InitModule from '@sqlite.org/sqlite-wasm'
import { beforeAll, describe, expect, it } from 'vitest'
import { emptyRecord, toDocument, type Rec } from '../records'
import { drawWorks } from '../../standins/corpus/corpus'
import { Random } from '../../standins/corpus/random'
import { never } from '../base'
import { and, near, not, or, phrase, print, word, type Expr, type Field } from '../query'
import { buildIndex, evaluate, type Index } from '.'

// Outside check: SQLite FTS5 (https://sqlite.org/fts5.html, section 3, "Full-text Query Syntax") over the same records.

/** The expression in the query syntax of FTS5; our NEAR counts words between, as its NEAR does. */
function toFts5(e: Expr): string {
  switch (e.kind) {
    case 'word':
      return e.text.endsWith('*') ? `"${e.text.slice(0, -1)}"*` : `"${e.text}"`
    case 'phrase':
      return `"${e.words.join(' ')}"`
    case 'and':
    case 'or':
    case 'not':
      return `(${e.parts.map(toFts5).join(` ${e.kind.toUpperCase()} `)})`
    case 'near':
      return `NEAR(${toFts5(e.left)} ${toFts5(e.right)}, ${e.distance})`
    case 'fields':
      return `{${e.fields.join(' ')}} : ${toFts5(e.of)}`
    case 'heading':
    case 'class':
    case 'line':
    case 'lines':
      throw new Error('FTS5 knows no such thing')
    default:
      return never(e)
  }
}

/** Thousands of queries need a corpus of a size that finds something for most. */
const RECORDS = 1500
const QUERIES = 3000

describe('the index beside SQLite FTS5', () => {
  let index: Index
  let records: Rec[]
  let ask: (query: string) => number[]
  let vocabulary: string[]

  beforeAll(async () => {
    records = drawWorks(RECORDS, 'fts5', { year: 2026, month: 6 }).map(({ prose }, i) => ({
      ...emptyRecord(String(i)),
      ...prose,
    }))
    const documents = records.map(toDocument)
    index = buildIndex(documents)
    const sqlite = await sqlite3InitModule()
    const db = new sqlite.oo1.DB(':memory:')
    db.exec('CREATE VIRTUAL TABLE r USING fts5(title, abstract, tokenize = "unicode61 remove_diacritics 2")')
    db.exec('BEGIN')
    const insert = db.prepare('INSERT INTO r(rowid, title, abstract) VALUES (?, ?, ?)')
    records.forEach((r, i) => insert.bind([i + 1, r.title, r.abstract!]).stepReset())
    insert.finalize()
    db.exec('COMMIT')
    ask = (query) =>
      (db.selectValues('SELECT rowid FROM r WHERE r MATCH ? ORDER BY rowid', [query]) as number[]).map(
        (n) => n - 1,
      )
    vocabulary = index.words.terms.filter((t) => /^[a-z]{3,}$/.test(t) && !['and', 'not', 'near'].includes(t))
  })

  it('finds the same records for thousands of random queries', () => {
    const random = new Random('queries')
    const text = (): string[] =>
      random
        .pick(records)
        .abstract!.toLowerCase()
        .match(/[a-z]{3,}/g) ?? ['noise']
    const oneWord = (): Expr => {
      const w = random.chance(0.5) ? random.pick(text()) : random.pick(vocabulary)
      return word(random.chance(0.2) ? `${w.slice(0, Math.max(3, w.length - 2))}*` : w)
    }
    const aPhrase = (): Expr => {
      const words = text()
      const at = random.int(0, Math.max(0, words.length - 3))
      return phrase(...words.slice(at, at + random.int(2, 3)))
    }
    const aNear = (): Expr => {
      const [a, b] = random.some(text(), 2)
      // FTS5 lets the operands of NEAR overlap where they are the same word; ours must be two places.
      return a === b || !b ? aPhrase() : near(random.int(0, 12), word(a!), word(b))
    }
    const draw = (depth: number): Expr => {
      if (depth === 0 || random.chance(0.3)) return random.pick([oneWord, oneWord, aPhrase, aNear])()
      const parts = Array.from({ length: random.int(2, 4) }, () => draw(depth - 1))
      return random.pick([and, or, or, not])(...parts)
    }
    let something = 0
    for (let i = 0; i < QUERIES; i++) {
      const inner = draw(random.int(0, 2))
      const field = random.pick<Field[]>([['title'], ['abstract'], ['title', 'abstract']])
      const e: Expr = { kind: 'fields', fields: field, of: inner }
      const ours = [...evaluate(index, e).docs]
      if (ours.length) something++
      expect(ours, print(e)).toEqual(ask(toFts5(e)))
    }
    // Queries that find nothing agree too easily; most must find something.
    expect(something).toBeGreaterThan(QUERIES / 2)
  })
})
