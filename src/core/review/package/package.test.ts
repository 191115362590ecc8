import { zipSync, type Zippable } from 'fflate'
import { describe, expect, it } from 'vitest'
import { digestOf } from '../../base'
import { emptyRecord, layOut } from '../../records'
import { firstFormJournal, goneOverFrom, journalOf } from '../journal.fixture'
import type { Command } from '../commands'
import { withheld } from '../journal'
import { BOUNDS, inMemory, openPackage, packReview, type ByteSource } from '.'
import { unpack, zipDirectory } from './zip-read'

const begin: Command = { kind: 'review.create', payload: { id: 'r', title: 'R' } }
const text = (content: string): Uint8Array => new TextEncoder().encode(content)
const open = (bytes: Uint8Array) => openPackage(inMemory(bytes))
const codes = async (bytes: Uint8Array): Promise<string[]> => (await open(bytes)).problems.map((p) => p.code)
/** An archive that looks like a package up to what is put into it. */
const archive = (files: Zippable): Uint8Array =>
  zipSync({ 'manifest-sha256.txt': text(''), 'data/journal.jsonl': text(''), ...files })

const RECORDS = [
  { ...emptyRecord('1', 'One'), abstract: 'Loud.' },
  { ...emptyRecord('2', 'Two'), extra: { ZZ: ['kept'] } },
]
/** A review with records in blocks of each kind, and what lies beside its journal. */
function brought(records = RECORDS, count = records.length) {
  const { at: blocks, bytes: blobs } = layOut(records)
  const at = '2026-11-16T09:00:00Z'
  const payload = { id: 'i', sourceId: 's', ...blocks, count, at }
  const entries = journalOf([begin, { kind: 'records.import', payload }])
  return { entries, blobs }
}

describe('a package', () => {
  it('comes back as it was packed, with what lies beside its journal to be had by digest', async () => {
    const { entries, blobs } = brought()
    const opened = await open(packReview({ entries, blobs }, 'R'))
    if (!opened.ok) throw new Error(opened.problems.map((p) => p.message).join('\n'))
    expect(opened.value.entries).toEqual(entries)
    expect(opened.value.digests.sort()).toEqual([...blobs.keys()].sort())
    for (const [digest, bytes] of blobs) expect(await opened.value.blob(digest)).toEqual(bytes)
  })

  it('says where what it holds is not what its journal says', async () => {
    const { blobs } = brought()
    expect(await codes(packReview({ ...brought(RECORDS, 3), blobs }, 'R'))).toEqual(
      Array(3).fill('blob-damaged'),
    )
    const { entries } = brought()
    const without = new Map([...blobs].slice(1))
    expect(await codes(packReview({ entries, blobs: without }, 'R'))).toEqual(['blob-missing'])
    const leftOut = [[...blobs.keys()][0]!]
    expect(await codes(packReview({ entries, blobs: without, leftOut }, 'R'))).toEqual([])
    const other = new Map([...blobs].map(([digest]) => [digest, text('x')]))
    expect(new Set(await codes(packReview({ entries, blobs: other }, 'R')))).toEqual(
      new Set(['file-changed']),
    )
  })

  it('is checked against the state that it went over with, and may begin there, or have payloads withheld', async () => {
    const { entries, state } = goneOverFrom(
      firstFormJournal([begin, { kind: 'question.set', payload: { text: 'How loud?' } }]),
    )
    const blobs = new Map([[digestOf(state), state]])
    expect(await codes(packReview({ entries, blobs }, 'R'))).toEqual([])
    expect(await codes(packReview({ entries: entries.slice(3), blobs }, 'R'))).toEqual([])
    expect(await codes(packReview({ entries, blobs: new Map() }, 'R'))).toEqual(['blob-missing'])
    const more = journalOf([{ kind: 'question.set', payload: { text: 'Hidden' } }], entries)
    const hidden = [...more.slice(0, -1), withheld(more.at(-1)!)]
    expect(await codes(packReview({ entries: hidden, blobs }, 'R'))).toEqual([])
    // The entry of going over names a state that is another.
    const lying = journalOf(
      [
        {
          kind: 'journal.goOver',
          payload: { before: { seq: 2, digest: entries[2]!.digest }, state: digestOf('x'), runs: [] },
        },
      ],
      entries.slice(0, 3),
    )
    const with_ = new Map([[digestOf('x'), text('x')]])
    expect(await codes(packReview({ entries: lying, blobs: with_ }, 'R'))).toEqual(['blob-damaged'])
  })
})

describe('a hostile archive', () => {
  it('that unpacks to far more than it holds is refused long before it is unpacked', async () => {
    const bomb = archive({ 'data/journal.jsonl': new Uint8Array(60_000_000) })
    expect(bomb.length).toBeLessThan(100_000)
    expect(await codes(bomb)).toEqual(['too-large'])
    const so = { bytes: 0, read: 0 }
    const directory = await zipDirectory(inMemory(bomb))
    const file = directory.ok && directory.value.find((f) => f.name === 'data/journal.jsonl')
    if (!file) throw new Error('the archive has no journal')
    await unpack(inMemory(bomb), file, so, () => undefined)
    expect(so.bytes).toBeLessThan(20_000_000)
  })

  it('is read only in parts, never past what was asked for', async () => {
    const { entries, blobs } = brought()
    const bytes = packReview({ entries, blobs }, 'R')
    let most = 0
    const source: ByteSource = {
      size: bytes.length,
      read: (start, end) => {
        expect(start >= 0 && end <= bytes.length && start <= end).toBe(true)
        most = Math.max(most, end - start)
        return Promise.resolve(bytes.slice(start, end))
      },
    }
    expect((await openPackage(source)).ok).toBe(true)
    expect(most).toBeLessThanOrEqual(256 * 1024)
  })

  it('with names that are no plain paths, twice the same, or too many, is refused', async () => {
    for (const name of [
      '../x',
      '/etc/x',
      'a\\b',
      'data/../x',
      'x'.repeat(BOUNDS.nameLength + 1),
      'a//b',
      'a\nb',
    ])
      expect(await codes(archive({ [name]: text('') })), name).toEqual(['name-refused'])
    const twice = archive({ 'data/a': text('1'), 'data/b': text('2') })
    for (let at = 0; at < twice.length - 6; at++)
      if (new TextDecoder().decode(twice.subarray(at, at + 6)) === 'data/b') twice[at + 5] = 0x61
    expect(await codes(twice)).toEqual(['name-refused'])
    const many = Object.fromEntries(
      Array.from({ length: BOUNDS.files + 1 }, (_, i) => [`f${i}`, new Uint8Array()]),
    )
    expect(await codes(zipSync(many, { level: 0 }))).toEqual(['too-many-files'])
  })

  it('with a line nested without end, or cut off anywhere, is refused in words and with its place', async () => {
    const deep = archive({ 'data/journal.jsonl': text(`${'['.repeat(100_000)}\n`) })
    expect((await open(deep)).problems).toMatchObject([{ code: 'too-deep', at: 'entry 0' }])
    const whole = packReview(brought(), 'R')
    for (let at = 0; at < whole.length; at += 97) {
      const read = await open(whole.slice(0, at))
      expect(read.ok).toBe(false)
      expect(read.problems[0]!.message).toMatch(/^[A-Z].*\.$/)
    }
  })

  it('of which any one byte was changed is refused, or says the same as before', async () => {
    const whole = packReview(brought(), 'R')
    const before = await open(whole)
    for (let at = 0; at < whole.length; at += 31) {
      const changed = whole.slice()
      changed[at]! ^= 0x15
      const read = await open(changed)
      if (read.ok && before.ok) expect(read.value.entries).toEqual(before.value.entries)
      else expect(read.problems[0]!.message).toMatch(/\.$/)
    }
  })
})
