import fc from 'fast-check'
import { readFileSync } from 'node:fs'
import path from 'node:path'
import { describe, expect, it } from 'vitest'
import { canonicalJson, heldValues } from '../../base'
import { plainReview, type PlainReview } from '../plain-review'
import { anyCommand } from '../commands.arbitrary'
import { currentRuns } from '../current-runs'
import { entryAfter, firstFormJournal, goneOverFrom, journalOf, type OldCommand } from '../journal.fixture'
import { inMemory, openPackage } from '../package'
import { nameOfPerson } from '../people'
import {
  blobsOf,
  commandOf,
  fold,
  foldFrom,
  isToGoOver,
  snapshotOf,
  snapshotToKeep,
  undoable,
  verifyJournal,
  withheld,
  withoutNames,
  type Entry,
  type Folded,
  type Snapshot,
} from '.'

const set = (text: string) => ({ kind: 'question.set' as const, payload: { text } })
const undo = (seq: number) => ({ kind: 'undo' as const, payload: { seq } })
const commands = fc.array(anyCommand, { minLength: 1, maxLength: 40 })

/** Things done in the first form, sensible and not. */
const oldCommand: fc.Arbitrary<OldCommand> = fc.oneof(
  fc.string({ maxLength: 8 }).map((text) => ({ kind: 'question.set', payload: { text } })),
  fc
    .record({
      workId: fc.constantFrom('doi:10.5555/a', 's:1', 's:2'),
      pass: fc.constant('broad'),
      reader: fc.constantFrom('M. Osei', 'A. Quill'),
      verdict: fc.constantFrom('in', 'out'),
    })
    .map((payload) => ({ kind: 'ruling.set', payload })),
  fc.record({ id: fc.constantFrom('x', 'y'), count: fc.nat(9) }).map(({ id, count }) => ({
    kind: 'records.import',
    payload: { id, sourceId: 's', digest: 'd'.repeat(64), count, at: '2026-11-16T09:00:00Z' },
  })),
  fc.constantFrom('x', 'y').map((id) => ({ kind: 'import.remove', payload: { id } })),
  fc.nat(20).map((seq) => undo(seq)),
  fc.nat(20).map((seq) => ({ kind: 'redo', payload: { seq } })),
)
const oldCommands = fc.array(oldCommand, { minLength: 1, maxLength: 20 })
/** A journal of one form, of the other, or of both with the going over between them. */
const anyJournal: fc.Arbitrary<Entry[]> = fc.oneof(
  commands.map((list) => journalOf(list)),
  oldCommands.map((list) => firstFormJournal(list)),
  fc
    .tuple(oldCommands, commands)
    .map(([old, list]) => journalOf(list, goneOverFrom(firstFormJournal(old)).entries)),
)
const said = ({ marks: _marks, ...rest }: Folded) => rest

describe('a journal of either form', () => {
  it('is whole as it was written, and 500 changes of one byte are each named with their entry', () => {
    let changes = 0
    fc.assert(
      fc.property(anyJournal, fc.nat(), fc.nat(), (entries, which, where) => {
        expect(verifyJournal(entries)).toEqual([])
        const i = which % entries.length
        const json = canonicalJson(entries[i])
        const at = where % json.length
        const other = json.charAt(at) === 'x' ? 'y' : 'x'
        let changed: unknown
        try {
          changed = JSON.parse(json.slice(0, at) + other + json.slice(at + 1))
        } catch {
          return
        }
        changes++
        expect(verifyJournal(entries.map((e, k) => (k === i ? changed : e)))[0]?.at).toBe(`entry ${i}`)
      }),
      { numRuns: 1000 },
    )
    expect(changes).toBeGreaterThan(500)
  })

  it('names the entry of which one value is another, or is missing, or is more than there was', () => {
    const value = fc.oneof(fc.string(), fc.integer(), fc.constant(null), fc.constant(undefined), fc.boolean())
    fc.assert(
      fc.property(anyJournal, fc.nat(), fc.nat(), value, (entries, which, member, put) => {
        const i = which % entries.length
        const names = [...Object.keys(entries[i]!), 'more']
        const name = names[member % names.length]!
        const changed = { ...entries[i]!, [name]: put }
        fc.pre(canonicalJson(changed) !== canonicalJson(entries[i]))
        expect(verifyJournal(entries.map((e, k) => (k === i ? changed : e)))[0]?.at).toBe(`entry ${i}`)
      }),
      { numRuns: 500 },
    )
  })

  it('folds the same at once and from any beginning that was folded before, marks and all', () => {
    fc.assert(
      fc.property(anyJournal, fc.nat(), (entries, cut) => {
        const whole = said(fold(entries))
        const part = entries.slice(0, cut % (entries.length + 1))
        const from = snapshotOf(part, fold(part))
        const again = from && foldFrom(from, entries)
        if (again) expect(said(again)).toEqual(whole)
      }),
      { numRuns: 300 },
    )
  })

  it('holds with any payloads withheld: what they said is missing, and nothing else', () => {
    fc.assert(
      fc.property(commands, fc.infiniteStream(fc.boolean()), (list, drawn) => {
        const entries = journalOf(list)
        const keep = entries.map((e) => e.kind === 'undo' || e.kind === 'redo' || drawn.next().value)
        const redacted = entries.map((e, i) => (keep[i] ? e : withheld(e)))
        expect(verifyJournal(redacted)).toEqual([])
        expect(canonicalJson(redacted.filter((_, i) => !keep[i]))).not.toMatch(/"(?:salt|payload)"/)
        const folded = fold(redacted)
        expect(folded.problems.every((p) => p.severity === 'note')).toBe(true)
        // The same deeds are in force as with everything there.
        expect([folded.done, folded.undone]).toEqual([fold(entries).done, fold(entries).undone])
      }),
      { numRuns: 300 },
    )
  })

  it('cannot go back to the first form, and does not go over in silence', () => {
    const second = journalOf([set('a')])
    const [first] = firstFormJournal([set('x'), set('y')])
    expect(verifyJournal([...second, { ...first!, seq: 1 }])[0]).toMatchObject({ code: 'entry-form' })
    const silent = journalOf([set('b')], firstFormJournal([set('a')]))
    expect(verifyJournal(silent)[0]).toMatchObject({ code: 'entry-form', at: 'entry 1' })
    expect(isToGoOver(firstFormJournal([set('a')]))).toBe(true)
    expect(isToGoOver(second)).toBe(false)
  })
})

describe('a long journal', () => {
  const long = (n: number): Entry[] => journalOf(Array.from({ length: n }, (_, i) => set(`text ${i}`)))

  it('is undone from a mark near its end, and the same as from the beginning', () => {
    let entries = long(620)
    let folded = fold(entries)
    expect(folded.marks.length).toBeGreaterThan(2)
    for (let i = 0; i < 150; i++) {
      entries = [...entries, entryAfter(entries.at(-1), undo(folded.done.at(-1)!))]
      const on = foldFrom(snapshotOf(entries.slice(0, -1), folded)!, entries)
      expect(on).toBeDefined()
      folded = on!
    }
    expect(said(folded)).toEqual(said(fold(entries)))
    expect(folded.review.question).toBe('text 469')
  })

  it('keeps a snapshot some deeds before its end, from which those can be undone after it is opened', () => {
    const entries = long(450)
    const kept = JSON.parse(JSON.stringify(snapshotToKeep(entries, fold(entries)))) as never
    let folded = foldFrom(kept, entries)!
    expect(said(folded)).toEqual(said(fold(entries)))
    let more = entries
    for (let i = 0; i < 50; i++) {
      more = [...more, entryAfter(more.at(-1), undo(folded.done.at(-1)!))]
      folded = foldFrom(snapshotOf(more.slice(0, -1), folded)!, more)!
    }
    expect(folded.review.question).toBe('text 399')
    expect(snapshotToKeep(long(90), fold(long(90)))).toBeUndefined()
    // One that was kept when states had another form is left aside.
    expect(foldFrom({ ...(kept as Snapshot), schema: 6 }, entries)).toBeUndefined()
  })

  it('keeps nothing from which a deed far back, undone and done again, would be missing', () => {
    const kept = (entries: Entry[]) => snapshotToKeep(entries, fold(entries))
    let entries = long(330)
    const then = (command: { kind: string; payload: { seq: number } }) => {
      entries = [...entries, entryAfter(entries.at(-1), command as never)]
    }
    // From before the last of them to behind it: what was kept at the turn has to serve all the same.
    for (let seq = 329; seq >= 250; seq--) then(undo(seq))
    const atTheTurn = kept(entries)!
    for (let seq = 250; seq < 330; seq++) then({ kind: 'redo', payload: { seq } })
    const whole = fold(entries)
    expect(whole.review.question).toBe('text 329')
    expect(said(foldFrom(atTheTurn, entries)!)).toEqual(said(whole))
  })

  it('folds the same from what it keeps, whatever is done, undone and done again', () => {
    const steps = fc.array(fc.constantFrom('do', 'undo', 'undo', 'redo'), { minLength: 120, maxLength: 260 })
    fc.assert(
      fc.property(steps, fc.nat(), (drawn, cut) => {
        let entries: Entry[] = long(30)
        let folded = fold(entries)
        for (const step of drawn) {
          const seq =
            step === 'undo' ? folded.done.at(-1) : step === 'redo' ? folded.undone.at(-1) : undefined
          const command =
            step !== 'do' && seq !== undefined ? { kind: step, payload: { seq } } : set(`n ${entries.length}`)
          entries = [...entries, entryAfter(entries.at(-1), command as never)]
          folded = foldFrom(snapshotOf(entries.slice(0, -1), folded)!, entries) ?? fold(entries)
        }
        expect(said(folded)).toEqual(said(fold(entries)))
        const part = entries.slice(0, entries.length - (cut % 60))
        const kept = snapshotToKeep(part, fold(part))
        const again = kept && foldFrom(kept, entries)
        if (again) expect(said(again)).toEqual(said(folded))
      }),
      { numRuns: 40 },
    )
  })
})

describe('a journal of the first form that goes over', async () => {
  const file = path.join(import.meta.dirname, '..', 'fixtures', 'first-form', 'demo.luvren.zip')
  const opened = await openPackage(inMemory(new Uint8Array(readFileSync(file))))
  if (!opened.ok) throw new Error('the demo of the first form does not open')
  const first = opened.value.entries
  const over = goneOverFrom(first, () => ({ data: 'd'.repeat(64) }))
  const { review } = fold(over.entries)

  it('says who its people are in entries of their own, and names them by id from then on', () => {
    expect(verifyJournal(over.entries)).toEqual([])
    expect(review.people).toEqual([{ id: 'p-1', name: 'M. Osei', was: ['M. Osei'] }])
    expect(new Set(review.runs.map((r) => r.by))).toEqual(new Set(['p-1']))
    expect(nameOfPerson(review, 'p-1')).toBe('M. Osei')
    expect(
      heldValues(review.rulings)
        .flatMap(Object.keys)
        .every((k) => k === 'broad/p-1'),
    ).toBe(true)
  })

  it('tells of every run which lines it reached, so that none becomes stale under another rule for keys', () => {
    const before = fold(first).review
    const other = { version: 1, said: (text: string) => `another way of saying ${text}` }
    for (const { id } of before.sources) {
      const now = [...currentRuns(before, id).values()].map((r) => r.id)
      expect([...currentRuns(review, id).values()].map((r) => r.id)).toEqual(now)
      expect([...currentRuns(review, id, other).values()].map((r) => r.id)).toEqual(now)
    }
    expect(review.runs.every((r) => r.reached?.length && r.keyRule === 0 && r.evidence?.data)).toBe(true)
  })

  it('names the state behind it, with which it can begin where the first form is left out', () => {
    const at = over.entries.findIndex((e) => e.kind === 'journal.goOver')
    expect(blobsOf(over.entries[at]!)).toHaveLength(1)
    const state = JSON.parse(new TextDecoder().decode(over.state)) as PlainReview
    expect(canonicalJson(state)).toBe(canonicalJson(plainReview(withoutNames(review))))
    expect(canonicalJson(state)).not.toContain('Osei')
    const later = journalOf([set('Asked anew?')], over.entries)
    const part = later.slice(at)
    expect(verifyJournal(part)).toEqual([])
    const late = fold(part, { state: () => state })
    expect(withoutNames(late.review)).toEqual(withoutNames(fold(later).review))
    // Without the state there is nothing to begin with, and that is told.
    expect(verifyJournal(part.slice(1))[0]).toMatchObject({ code: 'entry-order' })
  })

  it('takes back a deed of the first form until it has gone over, and none of them behind that', () => {
    const before = firstFormJournal([set('a'), set('b')])
    const undone = journalOf([undo(1)], before)
    expect([undone.at(-1)!.v, undone.at(-1)!.by]).toEqual([5, 'M. Osei'])
    expect([verifyJournal(undone), fold(undone).review.question]).toEqual([[], 'a'])
    const gone = goneOverFrom(undone).entries
    expect(undoable(fold(gone))).toEqual([])
    expect(fold(gone)).toMatchObject({ undone: [], review: { question: 'a' } })
    expect(fold(journalOf([undo(0)], gone)).review.question).toBe('a')
  })

  it('holds what a later import stood in the place of, without a reason, and counts what stands', () => {
    const digest = 'd'.repeat(64)
    const bring = (id: string, count: number) => ({
      kind: 'records.import',
      payload: { id, sourceId: 's', digest, count, at: '2026-11-16T09:00:00Z' },
    })
    const { imports } = fold(firstFormJournal([bring('x', 100), bring('y', 5), bring('x', 120)])).review
    expect(imports).toMatchObject([
      { id: 'e0', was: 'x', count: 100 },
      { id: 'e2', was: 'x', count: 120, supersedes: { ids: ['e0'] } },
      { id: 'e1', was: 'y', count: 5 },
    ])
  })

  it('lets nobody write what only the second form has, or name anything of an import twice', () => {
    const [named] = firstFormJournal([{ kind: 'person.named', payload: { id: 'p', name: 'P' } }])
    expect(commandOf(named!)).toMatchObject({ ok: false, problems: [{ code: 'entry-unreadable' }] })
    const twice = { id: 'i', sourceId: 's', digest: 'd'.repeat(64), count: 1, at: '2026-11-16T09:00:00Z' }
    const folded = fold(
      journalOf([
        { kind: 'records.import', payload: twice },
        { kind: 'records.import', payload: { ...twice, count: 9 } },
      ]),
    )
    expect([folded.review.imports.length, folded.problems[0]?.code]).toEqual([1, 'entry-unfit'])
  })
})
