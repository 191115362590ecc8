import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { gather, IN_A_BLOCK, layOut, type BlockDigests } from './blocks'
import { anyRecord } from './formats/record.arbitrary'
import { emptyRecord, type Rec } from './record'

const read =
  (bytes: ReadonlyMap<string, Uint8Array>) =>
  (digest: string): unknown => {
    const own = bytes.get(digest)
    return own && JSON.parse(new TextDecoder().decode(own))
  }

describe('records in blocks', () => {
  it('are those that were laid down, each kind apart, in as many blocks as it takes', () => {
    const many = Array.from({ length: IN_A_BLOCK * 2 + 7 }, (_, n) => ({
      ...emptyRecord(String(n), `Title ${n}`),
      ...(n % 3 ? {} : { abstract: `Abstract ${n}` }),
    }))
    const { at, bytes } = layOut(many)
    expect(at.rest!.map((r) => r.count)).toEqual([IN_A_BLOCK, 7])
    expect(gather(at, read(bytes))).toEqual(many)
    // Without the block of records nothing is known of any of them.
    bytes.delete(at.rest![0]!.digest)
    expect(gather(at, read(bytes))).toBeUndefined()
  })

  it('have mended ones at the places that they have in the file, in whatever order they are mended', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(anyRecord, fc.constantFrom('read', 'mended', 'broken')), { maxLength: 12 }),
        fc.nat(),
        (file, turn) => {
          const bytes = new Map<string, Uint8Array>()
          const lay = (records: readonly Rec[]) => {
            const laid = layOut(records)
            for (const [digest, own] of laid.bytes) bytes.set(digest, own)
            return laid.at
          }
          const of = (state: string) =>
            file.flatMap(([record, s], n) => (s === state ? [{ record, position: n + 1 }] : []))
          const mended = of('mended').map(({ record, position }) => ({ ...lay([record]), position }))
          const at: BlockDigests = {
            ...lay(of('read').map((r) => r.record)),
            mended: [
              ...mended.slice(turn % (mended.length + 1)),
              ...mended.slice(0, turn % (mended.length + 1)),
            ],
            broken: of('broken'),
          }
          expect(gather(at, read(bytes))).toEqual(
            file.flatMap(([record, s]) => (s === 'broken' ? [] : [record])),
          )
        },
      ),
      { numRuns: 200 },
    )
  })
})
