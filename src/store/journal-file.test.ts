import 'fake-indexeddb/auto'
import fc from 'fast-check'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { canonicalJson } from '@/core/base'
import { commandOf, Deeds, fold, verifyJournal, type Command } from '@/core/review'
import { journalOf, newerEntryAfter } from '@/core/review/journal.fixture'
import { Connection } from './connection'
import { addEntries, openDatabase, readEntries, type Database } from './db'
import { JournalFile, type JournalView } from './journal-file'
import { locks } from './locks.fixture'

const lockManager = locks()

let databases = 0
const open: JournalFile[] = []
afterEach(() => {
  for (const file of open.splice(0)) file.close()
  vi.restoreAllMocks()
})
const database = (): Promise<Database> =>
  openDatabase(
    { onBlocked: () => undefined, onBlocking: () => undefined, onTerminated: () => undefined },
    `test-${++databases}`,
  )

let ticks = 0
let ids = 0
async function tab(db: Database, name: string, views: JournalView[] = []): Promise<JournalFile> {
  const file = await JournalFile.open('review', {
    connection: new Connection(
      () => Promise.resolve(db),
      () => undefined,
    ),
    locks: lockManager,
    channel: (bus) => new BroadcastChannel(bus),
    now: () => new Date(Date.UTC(2026, 10, 16, 9, 0, ticks++)).toISOString(),
    by: () => name,
    name: () => '',
    newId: () => `id-${++ids}`,
    newSalt: () => (++ids).toString(16).padStart(32, '0'),
    evidenceOf: () => ({}),
    bytesAt: () => Promise.resolve(undefined),
    inMemory: () => Promise.resolve(undefined),
    wrongInKept: () => Promise.resolve(undefined),
    onChange: (view) => views.push(view),
  })
  open.push(file)
  return file
}
const asks = (text: string): Command => ({ kind: 'question.set', payload: { text } })
const titled = (title: string): Command => ({ kind: 'review.rename', payload: { title } })

describe('the journal of a review in this browser', () => {
  it('shows a command at once and has it on disk when the promise is kept', async () => {
    const db = await database()
    const views: JournalView[] = []
    const file = await tab(db, 'one', views)
    const done = file.do(asks('How loud?'))
    expect(file.view()).toMatchObject({ state: 'saving', folded: { review: { question: 'How loud?' } } })
    await done
    expect(file.view().state).toBe('saved')
    expect((await readEntries(db, 'review')).map((e) => e.kind)).toEqual(['question.set'])
    expect(verifyJournal(await readEntries(db, 'review'))).toEqual([])
    expect(views.length).toBeGreaterThanOrEqual(2)
  })

  it('refuses a command that is not well formed, and writes nothing', async () => {
    const db = await database()
    const file = await tab(db, 'one')
    await expect(file.do({ kind: 'question.set', payload: {} } as never)).rejects.toThrow()
    expect(await readEntries(db, 'review')).toEqual([])
  })

  it('writes nothing behind what a newer version has written, and says why', async () => {
    const db = await database()
    const known = journalOf([titled('Sound'), asks('How loud?')])
    await addEntries(db, 'review', known)
    await addEntries(db, 'review', [newerEntryAfter(known.at(-1)!, { kind: 'wish.set', payload: {} })])
    const file = await tab(db, 'one')
    expect(file.view()).toMatchObject({ state: 'saved', folded: { review: { question: 'How loud?' } } })
    for (const deed of [() => file.do(asks('Why?')), () => file.undo(), () => file.redo()])
      await expect(deed()).rejects.toThrow('A newer Luvren has written in this review')
    await file.nameMe()
    // What is being typed is packed beside the journal, and not behind it.
    expect(file.withTyped([asks('Why?')])).toMatchObject({ unfinished: [asks('Why?')] })
    expect(file.withTyped([asks('Why?')]).entries).toHaveLength(3)
    expect(await readEntries(db, 'review')).toHaveLength(3)
  })

  it('does several commands together, in their order, each an entry of its own', async () => {
    const db = await database()
    const views: JournalView[] = []
    const file = await tab(db, 'one', views)
    await file.doAll([titled('a'), asks('b'), titled('c')])
    expect((await readEntries(db, 'review')).map((e) => e.kind)).toEqual([
      'review.rename',
      'question.set',
      'review.rename',
    ])
    // Nobody ever sees the first without the last.
    expect(new Set(views.map((v) => v.folded.review.title))).toEqual(new Set(['c']))
  })

  it('undoes and does again, and says so in the journal', async () => {
    const db = await database()
    const file = await tab(db, 'one')
    await file.do(titled('a'))
    await file.do(titled('b'))
    await file.undo()
    expect(file.view().folded.review.title).toBe('a')
    await file.redo()
    expect(file.view().folded.review.title).toBe('b')
    expect((await readEntries(db, 'review')).map((e) => e.kind)).toEqual([
      'review.rename',
      'review.rename',
      'undo',
      'redo',
    ])
  })

  it('takes several commands of one deed back together, and does them again together', async () => {
    const db = await database()
    const file = await tab(db, 'one')
    await file.do(titled('a'))
    await file.doAll([titled('b'), asks('How loud?'), titled('c')])
    await file.do(asks('How loud is it?'))
    const now = () => {
      const { title, question } = file.view().folded.review
      return [title, question]
    }
    await file.undo()
    expect(now()).toEqual(['c', 'How loud?'])
    await file.undo()
    expect(now()).toEqual(['a', ''])
    await file.undo()
    expect(now()).toEqual(['', ''])
    await file.undo()
    await file.redo()
    await file.redo()
    expect(now()).toEqual(['c', 'How loud?'])
    await file.redo()
    await file.redo()
    expect(now()).toEqual(['c', 'How loud is it?'])
    const entries = await readEntries(db, 'review')
    expect(verifyJournal(entries)).toEqual([])
    expect(new Set(entries.slice(1, 4).map((e) => e.at)).size).toBe(1)
    // A tab that opens the journal later knows the deed by the same sign.
    const other = await tab(db, 'one')
    await other.undo()
    await other.undo()
    expect(other.view().folded.review).toMatchObject({ title: 'a', question: '' })
  })

  it('keeps one chain when two tabs write at once, and both end with the same review', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(fc.boolean(), { minLength: 2, maxLength: 14 }), async (turns) => {
        const db = await database()
        const [one, two] = [await tab(db, 'one'), await tab(db, 'two')]
        await Promise.all(
          turns.map((first, i) => (first ? one : two).do(titled(`${first ? 'one' : 'two'} ${i}`))),
        )
        await Promise.all([one.settled(), two.settled()])
        const entries = await readEntries(db, 'review')
        expect(entries).toHaveLength(turns.length)
        expect(verifyJournal(entries)).toEqual([])
        await vi.waitFor(() => {
          expect(canonicalJson(one.view().folded.review)).toBe(canonicalJson(fold(entries).review))
          expect(canonicalJson(two.view().folded.review)).toBe(canonicalJson(fold(entries).review))
        })
        // No entry is taken over twice.
        expect(one.view().entries.map((e) => e.seq)).toEqual(entries.map((e) => e.seq))
      }),
      { numRuns: 12 },
    )
  })

  it('writes no undo that would be without effect, however two tabs undo at once', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(fc.boolean(), { minLength: 4, maxLength: 10 }), async (turns) => {
        const db = await database()
        const [one, two] = [await tab(db, 'one'), await tab(db, 'two')]
        for (const n of [1, 2, 3]) await one.do(titled(`t${n}`))
        await vi.waitFor(() => expect(two.view().entries).toHaveLength(3))
        await Promise.all(turns.map((first) => (first ? one : two).undo()))
        const entries = await readEntries(db, 'review')
        // Every undo that was written takes back what was the latest then; what two tabs pressed at once counts once.
        const deeds = new Deeds()
        for (const e of entries) {
          const command = commandOf(e)
          expect(command.ok && deeds.take(e.seq, command.value)).toBeTruthy()
        }
        const undos = entries.filter((e) => e.kind === 'undo').length
        expect(undos).toBeGreaterThan(0)
        expect(undos).toBeLessThanOrEqual(3)
        expect(verifyJournal(entries)).toEqual([])
      }),
      { numRuns: 15 },
    )
  })

  it('takes back what was the last when it was asked to, also where more is done before that is on disk', async () => {
    const db = await database()
    const file = await tab(db, 'one')
    const first = file.do(titled('a'))
    const taken = file.undo()
    expect(file.view().folded.review.title).toBe('')
    const then = file.do(titled('b'))
    expect(file.view().folded.review.title).toBe('b')
    await Promise.all([first, taken, then])
    expect((await readEntries(db, 'review')).map((e) => e.kind)).toEqual([
      'review.rename',
      'undo',
      'review.rename',
    ])
    expect(fold(await readEntries(db, 'review')).review.title).toBe('b')
  })

  it('drops a snapshot that lacks a part, and folds the journal instead', async () => {
    const db = await database()
    const file = await tab(db, 'one')
    await file.doAll(Array.from({ length: 205 }, (_, i) => titled(`t${i}`)))
    await vi.waitFor(async () => expect(await db.get('snapshots', 'review')).toBeDefined())
    const kept = (await db.get('snapshots', 'review'))!
    for (const broken of [
      { ...kept, folded: { ...kept.folded, done: undefined } },
      { ...kept, folded: { ...kept.folded, review: { ...kept.folded.review, runs: 'none' } } },
      { ...kept, folded: undefined },
    ]) {
      await db.put('snapshots', broken as never)
      const again = await tab(db, 'two')
      expect(again.view().folded.review.title).toBe('t204')
    }
  })

  it('says that the disk is full, keeps what was done, and writes it when it is asked again', async () => {
    const db = await database()
    const file = await tab(db, 'one')
    const full = vi.spyOn(db, 'transaction').mockImplementation(() => {
      throw new DOMException('no room', 'QuotaExceededError')
    })
    const done = file.do(asks('How loud?'))
    await vi.waitFor(() => expect(file.view().state).toBe('full'))
    expect(file.view().folded.review.question).toBe('How loud?')
    full.mockRestore()
    file.retry()
    await done
    expect(file.view().state).toBe('saved')
    expect(await readEntries(db, 'review')).toHaveLength(1)
  })

  it('names a failure that is none of room', async () => {
    const db = await database()
    const file = await tab(db, 'one')
    vi.spyOn(console, 'error').mockImplementation(() => undefined)
    vi.spyOn(db, 'transaction').mockImplementation(() => {
      throw new Error('broken')
    })
    file.do(asks('How loud?')).catch(() => undefined)
    await vi.waitFor(() => expect(file.view().state).toBe('failed'))
  })

  it('opens the same from a snapshot as from the whole journal, also when several entries pass the mark at once', async () => {
    const db = await database()
    const file = await tab(db, 'one')
    await file.doAll(Array.from({ length: 195 }, (_, i) => titled(`t${i}`)))
    expect(await db.get('snapshots', 'review')).toBeUndefined()
    await file.doAll(Array.from({ length: 13 }, (_, i) => asks(`q${i}`)))
    await vi.waitFor(async () => expect(await db.get('snapshots', 'review')).toBeDefined())
    await file.do(titled('after it'))
    const again = await tab(db, 'two')
    expect(canonicalJson(again.view().folded)).toBe(canonicalJson(fold(await readEntries(db, 'review'))))
  })
})
