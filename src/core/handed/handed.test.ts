import jsonld from 'jsonld'
import { unzipSync } from 'fflate'
import { beforeAll, describe, expect, it } from 'vitest'
import { execFileSync } from 'node:child_process'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { HtmlValidate } from 'html-validate'
import { handedFrom } from '../../cli/account'
import { digestOf } from '../base'
import { builtDemo } from '../../standins/built-demo.fixture'
import { VOCABULARY_DIGESTS } from '../../standins/release-digests'
import { sourceFactsOf } from '../../standins/source-facts'
import { fold, inMemory, nextEntry, openPackage, relate, type Entry } from '../review'
import {
  difference,
  packForPeople,
  packWithout,
  planOnly,
  readReview,
  relationWords,
  type LeftOut,
  type ReadReview,
} from '.'

const packed = builtDemo()
let whole: ReadReview
let zip: Uint8Array
let files: Record<string, string>
interface Entity {
  '@id': string
  '@type': string | string[]
  [key: string]: unknown
}
let graph: Entity[]
const one = (id: string): Entity => graph.find((e) => e['@id'] === id)!
const texts = (zip: Uint8Array): Record<string, string> =>
  Object.fromEntries(Object.entries(unzipSync(zip)).map(([n, b]) => [n, new TextDecoder().decode(b)]))

beforeAll(async () => {
  whole = await readReview(packed.entries, async (digest) => packed.blobs.get(digest))
  zip = await packForPeople(await handedFrom(whole), packed)
  files = texts(zip)
  graph = (JSON.parse(files['data/ro-crate-metadata.json']!) as { '@graph': Entity[] })['@graph']
}, 60_000)

/** Is there a Python to unpack with? */
function python(): boolean {
  try {
    execFileSync('python3', ['--version'], { stdio: 'ignore' })
    return true
  } catch {
    return false
  }
}

/** The demo handed on without something, opened again. */
async function without(what: LeftOut): Promise<{ read: ReadReview; files: Record<string, string> }> {
  let salts = 0
  const handedBy = {
    at: '2026-12-01T09:00:00.000Z',
    by: packed.entries.at(-1)!.by,
    salt: () => (++salts).toString(16).padStart(32, '0'),
  }
  const made = await packWithout(packed, what, handedFrom, handedBy)
  if (!made.ok) throw new Error(made.problems[0]?.message)
  const own = made.value
  const opened = await openPackage(inMemory(own))
  if (!opened.ok) throw new Error(opened.problems.map((p) => p.message).join('\n'))
  const { entries: read, digests, blob } = opened.value
  return {
    read: await readReview(read, async (d) => (digests.includes(d) ? blob(d) : undefined)),
    files: texts(own),
  }
}

/** What RO-Crate 1.1 demands (MUST), by the section that does; sections and wording from memory. */
const MUSTS: readonly [string, () => void][] = [
  [
    'Root Data Entity: the metadata file describes itself, is a CreativeWork, is about the root and names the specification',
    () =>
      expect(one('ro-crate-metadata.json')).toMatchObject({
        '@type': 'CreativeWork',
        about: { '@id': './' },
        conformsTo: { '@id': 'https://w3id.org/ro/crate/1.1' },
      }),
  ],
  [
    'Root Data Entity: the root is a Dataset with a name, a description, a licence and a date of ISO 8601',
    () => {
      const root = one('./')
      expect(root['@type']).toBe('Dataset')
      expect([root['name'], root['description']].every((w) => typeof w === 'string' && w)).toBe(true)
      expect(root['datePublished']).toMatch(/^\d{4}-\d{2}-\d{2}T/)
      expect(one((root['license'] as { '@id': string })['@id'])).toBeDefined()
    },
  ],
  [
    'RO-Crate JSON-LD: the context is that of 1.1, the graph is flat, and every @id stands once',
    () => {
      expect(JSON.parse(files['data/ro-crate-metadata.json']!)).toHaveProperty(
        '@context',
        'https://w3id.org/ro/crate/1.1/context',
      )
      expect(new Set(graph.map((e) => e['@id'])).size).toBe(graph.length)
      // Flat: what stands within an entity is a reference and nothing else.
      for (const value of graph.flatMap((e) => Object.values(e)).flat())
        if (typeof value === 'object') expect(Object.keys(value as object)).toEqual(['@id'])
    },
  ],
  [
    'RO-Crate JSON-LD: every entity has an @id and a @type, and what is referred to is described',
    () => {
      for (const e of graph) expect(e['@id'] && e['@type']).toBeTruthy()
      const referred = graph.flatMap((e) =>
        Object.values(e)
          .flat()
          .flatMap((v) => (typeof v === 'object' ? [(v as { '@id': string })['@id']] : [])),
      )
      for (const id of referred) if (!id.startsWith('https:')) expect(one(id), id).toBeDefined()
    },
  ],
  [
    'Data Entities: each file of the payload is a File that the root lists, by a relative path that is a URI',
    () => {
      const parts = (one('./')['hasPart'] as { '@id': string }[]).map((p) => p['@id'])
      const payload = Object.keys(files)
        .filter((n) => n.startsWith('data/') && n !== 'data/ro-crate-metadata.json')
        .map((n) => n.slice('data/'.length))
      expect(parts.toSorted()).toEqual(payload.sort())
      for (const id of parts) {
        expect(one(id)['@type']).toBe('File')
        expect(encodeURI(id)).toBe(id)
      }
    },
  ],
]

describe('the description of a package, after RO-Crate 1.1', () => {
  for (const [must, holds] of MUSTS) it(`meets: ${must}`, () => holds())

  it('expands, with no network, to files, people, and one action a run with its instrument, object and time', async () => {
    // The terms that are used, as the context of the specification maps them (from memory).
    const schema = 'http://schema.org/'
    const context = {
      '@vocab': schema,
      File: `${schema}MediaObject`,
      conformsTo: 'http://purl.org/dc/terms/conformsTo',
    }
    const doc = JSON.parse(files['data/ro-crate-metadata.json']!) as Record<string, unknown>
    const expanded = (await jsonld.expand(
      { ...doc, '@context': context } as never,
      {
        base: 'https://example.org/crate/',
        documentLoader: () => Promise.reject(new Error('Nothing may be fetched.')),
      } as never,
    )) as unknown as Record<string, unknown>[]
    const typed = (type: string): Record<string, unknown>[] =>
      expanded.filter((e) => (e['@type'] as string[]).includes(schema + type))
    expect(typed('CreateAction')).toHaveLength(whole.review.runs.length)
    for (const action of typed('CreateAction'))
      for (const part of ['instrument', 'object', 'endTime', 'agent'])
        expect(action[schema + part]).toHaveLength(1)
    expect(typed('Person').map((p) => (p[`${schema}name`] as { '@value': string }[])[0]!['@value'])).toEqual([
      'M. Osei',
      'L. Prins',
      'H. Marrow',
    ])
  })
})

describe('what is handed on for people', () => {
  it('has a page without script whose facts lead to appendices that are there', () => {
    const page = files['data/index.html']!
    expect(page).not.toMatch(/<script|javascript:|https?:\/\/(?!doi\.org|www\.w3\.org)/)
    const ids = new Set([...page.matchAll(/ id="([^"]+)"/g)].map((m) => m[1]))
    const links = [...page.matchAll(/href="#([^"]+)"/g)].map((m) => m[1])
    expect(links.length).toBeGreaterThan(30)
    for (const to of links) expect(ids, to).toContain(to)
    for (const [, file] of page.matchAll(/href="([a-z][^"#:]*)"/g))
      expect(files).toHaveProperty([`data/${file}`])
  })

  it('has what bears the section out: checklists, overlap, how each database speaks, and vocabularies', () => {
    const lines = (name: string): string[] => files[`data/${name}`]!.trim().split('\r\n')
    expect(lines('checklists/prisma-s.csv')).toHaveLength(1 + 16)
    expect(lines('checklists/prisma-2020.csv').length).toBeGreaterThan(3)
    // What sets of sources gave adds up to the works that stand.
    const sets = lines('records/overlap.csv').slice(lines('records/overlap.csv').indexOf('') + 2)
    const works = sets.map((l) => Number(l.split(',').at(-1)))
    expect(works.reduce((a, b) => a + b, 0)).toBe(whole.works.works.length)
    for (const name of ['flow', 'overlap']) {
      expect(files[`data/figures/${name}.svg`]).toMatch(/^<svg/)
      expect(files).toHaveProperty([`data/figures/${name}.png`])
    }
    for (const { id } of whole.review.sources) {
      const profile = sourceFactsOf(whole.review)(id)?.profile
      if (profile) expect(JSON.parse(files[`data/profiles/${profile.id}.json`]!)).toEqual(profile)
    }
    const turtle = (id: string): string => digestOf(files[`data/vocabularies/${id}.ttl`]!)
    expect(Object.keys(VOCABULARY_DIGESTS).map((id) => [id, turtle(id)])).toEqual(
      Object.entries(VOCABULARY_DIGESTS),
    )
  })

  it('is the same, byte for byte, whenever it is made', async () => {
    const again = await packForPeople(await handedFrom(whole), packed)
    expect(Buffer.from(again).equals(Buffer.from(zip))).toBe(true)
  })

  it('has pages that a validator of HTML finds nothing wrong with', async () => {
    const validator = new HtmlValidate({
      extends: ['html-validate:standard'],
      // Matters of taste: a style in the page keeps it one file, and quotes are as they are.
      rules: { 'no-inline-style': 'off', 'long-title': 'off', 'svg-focusable': 'off' },
    })
    for (const page of ['data/index.html', 'data/protocol.html']) {
      const report = await validator.validateString(files[page]!)
      expect(
        report.results.flatMap((r) => r.messages.map((m) => `${m.line}: ${m.ruleId} ${m.message}`)),
      ).toEqual([])
    }
  })

  it.runIf(python())('is unpacked by another program, whose own sums are those of the manifest', () => {
    const folder = mkdtempSync(path.join(tmpdir(), 'luvren-handed-'))
    writeFileSync(path.join(folder, 'p.zip'), zip)
    execFileSync('python3', ['-m', 'zipfile', '-e', 'p.zip', 'out'], { cwd: folder })
    const said = execFileSync('sha256sum', ['--check', '--strict', 'manifest-sha256.txt'], {
      cwd: path.join(folder, 'out'),
      encoding: 'utf8',
    })
    expect(
      said
        .trim()
        .split('\n')
        .every((line) => line.endsWith(': OK')),
    ).toBe(true)
  })
})

describe('what is left out', () => {
  it('of names: none is anywhere in it, people are told apart, and rulings of a side journal stand', async () => {
    const { read, files: own } = await without({ names: true })
    for (const [name, content] of Object.entries(own))
      if (!name.endsWith('.docx') && !name.endsWith('.png'))
        for (const person of ['M. Osei', 'L. Prins', 'H. Marrow']) expect(content, name).not.toContain(person)
    expect(read.review.rulings).toEqual(whole.review.rulings)
    expect(own['data/index.html']).toContain('Left out of this package: the names of people.')
    expect(own['data/index.html']).toMatch(/>Unnamed reader \d<\/a> \(subject librarian\) reviewed/)
    expect(relate(read.entries, whole.entries)).toEqual({ is: 'same' })
  })

  it('of names: a frozen text, whose words name people, goes with them', async () => {
    const bytes = new TextEncoder().encode('"H. Marrow reviewed the strategies."')
    const last = packed.entries.at(-1)!
    const frozen = {
      id: 'f',
      name: 'as sent',
      at: '2026-12-04T09:00:00Z',
      digest: digestOf(bytes),
      journal: last.digest,
      purpose: 'submission' as const,
    }
    const entries = [
      ...packed.entries,
      nextEntry(
        last,
        { kind: 'text.freeze', payload: frozen },
        { at: frozen.at, by: 'demo-person-1', salt: 'f'.repeat(32) },
      ),
    ]
    const blobs = new Map([...packed.blobs, [frozen.digest, bytes] as const])
    const made = await packWithout({ entries, blobs }, { names: true }, handedFrom)
    if (!made.ok) throw new Error(made.problems[0]?.message)
    const own = texts(made.value)
    expect(own['data/left-out.txt']).toContain(frozen.digest)
    for (const [name, content] of Object.entries(own)) expect(content.includes('H. Marrow'), name).toBe(false)
  })

  it('of abstracts: nothing that holds them is in it, and nothing is said of what terms found', async () => {
    const { read, files: own } = await without({ texts: true })
    expect(read.works.works.some((w) => w.record.abstract)).toBe(false)
    expect(read.works.works.length).toBe(whole.works.works.length)
    const abstract = whole.works.works.find((w) => w.record.abstract)!.record.abstract!
    for (const [name, content] of Object.entries(own)) expect(content.includes(abstract), name).toBe(false)
    expect(own['data/index.html']).toContain('Terms are told in the order of the plan')
    expect(read.told.figures).toEqual(whole.told.figures)
  })

  it('of rulings: nobody has ruled anything, neither here nor in what was taken in', async () => {
    const { read } = await without({ rulings: true })
    expect(read.review.rulings).toEqual({})
    expect(read.works.works.length).toBe(whole.works.works.length)
  })

  it('of all but the plan: another review, with its question, terms and lines, and nothing run', () => {
    const entries: Entry[] = []
    for (const command of planOnly(whole.review, { id: 'next', title: 'Next' })) {
      const salt = entries.length.toString(16).padStart(32, '0')
      entries.push(nextEntry(entries.at(-1), command, { at: '2026-12-01T09:00:00Z', by: 'p-1', salt }))
    }
    const { review, problems } = fold(entries)
    expect(problems).toEqual([])
    const { question, concepts, terms, limits, criteria, strategies } = whole.review
    expect(review).toMatchObject({ question, concepts, limits, criteria, strategies })
    expect(new Set(review.terms.map((t) => t.id))).toEqual(new Set(terms.map((t) => t.id)))
    expect([review.runs, review.imports, review.people]).toEqual([[], [], []])
  })
})

describe('the difference of two packages', () => {
  const compared = (read: ReadReview) => ({ ...read, source: sourceFactsOf(read.review) })
  const on = async (
    commands: readonly { kind: string; payload: unknown }[],
    upTo = packed.entries.length,
  ) => {
    const entries = packed.entries.slice(0, upTo)
    for (const command of commands) {
      const salt = `a${entries.length.toString(16)}`.padStart(32, '0')
      entries.push(
        nextEntry(entries.at(-1), command as never, { at: '2026-12-20T09:00:00Z', by: 'p-1', salt }),
      )
    }
    return readReview(entries, async (d) => packed.blobs.get(d))
  }

  it('tells nothing of a package and itself', () => {
    expect(difference(compared(whole), compared(whole))).toEqual({ relation: { is: 'same' }, parts: [] })
  })

  it('tells each changed thing in its part, and that they parted', async () => {
    const line = whole.review.strategies['demo-girder']![0]!
    const later = await on([
      { kind: 'question.set', payload: { text: 'Another question?' } },
      { kind: 'line.change', payload: { sourceId: 'demo-girder', id: line.id, text: 'hum' } },
    ])
    const other = await on([{ kind: 'question.set', payload: { text: 'A third one?' } }])
    expect(relationWords(difference(compared(later), compared(other)).relation)).toBe(
      `They parted after ${packed.entries.length} common entries: 2 entries are in the first alone, 1 in the second.`,
    )
    const found = difference(compared(whole), compared(later))
    expect(found.relation).toEqual({ is: 'second ahead', by: 2 })
    const lines = (about: string): string[] => found.parts.find((p) => p.about === about)?.lines ?? []
    expect(lines('Plan').join()).toContain('question')
    expect(lines('Lines')).toEqual([`Girder & Sound Abstracts, ${line.text} became hum`])
    expect(lines('Rulings')).toEqual([])
    expect(lines('Text').some((l) => l.includes('Another question?'))).toBe(true)
  })
})
