import { execFileSync } from 'node:child_process'
import path from 'node:path'
import fc from 'fast-check'
import { unzipSync } from 'fflate'
import { describe, expect, it } from 'vitest'
import { joined, PackageWriter } from '.'

const here = import.meta.dirname
const demo = path.join(here, '..', 'fixtures', 'first-form', 'demo.luvren.zip')
const repacked = (tz: string): string =>
  execFileSync(process.execPath, ['--import', 'tsx', path.join(here, 'repack.fixture.ts'), demo], {
    env: { ...process.env, TZ: tz },
    encoding: 'utf8',
  })

describe('the bytes of a package', () => {
  it('are the same in every time zone', { timeout: 60_000 }, () => {
    const [utc, west] = ['UTC', 'America/Los_Angeles'].map((tz) => repacked(tz).split(' '))
    // The zone is really another: midday in Greenwich is another hour there.
    expect(utc![0]).not.toBe(west![0])
    expect(utc![1]).toMatch(/^[0-9a-f]{64}$/)
    expect(west![1]).toBe(utc![1])
  })

  it('are the same however its content comes, and hold it whole', () => {
    const packed = (pieces: readonly Uint8Array[], size: number): Uint8Array => {
      const out: Uint8Array[] = []
      const writer = new PackageWriter((piece) => out.push(piece), size)
      writer.add('records/works.ris', pieces)
      writer.end()
      return joined(out)
    }
    const words = fc.uint8Array({ maxLength: 3000, max: 12 })
    fc.assert(
      fc.property(words, fc.array(fc.nat(3000)), fc.integer({ min: 1, max: 700 }), (content, at, size) => {
        const cuts = [0, ...at.filter((n) => n < content.length).sort((a, b) => a - b), content.length]
        const pieces = cuts.slice(1).map((end, n) => content.subarray(cuts[n], end))
        const cut = packed(pieces, size)
        expect(Buffer.from(cut).equals(Buffer.from(packed([content], size)))).toBe(true)
        expect(unzipSync(cut)['data/records/works.ris']).toEqual(content)
      }),
    )
  })
})
