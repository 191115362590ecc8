import { readFileSync } from 'node:fs'
import path from 'node:path'
import { zipSync } from 'fflate'
import { describe, expect, it } from 'vitest'
import { joined, nextEntry, packReview } from '../core/review'
import { verifyFile } from '.'
import { checkArchive } from './check-archive'
import { frameOf } from './frame.fixture'

const FIRST_FORM = path.join(import.meta.dirname, '../core/review/fixtures/first-form/demo.luvren.zip')
const begun = nextEntry(
  undefined,
  { kind: 'review.create', payload: { id: 'feedback', title: 'Feedback' } },
  { at: '2026-11-16T09:00:00Z', by: 'p-1', salt: '0'.repeat(32) },
)
const made = packReview({ entries: [begun], blobs: new Map() }, 'Feedback')
const faults = (bytes: Uint8Array): string[] => checkArchive(bytes).faults
const bytes = (...numbers: number[]): Uint8Array => Uint8Array.from(numbers)

describe('the archive around the files of a package', () => {
  it('is right as a review is packed, and as the first version packed one', () => {
    expect(checkArchive(made)).toMatchObject({ state: 'right', faults: [] })
    expect(faults(new Uint8Array(readFileSync(FIRST_FORM)))).toEqual([])
  })

  it('is found another one at each of its bytes, whichever bit of it is changed', () => {
    const frame = frameOf(made)
    expect(frame.length).toBeGreaterThan(500)
    const missed = frame.flatMap((at) =>
      [0, 1, 2, 3, 4, 5, 6, 7].filter((bit) => {
        const changed = Uint8Array.from(made)
        changed[at] = changed[at]! ^ (1 << bit)
        return !faults(changed).length
      }),
    )
    expect(missed).toEqual([])
  })

  it('is told of in words whichever byte around its files is another, also where nothing unpacks any more', async () => {
    const never = (): never => {
      throw new Error('Nothing is made from a review of one entry.')
    }
    const missed: number[] = []
    for (const at of frameOf(made))
      for (const bit of [3]) {
        const changed = Uint8Array.from(made)
        changed[at] = changed[at]! ^ (1 << bit)
        const { checks } = await verifyFile(changed, { from: never })
        if (!checks.some((c) => c.faults.length)) missed.push(at)
      }
    expect(missed).toEqual([])
  })

  it('has nothing before its files, and nothing behind its list', () => {
    expect(faults(joined([bytes(0), made]))).not.toEqual([])
    expect(faults(joined([made, bytes(0)]))).not.toEqual([])
    expect(faults(made.subarray(0, made.length - 1))).not.toEqual([])
  })

  it('says where another program has written it', () => {
    expect(faults(zipSync({ 'bagit.txt': bytes(1, 2, 3) }, { mtime: '2026-11-27T12:00:00' }))).toEqual([
      'At byte 11, where bagit.txt begins, the archive is not written as a package is: another program packed it, or a byte was changed.',
    ])
  })

  it('is a fault, and no error, where there is no archive at all', () => {
    for (const none of [bytes(), bytes(80, 75), new Uint8Array(100)]) expect(faults(none)).not.toEqual([])
  })
})
