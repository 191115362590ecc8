import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { pathToFileURL } from 'node:url'
import { gunzipSync } from 'node:zlib'
import { beforeAll, describe, expect, it } from 'vitest'
import { z } from 'zod'
import { canonicalJson, digestOf } from '../../base'
import type { Command } from '../commands'
import { journalOf } from '../commands.arbitrary'
import { KINDS } from '../kinds'
import { inMemory, openPackage, packReview } from '../package'
import { plainReview } from '../plain-review'
import { emptyReview } from '../values'
import { besideOf, fold, SCHEMA_VERSION, verifyJournal, type Entry } from '.'

const FIXTURES = path.join(import.meta.dirname, '../fixtures')

/** The schemas of all kinds by the version that they were written under, as one digest each. */
const SCHEMAS: Readonly<Record<number, string>> = {
  7: 'f5966904d6036969465fdd3c1e9a33a4c522fab5244527a4f0b8058bcf1e454c',
  8: '4234d96cd0eccd5ed797c04efefa4ef1a223247e1386cf054005541d59fe249e',
}

it('has another version where the schema of a kind is another', () => {
  const schemas = Object.fromEntries(
    Object.entries(KINDS).map(([kind, { schema }]) => [
      kind,
      z.toJSONSchema(schema, { unrepresentable: 'any', io: 'input' }),
    ]),
  )
  // A field that an older build does not know is dropped by it without a word: raise SCHEMA_VERSION, and add its digest.
  expect(digestOf(canonicalJson(schemas))).toBe(SCHEMAS[SCHEMA_VERSION])
})

const STATE = new TextEncoder().encode(
  canonicalJson(plainReview({ ...emptyReview('r'), question: 'How loud?' })),
)
const BYTES = new TextEncoder().encode('what was asked')
const NONE = new TextEncoder().encode('[]')

/** A literal entry of each kind and field that version 7 brought, in the order in which they could be done. */
const NEW = JSON.parse(readFileSync(path.join(FIXTURES, 'kinds-v7.json'), 'utf8')) as Command[]
const BEFORE: Command[] = [
  { kind: 'review.create', payload: { id: 'r', title: 'Sound' } },
  { kind: 'journal.from', payload: { of: { seq: 9, digest: 'e'.repeat(64) }, state: digestOf(STATE) } },
]

/** The same of version 8: a description of the second form, and a search that was made before the record began. */
const NEWER = JSON.parse(readFileSync(path.join(FIXTURES, 'kinds-v8.json'), 'utf8')) as Command[]

it('keeps what version 8 brought through a package', async () => {
  const entries = journalOf([{ kind: 'review.create', payload: { id: 'r', title: 'Sound' } }, ...NEWER])
  const opened = await openPackage(inMemory(packReview({ entries, blobs: new Map() }, 'Sound')))
  if (!opened.ok) throw new Error(opened.problems.map((p) => p.message).join('\n'))
  const { review, problems } = fold(opened.value.entries)
  expect(problems).toEqual([])
  expect(review.profiles[0]).toEqual(NEWER[0]!.payload)
  expect(review.runs[0]).toMatchObject({ how: 'before', hits: 214 })
})

describe('what version 7 brought', () => {
  const entries = journalOf([...BEFORE, ...NEW])
  const blobs = new Map([STATE, BYTES, NONE].map((bytes) => [digestOf(bytes), bytes]))
  it('is done, packed, opened, verified and read', async () => {
    expect(verifyJournal(entries)).toEqual([])
    const opened = await openPackage(inMemory(packReview({ entries, blobs }, 'Sound')))
    if (!opened.ok) throw new Error(opened.problems.map((p) => p.message).join('\n'))
    const { review, problems } = fold(entries, await besideOf(entries, async (d) => blobs.get(d)))
    expect(problems).toEqual([])
    expect(review).toMatchObject({
      id: 'r',
      question: 'How loud?',
      counts: { s: { lineId: '1' } },
      readings: { run: { reading: 'noise' } },
      selectionRules: { broad: 'settle first' },
      readingPlans: { close: { way: 'a share by two', share: 0.2 } },
      settlements: { 'i/1': { broad: { after: 'talk' } }, 'i/2': { broad: { recordId: 'i/2' } } },
      criteria: [{ short: 'no level measured' }],
      samePersons: [{ a: 'p-1', b: 'p-2' }],
    })
    // Every member of the review that only version 7 has is there.
    for (const part of [
      'lookups',
      'headingsNoted',
      'ways',
      'stopRules',
      'valuesSet',
      'related',
      'deposits',
      'asked',
    ] as const)
      expect(review[part], part).toHaveLength(1)
    expect(review.protocol![0]!.plan.passes).toMatchObject({ broad: { readers: 2, blinded: true } })
    expect(opened.value.digests).toContain(digestOf(BYTES))
  })

  it('cannot be taken back behind the state that a journal begins from', () => {
    const undone: Command[] = [...BEFORE, { kind: 'undo', payload: { seq: 1 } }]
    expect(fold(journalOf(undone), { state: () => plainReview(emptyReview('')) }).undone).toEqual([])
  })

  it('is not begun from a state that is not here: that is named, and nothing is shown for it', () => {
    expect(fold(journalOf(BEFORE)).problems).toMatchObject([{ code: 'entry-unfit', at: 'entry 1' }])
  })

  describe('in a build of version 6', () => {
    interface Build {
      openPackage: typeof openPackage
      inMemory: typeof inMemory
      fold: typeof fold
      newerProblem: (entries: readonly Entry[]) => { message: string } | undefined
    }
    let build: Build
    beforeAll(async () => {
      const file = path.join(mkdtempSync(path.join(tmpdir(), 'luvren-build-')), 'build.mjs')
      writeFileSync(file, gunzipSync(readFileSync(path.join(FIXTURES, 'version-6/build.mjs.gz'))))
      build = (await import(/* @vite-ignore */ pathToFileURL(file).href)) as Build
    })
    it('is refused in words, one kind as another, and nothing of it is shown as if it were whole', async () => {
      for (const command of [...NEW, ...NEWER]) {
        const own = journalOf([{ kind: 'review.create', payload: { id: 'r', title: 'Sound' } }, command])
        expect(build.newerProblem(own)?.message, command.kind).toMatch(
          /^A newer Luvren has written in this review/,
        )
      }
      const opened = await build.openPackage(build.inMemory(packReview({ entries, blobs }, 'Sound')))
      expect(opened.ok && build.newerProblem(opened.value.entries)).toBeTruthy()
      expect(build.fold(entries).problems.some((p) => p.code === 'entry-newer')).toBe(true)
    })
  })
})

it('keeps a literal entry of each new kind, and of each kind with new fields', () => {
  const kinds = new Set(NEW.map((c) => c.kind))
  for (const kind of [
    'run.log',
    'records.import',
    'ruling.set',
    'ruling.settle',
    'criterion.set',
    'reading.ask',
    'line.change',
    'searchreview.finish',
    'searchreview.settle',
    'protocol.freeze',
  ] as const)
    expect(kinds).toContain(kind)
})
