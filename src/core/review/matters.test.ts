import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyCommand } from './commands.arbitrary'
import { Command } from './commands'
import { fold } from './journal'
import { journalOf } from './journal.fixture'
import { deedsOf, mattersOf, withNeeds } from './matters'
import { textTerm } from './term.fixture'
import type { Review } from './values'

const id = fc.constantFrom('a', 'b', 'c')
const words = fc.constantFrom('noise', 'rooms', 'reading')
const planned: fc.Arbitrary<Command> = fc.oneof(
  anyCommand.filter((c) => c.kind !== 'undo' && c.kind !== 'redo' && c.kind !== 'ruling.set'),
  fc.record({ id, reason: words }).map(({ id: of, reason }): Command => ({
    kind: 'limit.set',
    payload: { id: of, limit: { kind: 'peer reviewed' }, reason },
  })),
  id.map((of): Command => ({ kind: 'limit.remove', payload: { id: of } })),
  fc
    .record({ id, text: words, pass: fc.constantFrom('broad', 'close'), sense: fc.constantFrom('in', 'out') })
    .map((payload): Command => ({ kind: 'criterion.set', payload: payload as never })),
  id.map((of): Command => ({ kind: 'criterion.remove', payload: { id: of } })),
  fc
    .record({ id: fc.constantFrom('s', 't'), name: words, why: words })
    .map((s): Command => ({ kind: 'source.set', payload: { kind: 'database', ...s } })),
  fc
    .record({ id, conceptId: id, expression: words, sourceId: fc.constantFrom('all', 's', 't') })
    .map(({ id: of, ...more }): Command => ({ kind: 'term.set', payload: textTerm(of, more) })),
  id.map((of): Command => ({ kind: 'term.remove', payload: { id: of } })),
)
const some = fc.array(planned, { maxLength: 12 })
const BEGUN: Command = { kind: 'review.create', payload: { id: 'r', title: 'Sound' } }
const reviewOf = (...parts: readonly (readonly Command[])[]): Review =>
  fold(journalOf([BEGUN, ...parts.flat()])).review
/** What is compared but for letters, which are given anew where they are taken. */
const unlettered = (review: Review): Review => ({
  ...review,
  concepts: review.concepts.map((c) => ({ ...c, letter: 'A' as const })),
})
const all = (matters: ReturnType<typeof mattersOf>): Set<string> => new Set(matters.map((m) => m.key))
const term = (id: string, conceptId: string, sourceId = 'all'): Command => ({
  kind: 'term.set',
  payload: textTerm(id, { conceptId, sourceId }),
})
const concept = (of: string, letter: 'A' | 'B' | 'C' | 'D', name: string): Command => ({
  kind: 'concept.set',
  payload: { id: of, letter, name, essential: true, note: '' },
})

describe('what another copy changed in its plan', () => {
  it('is nothing where nothing was done there, whatever was done here', () => {
    fc.assert(
      fc.property(some, some, (before, mine) => {
        const origin = reviewOf(before)
        expect(mattersOf(origin, reviewOf(before, mine), origin)).toEqual([])
      }),
      { endOnFailure: true },
    )
  })

  it('stands here as it stands there once all of it is taken over', () => {
    fc.assert(
      fc.property(some, some, some, (before, mine, theirs) => {
        const [origin, here, there] = [reviewOf(before), reviewOf(before, mine), reviewOf(before, theirs)]
        const matters = mattersOf(origin, here, there)
        const deeds = deedsOf(matters, all(matters))
        for (const deed of deeds) expect(Command.safeParse(deed).success, JSON.stringify(deed)).toBe(true)
        const after = reviewOf(before, mine, deeds)
        expect(mattersOf(unlettered(origin), unlettered(after), unlettered(there))).toEqual([])
        // Two concepts never get one letter by it.
        const letters = (r: Review): number =>
          r.concepts.length - new Set(r.concepts.map((c) => c.letter)).size
        expect(letters(after)).toBeLessThanOrEqual(letters(here) + letters(there))
      }),
      { endOnFailure: true },
    )
  })

  it('leaves no term hanging in the air, whatever was removed here', () => {
    const begun = [
      ...(['a', 'b', 'c'] as const).map((of, n) => concept(of, (['A', 'B', 'C'] as const)[n]!, of)),
      ...['s', 't'].map((of): Command => ({
        kind: 'source.set',
        payload: { id: of, kind: 'database', name: of, why: '' },
      })),
    ]
    const removed = fc.oneof(
      id.map((of): Command => ({ kind: 'concept.remove', payload: { id: of } })),
      fc.constantFrom('s', 't').map((of): Command => ({ kind: 'source.remove', payload: { id: of } })),
    )
    const terms = fc.array(
      fc
        .tuple(fc.constantFrom('x', 'y', 'z'), id, fc.constantFrom('all', 's', 't'))
        .map(([of, on, source]) => term(of, on, source)),
      { minLength: 1, maxLength: 4 },
    )
    fc.assert(
      fc.property(
        fc.array(removed, { maxLength: 4 }),
        terms,
        fc.array(fc.boolean()),
        (mine, theirs, picked) => {
          const [origin, here, there] = [reviewOf(begun), reviewOf(begun, mine), reviewOf(begun, theirs)]
          const matters = mattersOf(origin, here, there)
          const chosen = new Set(matters.filter((_, n) => picked[n] ?? true).map((m) => m.key))
          const after = reviewOf(begun, mine, deedsOf(matters, chosen))
          for (const t of after.terms) {
            expect(after.concepts.map((c) => c.id)).toContain(t.conceptId)
            expect(['all', ...after.sources.map((s) => s.id)]).toContain(t.sourceId)
          }
          expect(after.terms).toHaveLength(chosen.size)
          expect(new Set(after.concepts.map((c) => c.letter)).size).toBe(after.concepts.length)
        },
      ),
      { endOnFailure: true },
    )
  })

  it('tells what was changed on both sides, and what it is here', () => {
    const question = (text: string): Command => ({ kind: 'question.set', payload: { text } })
    const [origin, here, there] = ['How?', 'Why?', 'When?'].map((text) => reviewOf([question(text)]))
    expect(mattersOf(origin!, here!, there!)).toMatchObject([
      { about: 'Question', here: 'Why?', there: 'When?', both: true },
    ])
    expect(mattersOf(origin!, origin!, there!)).toMatchObject([{ here: 'How?', there: 'When?', both: false }])
  })

  it('brings back with a term the concept that is gone here, and says so', () => {
    const before = [concept('a', 'A', 'Rooms'), concept('b', 'B', 'Noise')]
    const origin = reviewOf(before)
    const here = reviewOf(before, [{ kind: 'concept.remove', payload: { id: 'b' } }])
    const [matter, ...others] = mattersOf(origin, here, reviewOf(before, [term('new', 'b')]))
    expect(others).toEqual([])
    expect(matter).toMatchObject({ key: 'Terms new', back: ['Noise'], needs: [] })
    expect(matter!.commands.map((d) => d.kind)).toEqual(['concept.set', 'term.set'])
  })

  it('gives no letter twice, to what comes new and to what comes back', () => {
    const before = [concept('a', 'A', 'Rooms'), concept('b', 'B', 'Noise'), concept('c', 'C', 'Reading')]
    const mine: Command[] = [
      ...['b', 'c'].map((id): Command => ({ kind: 'concept.remove', payload: { id } })),
      concept('mine', 'B', 'Walls'),
      concept('mine too', 'C', 'Voices'),
    ]
    const there = reviewOf(before, [concept('d', 'D', 'Age'), term('x', 'b'), term('y', 'c')])
    const matters = mattersOf(reviewOf(before), reviewOf(before, mine), there)
    const after = reviewOf(before, mine, deedsOf(matters, all(matters)))
    expect(after.concepts.map((c) => `${c.letter} ${c.name}`)).toEqual([
      'A Rooms',
      'B Walls',
      'C Voices',
      'D Age',
      'E Noise',
      'F Reading',
    ])
  })

  it('takes with a term the concept and the source that are new there', () => {
    const origin = reviewOf([concept('a', 'A', 'Rooms')])
    const here = reviewOf([concept('a', 'A', 'Rooms'), concept('mine', 'B', 'Reading')])
    const there = reviewOf([
      concept('a', 'A', 'Rooms'),
      concept('b', 'B', 'Noise'),
      { kind: 'source.set', payload: { id: 's', kind: 'database', name: 'Harbour', why: '' } },
      term('known', 'a'),
      term('new', 'b', 's'),
    ])
    const matters = mattersOf(origin, here, there)
    expect(withNeeds(matters, new Set(['Terms known']))).toEqual(new Set(['Terms known']))
    const chosen = withNeeds(matters, new Set(['Terms new']))
    expect(chosen).toEqual(new Set(['Terms new', 'Concepts b', 'Sources s']))
    const deeds = deedsOf(matters, chosen)
    expect(deeds.map((d) => d.kind)).toEqual(['concept.set', 'source.set', 'term.set'])
    // Its letter is taken here by another concept.
    expect(deeds[0]).toMatchObject({ payload: { id: 'b', letter: 'C' } })
  })
})
