import fc from 'fast-check'
import { unzipSync } from 'fflate'
import { describe, expect, it } from 'vitest'
import { digestOf } from '../core/base'
import { journal, reviews } from '../core/account/random-review.fixture'
import { packWithout } from '../core/handed'
import { blobsOf, nextEntry, type Command, type Packed } from '../core/review'
import { handedFrom } from '../cli/account'
import { builtDemo } from '../standins/built-demo.fixture'
import { READER } from '../standins/diary'
import { verifyFile } from '.'

const LEAVES = ['texts', 'names', 'rulings'] as const

const GIVEN = { at: '2026-12-01T09:00:00.000Z', by: 'p-1', salt: () => 'a'.repeat(32) }

/** The files of a review that is handed on without rulings, as text; digests, which follow from the head, left out. */
async function filesOf(packed: Packed): Promise<Record<string, string>> {
  const made = await packWithout(packed, { rulings: true }, handedFrom, GIVEN)
  if (!made.ok) throw new Error(made.problems[0]!.message)
  return Object.fromEntries(
    Object.entries(unzipSync(made.value)).map(([name, bytes]) => [
      masked(name),
      /\.(?:docx|png)$/.test(name) ? digestOf(bytes) : masked(new TextDecoder('latin1').decode(bytes)),
    ]),
  )
}
const masked = (text: string): string =>
  text.replace(/[0-9a-f]{12,64}/g, '#').replace(/\b(?:[a-z]{5} ){7}[a-z]{5}\b/g, '#')

/** What verification finds wrong with a review that was handed on without some of it. */
async function faultsOf(packed: Packed, left: readonly (typeof LEAVES)[number][]): Promise<string[]> {
  const made = await packWithout(packed, Object.fromEntries(left.map((l) => [l, true])), handedFrom, GIVEN)
  if (!made.ok) throw new Error(made.problems[0]!.message)
  const { checks } = await verifyFile(made.value, { from: handedFrom })
  return checks.flatMap((c) => c.faults)
}

describe('a review that is handed on', () => {
  it('verifies, whatever was done in it and whatever is left out', { timeout: 240_000 }, async () => {
    await fc.assert(
      fc.asyncProperty(reviews, fc.subarray([...LEAVES]), async (drawn, left) => {
        const entries = journal(drawn)
        // Of what lies beside its journal nothing is here: that is said inside, and is no fault.
        const leftOut = [...new Set(entries.flatMap(blobsOf))].sort()
        expect((await faultsOf({ entries, blobs: new Map(), leftOut }, left)).join('\n')).toBe('')
      }),
      { numRuns: 12, endOnFailure: true },
    )
  })

  it(
    'tells nothing of rulings in any of its files, by which two reviews could be told apart',
    { timeout: 240_000 },
    async () => {
      const { entries, blobs } = builtDemo()
      let other = [...entries]
      const put = (command: Command): void => {
        other = [...other, nextEntry(other.at(-1), command, { ...GIVEN, salt: GIVEN.salt() })]
      }
      const records = entries.flatMap((e) =>
        e.kind === 'ruling.set' ? [e.payload as { recordId: string }] : [],
      )
      for (const { recordId } of records.slice(0, 40)) {
        put({ kind: 'ruling.set', payload: { recordId, pass: 'broad', reader: READER, verdict: 'out' } })
        put({ kind: 'retrieval.set', payload: { recordId, state: 'loan asked' } })
      }
      put({ kind: 'order.choose', payload: { pass: 'broad', order: 'chance', at: GIVEN.at } })
      const [bare, ruled] = [await filesOf({ entries, blobs }), await filesOf({ entries: other, blobs })]
      expect(Object.keys(ruled).sort()).toEqual(Object.keys(bare).sort())
      for (const [name, text] of Object.entries(bare)) expect(ruled[name], name).toBe(text)
      expect(Object.keys(bare).length).toBeGreaterThan(20)
    },
  )

  it('verifies without anything that can be left out, as the demo does', { timeout: 120_000 }, async () => {
    const { entries, blobs } = builtDemo()
    expect(await faultsOf({ entries, blobs }, LEAVES)).toEqual([])
    expect(await faultsOf({ entries, blobs }, ['texts', 'rulings'])).toEqual([])
  })
})
