import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { digestOf } from '@/core/base'
import { blockBytes, emptyRecord, layOut, RULES_VERSION, type Rec } from '@/core/records'
import { emptyReview, unpackWorks, type Import, type Review, type Works } from '@/core/review'
import { openDatabase } from '@/store/db'
import { Derived } from '@/store/derived'
import { BlocksHere } from './blocks-here'
import { deskReview } from './desk-review'
import { RecordsDesk, type WorksForPage } from './records-desk'

const record = (n: number, source: string): Rec => ({
  ...emptyRecord(`${source}${n}`, `Sound in room ${n}`),
  abstract: n % 2 ? 'Children listened to speech in noise.' : 'Rooms were measured.',
  authors: [`Quill, ${n}.`],
  year: 2000 + n,
  journal: 'Journal of Learning Spaces',
  ...(n === 1 ? { references: [{ raw: 'as printed', id: `${source}2` }] } : {}),
})
const RECORDS = { one: [1, 2, 3, 4, 5].map((n) => record(n, 'a')), two: [4, 5, 6].map((n) => record(n, 'b')) }
const review = {
  ...emptyReview('r'),
  knownItems: [
    { id: 'k', raw: '', form: 'reference' as const, title: 'Sound in room 6', authors: [], year: 2006 },
  ],
}

/** Lays the records of two sources down as the store does, and gives the review that names them. */
async function laidDown(): Promise<Review> {
  const db = await openDatabase({ onBlocked: () => 0, onBlocking: () => 0, onTerminated: () => 0 })
  const put = (digest: string, bytes: Uint8Array) => db.put('blobs', { digest, bytes })
  const imports: Import[] = []
  for (const [sourceId, records] of Object.entries(RECORDS)) {
    const { at, bytes } = layOut(records)
    for (const [digest, own] of bytes) await put(digest, own)
    imports.push({ id: sourceId, sourceId, ...at, count: records.length, at: '2026-11-16T09:00:00Z' })
  }
  const [classes, none] = [blockBytes([0, 1, 2, 3, 4, 3, 4, 5]), blockBytes([2, 5])]
  await put(digestOf(classes), classes)
  await put(digestOf(none), none)
  db.close()
  return {
    ...review,
    imports,
    partition: {
      rules: RULES_VERSION,
      imports: ['one', 'two'],
      digest: digestOf(classes),
      toSettle: digestOf(none),
    },
  }
}
/** The review as the desk is told of it. */
const asked = (of: Review) =>
  deskReview({ partition: undefined, choices: undefined, groups: undefined, ...of })

const unpacked = ({ works }: WorksForPage, imports: readonly Import[]): Works => {
  const steps = unpackWorks(works, imports)
  for (;;) {
    const step = steps.next()
    if (step.done) return step.value
  }
}

describe('the desk of records', () => {
  let at: Awaited<ReturnType<typeof laidDown>>
  let derived: Derived
  const desk = (): RecordsDesk => new RecordsDesk(new BlocksHere(), derived, 0)
  beforeEach(async () => {
    at = await laidDown()
    derived = new Derived(`derived-${Math.random()}`)
  })

  it('answers from what it kept as it answered when it read all records', async () => {
    const told = async (own: RecordsDesk) => {
      const page = await own.works(asked(at), at.knownItems)
      const words = await own.ask({ words: 'noise', order: 'title' })
      const all = await own.ask({ order: 'year' })
      const rows = own.windowOf(all.number, 0, 10)
      return {
        works: unpacked(page, at.imports),
        lost: page.lost,
        words: words.count,
        facets: all.facets,
        rows,
        work: await own.work('one/1'),
        pairs: await own.pairs(),
        numbers: await own.numbersIn('two', ['one/4', 'one/1', 'two/3']),
        shown: await own.shown(['one/4', 'gone/1']),
        written: await own.write(all.number, 'ris'),
        overlap: own.overlap(['one', 'two']),
      }
    }
    const first = await told(desk())
    const reading = vi.spyOn(BlocksHere.prototype, 'records')
    const second = await told(desk())
    expect(second).toEqual(first)
    expect(reading).not.toHaveBeenCalled()
    expect(first).toMatchObject({ lost: 0, words: 3, numbers: ['b4', 'b6'] })
    expect(first.works.works).toHaveLength(6)
    expect([...first.works.known]).toEqual([['k', 'two/3']])
    expect(first.work?.cites).toEqual([{ id: 'one/2', title: 'Sound in room 2' }])
    expect(first.pairs).toHaveLength(1)
  })

  it('makes everything anew when the review was changed in what works are made from', async () => {
    await desk().works(asked(at), [])
    const parted = { ...at, decisions: [{ a: 'one/4', b: 'two/1', same: false }] }
    const page = await desk().works(asked(parted), [])
    expect(unpacked(page, at.imports).works).toHaveLength(7)
  })

  it('says how many records are not in this browser, and which are damaged when all were read again', async () => {
    const before = await desk().works(asked(at), [])
    expect(before.lost).toBe(0)
    const db = await openDatabase({ onBlocked: () => 0, onBlocking: () => 0, onTerminated: () => 0 })
    await db.put('blobs', { digest: at.imports[0]!.digest, bytes: new TextEncoder().encode('[]') })
    expect((await desk().works(asked(at), [])).lost).toBe(0)
    expect(await desk().check(asked(at))).toBe(5)
    await expect(
      desk()
        .open(asked(at))
        .then(() => 'opens'),
    ).resolves.toBe('opens')
    await db.delete('blobs', at.imports[0]!.digest)
    db.close()
    expect((await desk().works(asked(at), [])).lost).toBe(5)
    const own = desk()
    await own.open(asked(at))
    await expect(own.work('one/1')).rejects.toThrow(/not in this browser/)
  })

  it('keeps nothing of a review that is removed', async () => {
    await desk().works(asked(at), [])
    await desk().forget('r')
    const reading = vi.spyOn(derived, 'keep')
    await desk().works(asked(at), [])
    expect(reading).toHaveBeenCalledOnce()
  })
})
