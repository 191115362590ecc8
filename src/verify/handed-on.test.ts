import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { journal, reviews } from '../core/account/random-review.fixture'
import { packWithout } from '../core/handed'
import { blobsOf, type Packed } from '../core/review'
import { handedFrom } from '../cli/account'
import { builtDemo } from '../standins/built-demo.fixture'
import { verifyFile } from '.'

const LEAVES = ['texts', 'names', 'rulings'] as const

/** What verification finds wrong with a review that was handed on without some of it. */
async function faultsOf(packed: Packed, left: readonly (typeof LEAVES)[number][]): Promise<string[]> {
  const made = await packWithout(packed, Object.fromEntries(left.map((l) => [l, true])), handedFrom, {
    at: '2026-12-01T09:00:00.000Z',
    by: 'p-1',
    salt: () => 'a'.repeat(32),
  })
  if (!made.ok) throw new Error(made.problems[0]!.message)
  const { checks } = await verifyFile(made.value, { from: handedFrom })
  return checks.flatMap((c) => c.faults)
}

describe('a review that is handed on', () => {
  it('verifies, whatever was done in it and whatever is left out', { timeout: 240_000 }, async () => {
    await fc.assert(
      fc.asyncProperty(reviews, fc.subarray([...LEAVES]), async (drawn, left) => {
        const { entries } = journal(drawn)
        // Of what lies beside its journal nothing is here: that is said inside, and is no fault.
        const leftOut = [...new Set(entries.flatMap(blobsOf))].sort()
        expect((await faultsOf({ entries, blobs: new Map(), leftOut }, left)).join('\n')).toBe('')
      }),
      { numRuns: 12, endOnFailure: true },
    )
  })

  it('verifies without anything that can be left out, as the demo does', { timeout: 120_000 }, async () => {
    const { entries, blobs } = builtDemo()
    expect(await faultsOf({ entries, blobs }, LEAVES)).toEqual([])
    expect(await faultsOf({ entries, blobs }, ['texts', 'rulings'])).toEqual([])
  })
})
