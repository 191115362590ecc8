import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { digestOf, held } from '../../base'
import type { Command } from '../commands'
import { journalOf } from '../journal.fixture'
import type { Review } from '../values'
import { rulingsByWork, type Work } from '../works'
import { whatComes } from '../side-taken'
import {
  fold,
  nextEntry,
  readSide,
  sideBytes,
  sideEntry,
  takenFrom,
  withheld,
  type Entry,
  type SideJournal,
} from '.'

const begin: Command = { kind: 'review.create', payload: { id: 'r', title: 'R' } }
const origin = { review: 'r', seq: 0, digest: journalOf([begin])[0]!.digest }
let salts = 0
const WORK: Work = { id: 'i/1', records: ['i/1'], former: [], sources: ['s'] }
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

  describe('of a person who works in two browsers', () => {
    const at = (hour: number): string => `2026-11-20T${hour < 10 ? '0' : ''}${hour}:00:00.000Z`
    /** A side journal of commands that were done at these hours. */
    const timed = (person: string, ...done: [hour: number, command: Command][]): SideJournal =>
      done.reduce<SideJournal>(
        (side, [hour, command]) => ({
          ...side,
          entries: [
            ...side.entries,
            sideEntry(side, command, { at: at(hour), salt: (++salts).toString(16).padStart(32, '0') }),
          ],
        }),
        { origin, person, entries: [] },
      )
    /** The review in which these were done at these hours, and then the sides taken in. */
    const here = (
      own: [hour: number, by: string, command: Command][],
      sides: readonly SideJournal[],
    ): Review => {
      const known = new Map(sides.map((s) => [digestOf(sideBytes(s)), takenFrom(s)]))
      const entries: Entry[] = []
      const put = (hour: number, by: string, command: Command): void => {
        const salt = (++salts).toString(16).padStart(32, '0')
        entries.push(nextEntry(entries.at(-1), command, { at: at(hour), by, salt }))
      }
      put(8, 'p-1', begin)
      for (const [hour, by, command] of own) put(hour, by, command)
      for (const side of sides) put(23, 'p-1', take(side))
      const folded = fold(entries, { side: (digest) => known.get(digest) })
      expect(folded.problems).toEqual([])
      return folded.review
    }
    const verdictOf = (review: Review, id: string, person: string) =>
      held(review.rulings, id)?.[`broad/${person}`]?.verdict

    it('the later word stands, and what was said in the one alone stays', () => {
      const own: [number, string, Command][] = [
        [9, 'p-1', ruled('p-1', 'i/1', 'in')],
        [11, 'p-1', ruled('p-1', 'i/2', 'in')],
      ]
      const side = timed(
        'p-1',
        [10, ruled('p-1', 'i/1', 'out')],
        [10, ruled('p-1', 'i/2', 'out')],
        [10, ruled('p-1', 'i/3', 'out')],
      )
      const review = here(own, [side])
      expect(['i/1', 'i/2', 'i/3'].map((id) => verdictOf(review, id, 'p-1'))).toEqual(['out', 'in', 'out'])
      // What was said first was said here.
      expect(held(review.rulings, 'i/1')!['broad/p-1']!.first).toMatchObject({ verdict: 'in', at: at(9) })
      expect(whatComes(here(own, []), takenFrom(side))).toMatchObject({ fresh: 1, changed: 1, known: 1 })
      expect(whatComes(review, takenFrom(side))).toMatchObject({ fresh: 0, changed: 0, known: 3 })
    })

    it('the later note on a full text stands, and the later settlement, whoever made it', () => {
      const text = (state: 'have' | 'not to be had'): Command => ({
        kind: 'retrieval.set',
        payload: { recordId: 'i/1', state },
      })
      const settle = (by: string, verdict: 'in' | 'out'): Command => ({
        kind: 'ruling.settle',
        payload: { recordId: 'i/1', pass: 'broad', verdict, by, how: 'by talking' },
      })
      const own: [number, string, Command][] = [
        [9, 'p-1', text('not to be had')],
        [12, 'p-1', settle('p-1', 'in')],
      ]
      const later = timed('p-2', [10, text('have')], [10, settle('p-2', 'out')])
      const review = here(own, [later])
      expect(review.retrievals!['i/1']).toMatchObject({
        state: 'have',
        who: 'p-2',
        under: { state: 'not to be had' },
      })
      expect(review.settlements!['i/1']!.broad).toMatchObject({ verdict: 'in', by: 'p-1' })
      expect(whatComes(here(own, []), takenFrom(later))).toMatchObject({ texts: 1, settled: 0 })
      expect(whatComes(review, takenFrom(later))).toMatchObject({ texts: 0, settled: 0 })
      // A note in the name of somebody else, or a settlement, is not taken from a file.
      expect(readSide(sideBytes(timed('p-2', [10, settle('p-1', 'out')]))).ok).toBe(false)
    })

    it('two ids are one person as soon as somebody says so: one word of each, and no agreement with oneself', () => {
      const own: [number, string, Command][] = [
        [9, 'p-1', ruled('p-1', 'i/1', 'in')],
        [10, 'p-2', ruled('p-2', 'i/1', 'out')],
      ]
      const same: Command = { kind: 'person.same', payload: { a: 'p-2', b: 'p-1', why: 'both are me' } }
      const works = { works: [WORK], known: new Map(), toSettle: [], oldNames: new Map() }
      const byWork = (review: Review) => held(rulingsByWork(works, review).byWork, 'i/1')!
      expect(Object.keys(byWork(here(own, []))).sort()).toEqual(['broad/p-1', 'broad/p-2'])
      const one = byWork(here([...own, [11, 'p-1', same]], []))
      expect(Object.keys(one)).toEqual(['broad/p-1'])
      expect(one['broad/p-1']).toMatchObject({ verdict: 'out', first: { verdict: 'in' } })
    })
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
