import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { digestOf, held } from '../../base'
import type { Command } from '../commands'
import { journalOf } from '../journal.fixture'
import type { Review } from '../values'
import { fold, readSide, sideBytes, sideEntry, takenFrom, withheld, type Entry, type SideJournal } from '.'

const begin: Command = { kind: 'review.create', payload: { id: 'r', title: 'R' } }
const origin = { review: 'r', seq: 0, digest: journalOf([begin])[0]!.digest }
let salts = 0
const going = (person: string, commands: readonly Command[], from: readonly Entry[] = []): SideJournal => {
  let side: SideJournal = { origin, person, entries: [...from] }
  for (const command of commands) {
    const writing = { at: '2026-11-20T09:00:00Z', salt: (++salts).toString(16).padStart(32, '0') }
    side = { ...side, entries: [...side.entries, sideEntry(side, command, writing)] }
  }
  return side
}
const ruled = (person: string, recordId: string, verdict: 'in' | 'out'): Command => ({
  kind: 'ruling.set',
  payload: { recordId, pass: 'broad', reader: person, verdict },
})
const take = (side: SideJournal): Command => ({
  kind: 'side.take',
  payload: { person: side.person, head: side.entries.at(-1)!.digest, digest: digestOf(sideBytes(side)) },
})
/** The review after these were taken in, in this order. */
function after(sides: readonly SideJournal[], own: readonly Command[] = []): Review {
  const at = new Map(sides.map((s) => [digestOf(sideBytes(s)), takenFrom(s)]))
  const folded = fold(journalOf([begin, ...own, ...sides.map(take)]), { side: (digest) => at.get(digest) })
  expect(folded.problems).toEqual([])
  return folded.review
}

/** A person's side journal as it grew, and perhaps went on in two ways. */
const anySides = (person: string): fc.Arbitrary<SideJournal[]> => {
  const step = fc.oneof(
    fc
      .tuple(fc.constantFrom('i/1', 'i/2', 'i/3'), fc.constantFrom('in' as const, 'out' as const))
      .map(([id, verdict]) => ruled(person, id, verdict)),
    fc.constant<Command>({
      kind: 'ruling.remove',
      payload: { recordId: 'i/1', pass: 'broad', reader: person },
    }),
    fc
      .constantFrom('One', 'Two')
      .map((name): Command => ({ kind: 'person.named', payload: { id: person, name } })),
    fc
      .tuple(fc.constantFrom('k-1', 'k-2'), fc.constantFrom('too narrow', 'too wide'))
      .map(([id, text]): Command => ({
        kind: 'searchreview.comment',
        payload: { reader: person, id, sourceId: 's', lineId: 'l', of: 'noise', text },
      })),
    fc
      .constantFrom('k-1', 'k-2')
      .map((id): Command => ({ kind: 'searchreview.withdraw', payload: { reader: person, id } })),
    fc.constantFrom('none' as const, 'required' as const).map((verdict): Command => ({
      kind: 'searchreview.answer',
      payload: { reader: person, element: 'headings', verdict, words: '' },
    })),
    fc.nat(5).map((seq): Command => ({ kind: 'undo', payload: { seq } })),
  )
  const steps = fc.array(step, { minLength: 1, maxLength: 5 })
  return fc.tuple(steps, steps, steps).map(([first, more, other]) => {
    const begun = going(person, first)
    return [begun, going(person, more, begun.entries), going(person, other, begun.entries)]
  })
}

describe('a side journal', () => {
  it('comes to the same state whatever is taken in when, how often and in which order', () => {
    const all = fc
      .tuple(anySides('p-a'), anySides('p-b'), anySides('p-c'))
      .map((sides) => sides.flat())
      .chain((sides) =>
        fc.tuple(
          fc.subarray(sides, { minLength: 1 }),
          fc.array(fc.nat(8), { maxLength: 6 }),
          fc.infiniteStream(fc.nat(1000)),
        ),
      )
    fc.assert(
      fc.property(all, ([sides, again, drawn]) => {
        const own = [ruled('p-1', 'i/1', 'in')]
        const once = after(sides, own)
        const more = [...sides, ...again.map((n) => sides[n % sides.length]!)]
        const turned = more
          .map((side) => [drawn.next().value!, side] as const)
          .sort(([a], [b]) => a - b)
          .map(([, side]) => side)
        expect(after(turned, own)).toEqual(once)
      }),
      { numRuns: 300 },
    )
  })

  it('lets no ruling of one reader take the place of another’s', () => {
    const [a, b] = [going('p-a', [ruled('p-a', 'i/1', 'in')]), going('p-b', [ruled('p-b', 'i/1', 'out')])]
    expect(Object.keys(held(after([a, b], [ruled('p-1', 'i/1', 'in')]).rulings, 'i/1')!).sort()).toEqual([
      'broad/p-1',
      'broad/p-a',
      'broad/p-b',
    ])
  })

  it('takes the place of what it goes on from, and where two parted and differ, neither wins', () => {
    const first = going('p-a', [ruled('p-a', 'i/1', 'in'), ruled('p-a', 'i/2', 'out')])
    const later = going('p-a', [ruled('p-a', 'i/1', 'out')], first.entries)
    expect(held(after([later, first]).rulings, 'i/1')!['broad/p-a']!.verdict).toBe('out')
    const parted = going('p-a', [ruled('p-a', 'i/1', 'in')], first.entries)
    const both = after([later, parted]).rulings
    expect([held(both, 'i/1')!['broad/p-a']!.verdict, held(both, 'i/2')!['broad/p-a']!.verdict]).toEqual([
      'unsure',
      'out',
    ])
  })

  it('keeps both answers of one person’s files that parted, and a comment once however often it comes in', () => {
    const answered = (verdict: 'none' | 'required'): Command => ({
      kind: 'searchreview.answer',
      payload: { reader: 'p-a', element: 'headings', verdict, words: verdict },
    })
    const comment: Command = {
      kind: 'searchreview.comment',
      payload: { reader: 'p-a', id: 'k', sourceId: 's', lineId: 'l', of: 'noise', text: 'too narrow' },
    }
    const first = going('p-a', [comment])
    const [one, other] = [
      going('p-a', [answered('none')], first.entries),
      going('p-a', [answered('required')], first.entries),
    ]
    const said = after([one, other, first, one]).searchReviews!['p-a']!
    expect(said.answers.map((a) => a.verdict)).toEqual(['none', 'required'])
    expect(said.comments).toHaveLength(1)
    expect(after([other, one]).searchReviews).toEqual(after([one, other]).searchReviews)
  })

  it('is read back as it was written, and refused where anything in it is not its person’s, or was changed', () => {
    const side = going('p-a', [ruled('p-a', 'i/1', 'in')])
    const read = readSide(sideBytes(side))
    expect(read.ok && read.value).toEqual(side)
    const refused = (other: SideJournal): string | undefined =>
      readSide(sideBytes(other)).problems[0]?.message
    expect(refused(going('p-a', [ruled('p-b', 'i/1', 'in')]))).toContain('does not bear its person')
    expect(refused(going('p-a', [{ kind: 'question.set', payload: { text: 'mine' } }]))).toContain(
      'bear its person',
    )
    expect(refused({ ...side, person: 'p-b' })).toContain('bear its person')
    expect(refused({ ...side, entries: side.entries.map(withheld) })).toMatch(/\.$/)
    expect(refused({ ...side, origin: { ...origin, digest: 'e'.repeat(64) } })).toContain('does not follow')
    const [entry] = side.entries
    expect(refused({ ...side, entries: [{ ...entry!, payload: { changed: true } }] })).toContain('changed')
    expect(readSide(new TextEncoder().encode('{')).problems[0]!.message).toContain('no JSON')
  })

  it('that is not here is told, and nothing else is lost', () => {
    const side = going('p-a', [ruled('p-a', 'i/1', 'in')])
    const folded = fold(journalOf([begin, ruled('p-1', 'i/1', 'in'), take(side)]))
    expect(folded.problems).toMatchObject([{ code: 'entry-unfit', at: 'entry 2' }])
    expect(Object.keys(held(folded.review.rulings, 'i/1')!)).toEqual(['broad/p-1'])
  })
})
