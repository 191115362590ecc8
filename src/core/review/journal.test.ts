import fc from 'fast-check'
import { readFileSync } from 'node:fs'
import path from 'node:path'
import { describe, expect, it } from 'vitest'
import { anyCommand, journalOf } from './commands.arbitrary'
import { migrate } from './journal'
import { entryAfter } from './journal.fixture'
import {
  commandOf,
  Command,
  fold,
  foldFrom,
  inMemory,
  openPackage,
  packReview,
  SCHEMA_VERSION,
  snapshotOf,
  verifyJournal,
  type Entry,
  type Folded,
} from '.'

const commands = fc.array(anyCommand, { minLength: 1, maxLength: 40 })
const set = (text: string): Command => ({ kind: 'question.set', payload: { text } })

/** What a fold says; its marks are only for going on from. */
const said = ({ marks: _marks, ...rest }: Folded) => rest

describe('the journal', () => {
  it('folds to the same review from any snapshot and after a package (law 7)', async () => {
    await fc.assert(
      fc.asyncProperty(commands, fc.nat(40), async (list, cut) => {
        const entries = journalOf([{ kind: 'review.create', payload: { id: 'r', title: 'R' } }, ...list])
        const whole = fold(entries)
        const part = entries.slice(0, Math.min(cut, entries.length))
        const snapshot = snapshotOf(part, fold(part))
        const again = snapshot && foldFrom(snapshot, entries)
        // A snapshot may decline (an undo reaches behind it) but never gives another answer.
        if (again) expect(said(again)).toEqual(said(whole))
        const opened = await openPackage(inMemory(packReview({ entries, blobs: new Map() }, 'x')))
        expect(opened.ok && said(fold(opened.value.entries))).toEqual(said(whole))
      }),
      { numRuns: 150 },
    )
  })

  it('notices an entry that is missing', () => {
    const entries = journalOf([set('a'), set('b'), set('c')])
    expect(verifyJournal([entries[0], entries[2]])[0]).toMatchObject({ code: 'entry-order', at: 'entry 1' })
  })

  it('undoes and does again in order, and forgets what could be done again after something new', () => {
    const undo = (seq: number): Command => ({ kind: 'undo', payload: { seq } })
    const base = [set('a'), set('b'), set('c')]
    expect(fold(journalOf([...base, undo(2)])).review.question).toBe('b')
    expect(fold(journalOf([...base, undo(2), undo(1)])).review.question).toBe('a')
    expect(fold(journalOf([...base, undo(2), { kind: 'redo', payload: { seq: 2 } }])).review.question).toBe(
      'c',
    )
    const after = fold(journalOf([...base, undo(2), set('d')]))
    expect([after.review.question, after.undone]).toEqual(['d', []])
  })

  it('keeps runs whatever is undone: they really happened (law 4)', () => {
    const run: Command = {
      kind: 'run.log',
      payload: {
        id: 'r',
        sourceId: 's',
        lineId: 'l',
        key: 'k',
        number: 1,
        text: 'a',
        sent: 'a',
        limits: [],
        hits: 3,
        at: '2026-11-16T09:00:00Z',
        by: 'M. Osei',
        release: '2026-09',
        how: 'stand-in',
      },
    }
    const folded = fold(journalOf([set('a'), run, { kind: 'undo', payload: { seq: 0 } }]))
    expect([folded.review.question, folded.review.runs.length]).toEqual(['', 1])
  })

  it('passes over an entry that it does not understand, and says which', () => {
    const strange = entryAfter(undefined, { kind: 'moon.phase', payload: {} } as never)
    const folded = fold([strange])
    expect(folded.problems[0]).toMatchObject({ code: 'entry-unreadable', at: 'entry 0' })
  })

  it('renumbers references when a line is put in above them or taken out', () => {
    const add = (id: string, text: string, at: number): Command => ({
      kind: 'line.add',
      payload: { sourceId: 's', line: { id, text, limits: [], note: '', drafted: false }, at },
    })
    const entries = journalOf([
      add('1', 'noise', 0),
      add('2', '#1', 1),
      add('3', 'sound', 0),
      { kind: 'line.remove', payload: { sourceId: 's', id: '3' } },
    ])
    expect(fold(entries.slice(0, 3)).review.strategies.s!.map((l) => l.text)).toEqual([
      'sound',
      'noise',
      '#2',
    ])
    expect(fold(entries).review.strategies.s!.map((l) => l.text)).toEqual(['noise', '#1'])
  })

  it('finds picked words again when the question is worded anew, and lets go of those that are gone', () => {
    const pick = (id: string, start: number, text: string): Command => ({
      kind: 'pick.add',
      payload: { id, conceptId: 'c', start, end: start + text.length, text },
    })
    const { review } = fold(
      journalOf([
        set('How does noise bear on reading?'),
        pick('p', 9, 'noise'),
        pick('q', 23, 'reading'),
        set('In class, how does noise bear on talk?'),
      ]),
    )
    expect(review.picks).toEqual([{ id: 'p', conceptId: 'c', start: 19, end: 24, text: 'noise' }])
  })

  it('gives a word to the concept it was woven into last', () => {
    const pick = (id: string, start: number, end: number): Command => ({
      kind: 'pick.add',
      payload: { id, conceptId: id, start, end, text: 'x' },
    })
    expect(
      fold(journalOf([set('one two three'), pick('a', 0, 7), pick('b', 4, 13)])).review.picks.map(
        (p) => p.id,
      ),
    ).toEqual(['b'])
  })
})

describe('entries of older versions', () => {
  it('has a stored fixture for every older version, and each is still understood', () => {
    for (let v = 1; v < SCHEMA_VERSION; v++) {
      const entry = JSON.parse(
        readFileSync(path.join(import.meta.dirname, 'fixtures', `entry-v${v}.json`), 'utf8'),
      ) as Entry
      expect(entry.v).toBe(v)
      expect(commandOf(entry).ok).toBe(true)
      const { kind, payload, seq } = entry
      expect(migrate({ v, kind, seq, payload }).v).toBe(SCHEMA_VERSION)
    }
  })

  it('lifts a criterion of version 1', () => {
    const entry = JSON.parse(
      readFileSync(path.join(import.meta.dirname, 'fixtures', 'entry-v1.json'), 'utf8'),
    ) as Entry
    expect(commandOf(entry)).toMatchObject({
      ok: true,
      value: { kind: 'criterion.set', payload: { text: 'Was sound measured?', sense: 'in' } },
    })
  })
})

describe('a package', () => {
  const entries = journalOf([set('a'), set('b')])
  const bytes = packReview({ entries, blobs: new Map() }, 'x')

  it('is the same bytes for the same review', () => {
    expect(packReview({ entries, blobs: new Map() }, 'x')).toEqual(bytes)
  })

  it('is refused with words where it is no zip, no package, or was changed', async () => {
    expect(await openPackage(inMemory(new TextEncoder().encode('hello')))).toMatchObject({
      ok: false,
      problems: [{ code: 'no-zip' }],
    })
    const changed = bytes.slice()
    changed[changed.length >> 1]! ^= 1
    expect((await openPackage(inMemory(changed))).ok).toBe(false)
  })
})
