import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { canonicalJson, Id, ReviewId } from '../base'
import { anyCommand } from './commands.arbitrary'
import { entryAfter, journalOf } from './journal.fixture'
import {
  emptyReview,
  fold,
  heldBy,
  lastDeed,
  standingRuns,
  strategyVersions,
  takeOver,
  type Command,
  type Entry,
  type Review,
  type Run,
} from '.'

const concept = (name: string, essential = true, note = ''): Command => ({
  kind: 'concept.set',
  payload: { id: 'c', letter: 'A', name, essential, note },
})

describe('the last deed', () => {
  const commands: Command[] = [
    { kind: 'question.set', payload: { text: 'How loud?' } },
    concept('Rooms'),
    { kind: 'run.log', payload: run('r1', 10) },
  ]
  it('is named, with where it stands and how many runs came after it', () => {
    const entries = journalOf(commands)
    expect(lastDeed(entries, fold(entries).done)).toEqual({
      seqs: [1],
      words: 'concept set',
      runsSince: 1,
      place: { stage: 'question', anchor: 'concept:c' },
    })
    expect(lastDeed(entries, [])).toBeUndefined()
  })
  it('is several entries where they were done together', () => {
    const entries: Entry[] = []
    for (const c of [
      concept('a'),
      concept('b'),
      { kind: 'review.rename', payload: { title: 'x' } } as Command,
    ])
      entries.push(entryAfter(entries.at(-1), c, '2026-11-25T09:00:00Z'))
    const deed = lastDeed(entries, fold(entries).done)!
    expect(deed.seqs).toEqual([2, 1, 0])
    expect(deed.words).toBe('title changed, concept set (2)')
  })
})

describe('a press in which something happened', () => {
  it('is not taken back, nor any part of it, and says why', () => {
    const entries: Entry[] = []
    const together = (...commands: Command[]): void => {
      const at = `2026-11-25T09:00:0${entries.length}Z`
      for (const c of commands) entries.push(entryAfter(entries.at(-1), c, at))
    }
    together(concept('a'))
    together(concept('b'), { kind: 'run.log', payload: run('r1', 10) }, concept('c'))
    const deed = lastDeed(entries, fold(entries).done)!
    expect(deed.stays).toBe('line run')
    expect(lastDeed(entries.slice(0, 1), [0])!.stays).toBeUndefined()
  })
})

describe('a corrected run', () => {
  it('is kept, and the correction stands in its place, also for the version that it belonged to', () => {
    const lines = (text: string): Command => ({
      kind: 'strategy.draft',
      payload: { sourceId: 's', lines: [{ id: 'l', text, limits: [], note: '', drafted: true }] },
    })
    const entries = journalOf([
      lines('noise'),
      { kind: 'run.log', payload: run('r1', 10) },
      lines('noise OR hum'),
      { kind: 'run.log', payload: { ...run('r2', 12), supersedes: 'r1', because: 'mistyped' } },
    ])
    const { review } = fold(entries)
    expect(review.runs.map((r) => r.id)).toEqual(['r1', 'r2'])
    expect(standingRuns(review.runs).map((r) => r.id)).toEqual(['r2'])
    const [first] = strategyVersions(entries, 's', review.strategies.s!)
    expect([first!.lines[0]!.text, first!.runs.get('l')!.hits]).toEqual(['noise', 12])
  })
})

function run(id: string, hits: number): Run {
  return {
    id,
    sourceId: 's',
    lineId: 'l',
    key: 'k',
    number: 1,
    text: 'noise',
    sent: 'noise',
    limits: [],
    hits,
    at: '2026-11-16T09:01:00Z',
    by: 'P',
    release: '',
    how: 'by hand',
  }
}

describe('names of things', () => {
  it('refuse what every object has of itself, and a review has a plain one', () => {
    for (const name of ['__proto__', 'constructor', 'prototype', 'toString', 'hasOwnProperty', '']) {
      if (name in Object.prototype || !name) expect(Id.safeParse(name).success, name).toBe(false)
    }
    for (const name of ['../../x?y#z', 'a b', 'ä', '__proto__', ''])
      expect(ReviewId.safeParse(name).success).toBe(false)
    expect(ReviewId.safeParse('3f2a-Demo_1').success).toBe(true)
  })

  it('of a crafted journal write nowhere but into the review', () => {
    const names = ['__proto__', 'constructor', 'prototype', 'toString', 'valueOf', 'x']
    fc.assert(
      fc.property(fc.constantFrom(...names), fc.constantFrom(...names), (a, b) => {
        const line = { id: b, text: 'x', limits: [], note: '', drafted: true }
        const entries = [
          { kind: 'strategy.set', payload: { sourceId: a, lines: [line], why: 'advice' } },
          { kind: 'ruling.set', payload: { workId: a, pass: 'broad', reader: b, verdict: 'in' } },
          { kind: 'account.edit', payload: { passage: a, content: [] } },
          { kind: 'line.add', payload: { sourceId: a, line, at: 0 } },
          { kind: 'ruling.remove', payload: { workId: a, pass: 'broad', reader: b } },
        ].map((c, seq): Entry => ({ seq, at: '2026-11-25T09:00:00Z', by: '', v: 5, digest: '', ...c }))
        const before = Object.keys(Object.prototype).length
        fold(entries)
        expect(Object.keys(Object.prototype).length).toBe(before)
        expect(({} as Record<string, unknown>).broad).toBeUndefined()
      }),
    )
  })
})

describe('a fold', () => {
  it('is total: any entry at all is applied or named, and the rest holds', () => {
    const anyEntry = fc.record({
      kind: fc.oneof(
        fc.constantFrom(
          'strategy.set',
          'line.add',
          'ruling.set',
          'records.import',
          'undo',
          'concept.set',
          'run.log',
        ),
        fc.string(),
      ),
      payload: fc.oneof(
        fc.anything(),
        fc.record({ id: fc.string(), sourceId: fc.string(), seq: fc.integer() }),
      ),
      v: fc.oneof(fc.constantFrom(1, 5, 0, 9), fc.integer()),
    })
    fc.assert(
      fc.property(fc.array(anyEntry, { maxLength: 8 }), (junk) => {
        const entries = [
          { kind: 'review.create', payload: { id: 'r', title: 'R' }, v: 5 },
          ...junk,
          { kind: 'question.set', payload: { text: 'still here' }, v: 5 },
        ].map((e, seq) => ({ ...e, seq, at: '2026-11-25T09:00:00Z', by: '', digest: '' }))
        const { review, problems } = fold(entries)
        expect(review.question).toBe('still here')
        for (const p of problems) expect(p.message).toMatch(/^Entry \d+ /)
      }),
      { numRuns: 2000 },
    )
  })
})

describe('an edit that was left unfinished', () => {
  const state = (...commands: Command[]): Review => fold(journalOf(commands)).review
  it('is taken where its field is as it was, dropped where it is there already, asked about where both changed it', () => {
    const before = state(concept('Rooms'))
    const held = heldBy(before, concept('x'))
    const typed = concept('Class rooms')
    expect(takeOver(before, typed, held)).toEqual({ take: typed })
    expect(takeOver(state(concept('Class rooms')), typed, held)).toEqual({ done: true })
    expect(takeOver(state(concept('Halls')), typed, held)).toMatchObject({ ask: { now: { name: 'Halls' } } })
    expect(takeOver(state(), typed, held)).toEqual({ ask: { now: undefined } })
    // Another part was changed: both changes are kept.
    expect(takeOver(state(concept('Rooms', false)), typed, held)).toEqual({
      take: concept('Class rooms', false),
    })
  })

  it('never changes a part that it did not type into, whatever was done meanwhile', () => {
    const value = fc.record({
      name: fc.constantFrom('a', 'b', 'c'),
      essential: fc.boolean(),
      note: fc.constantFrom('', 'n'),
    })
    const made = (v: { name: string; essential: boolean; note: string }): Command =>
      concept(v.name, v.essential, v.note)
    fc.assert(
      fc.property(value, value, fc.constantFrom('a', 'b', 'typed'), (held, now, name) => {
        const review = state(made(now))
        const result = takeOver(review, made({ ...held, name }), heldBy(state(made(held)), made(held)))
        if ('take' in result) {
          const after = result.take.payload as { essential: boolean; note: string }
          expect([after.essential, after.note]).toEqual([now.essential, now.note])
        }
        if ('ask' in result) expect(now.name !== held.name && now.name !== name).toBe(true)
      }),
    )
  })
})

describe('undo', () => {
  it('means the same to the fold and to the versions of strategies, whatever is done and undone', () => {
    fc.assert(
      fc.property(fc.array(anyCommand, { maxLength: 25 }), (commands) => {
        const entries = journalOf(commands)
        const { review } = fold(entries)
        const present = review.strategies.s ?? []
        const versions = strategyVersions(entries, 's', present)
        const last = versions.at(-1)
        expect(canonicalJson(last?.lines ?? [])).toBe(canonicalJson(present))
      }),
      { numRuns: 300 },
    )
  })
  it('leaves an empty review where everything was taken back', () => {
    const entries = journalOf([concept('a'), { kind: 'undo', payload: { seq: 0 } }])
    expect(fold(entries).review).toEqual(emptyReview(''))
  })
})
