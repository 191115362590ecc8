import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { digestOf, heldEntries } from '../../base'
import type { Command } from '../commands'
import { fold, nextEntry, ownSide, readSide, sideBytes, sidesIn, type Entry, type SideJournal } from '.'

let salts = 0
/** The journal with one more entry of this person. */
const after = (entries: readonly Entry[], by: string, command: Command): Entry[] => [
  ...entries,
  nextEntry(entries.at(-1), command, {
    at: new Date(Date.UTC(2026, 10, 20, 9, 0, entries.length)).toISOString(),
    by,
    salt: (++salts).toString(16).padStart(32, '0'),
  }),
]
const begun = after([], 'p-1', { kind: 'review.create', payload: { id: 'r', title: 'R' } })
const ruled = (reader: string, recordId: string, verdict: 'in' | 'out'): Command => ({
  kind: 'ruling.set',
  payload: { recordId, pass: 'broad', reader, verdict },
})
/** What a second reader does in their own copy of the review, some of it no ruling, some of it taken back. */
const anyDeeds = fc.array(
  fc.oneof(
    fc
      .tuple(fc.constantFrom('i/1', 'i/2', 'i/3'), fc.constantFrom('in' as const, 'out' as const))
      .map(([id, verdict]) => ruled('p-2', id, verdict)),
    fc.constant<Command>({
      kind: 'ruling.many',
      payload: {
        records: ['i/4', 'i/5'],
        pass: 'broad',
        reader: 'p-2',
        verdict: 'out',
        because: 'x',
        which: 'y',
      },
    }),
    fc.string({ maxLength: 4 }).map((text): Command => ({ kind: 'question.set', payload: { text } })),
    fc.constant('undo' as const),
  ),
  { minLength: 1, maxLength: 12 },
)
function worked(steps: readonly (Command | 'undo')[], from: readonly Entry[] = begun): Entry[] {
  let entries = [...from]
  for (const step of steps) {
    const seq = step === 'undo' ? fold(entries).done.at(-1) : undefined
    if (step === 'undo' && seq === undefined) continue
    entries = after(entries, 'p-2', step === 'undo' ? { kind: 'undo', payload: { seq: seq! } } : step)
  }
  return entries
}
/** The first reader's copy after it took these in. */
async function taking(sides: readonly SideJournal[]) {
  const bytes = new Map(sides.map((s) => [digestOf(sideBytes(s)), sideBytes(s)]))
  let own = after(begun, 'p-1', ruled('p-1', 'i/1', 'in'))
  for (const side of sides)
    own = after(own, 'p-1', {
      kind: 'side.take',
      payload: { person: side.person, head: side.entries.at(-1)!.digest, digest: digestOf(sideBytes(side)) },
    })
  const known = await sidesIn(own, (digest) => Promise.resolve(bytes.get(digest)))
  return fold(own, { side: (digest) => known.get(digest) })
}

describe('what a reader hands over', () => {
  it('comes to what they said, with what they took back left out, and nobody else’s rulings are touched', async () => {
    await fc.assert(
      fc.asyncProperty(anyDeeds, async (steps) => {
        const theirs = worked(steps)
        const side = ownSide(theirs, 'p-2')
        const said = fold(theirs).review.rulings
        if (!side) {
          expect(theirs.some((e) => e.by === 'p-2' && e.kind.startsWith('ruling.'))).toBe(false)
          return
        }
        expect(readSide(sideBytes(side))).toMatchObject({ ok: true })
        const { review, problems } = await taking([side])
        expect(problems).toEqual([])
        const own = (of: typeof said, person: string) =>
          Object.fromEntries(
            heldEntries(of).flatMap(([id, by]) => {
              // That it came in a file is said of it there, and only there.
              const { side: _side, ...ruling } = by[`broad/${person}`] ?? {}
              return 'verdict' in ruling ? [[id, ruling]] : []
            }),
          )
        expect(own(review.rulings, 'p-2')).toEqual(own(said, 'p-2'))
        expect(own(review.rulings, 'p-1')).toMatchObject({ 'i/1': { verdict: 'in' } })
      }),
      { numRuns: 200 },
    )
  })

  it('goes on from what was handed over before, in any order and any number of times', async () => {
    await fc.assert(
      fc.asyncProperty(anyDeeds, anyDeeds, async (first, more) => {
        const early = worked([ruled('p-2', 'i/1', 'out'), ...first])
        const [before, later] = [ownSide(early, 'p-2')!, ownSide(worked(more, early), 'p-2')!]
        expect(later.entries.slice(0, before.entries.length)).toEqual(before.entries)
        const once = await taking([later])
        for (const order of [
          [before, later],
          [later, before],
          [before, later, later, before],
        ])
          expect((await taking(order)).review.rulings).toEqual(once.review.rulings)
      }),
      { numRuns: 100 },
    )
  })

  it('is nothing where a person ruled nothing, and is refused with words where it was changed', () => {
    expect(ownSide(begun, 'p-1')).toBeUndefined()
    const side = ownSide(worked([ruled('p-2', 'i/1', 'in')]), 'p-2')!
    const forged = new TextDecoder().decode(sideBytes(side)).replace('"in"', '"out"')
    const read = readSide(new TextEncoder().encode(forged))
    expect(read.ok ? '' : read.problems[0]!.message).toMatch(/was changed after it was written/)
  })
})
