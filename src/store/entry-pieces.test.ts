import 'fake-indexeddb/auto'
import { describe, expect, it } from 'vitest'
import { nextEntry, type Entry } from '@/core/review'
import { addEntries, openDatabase, readEntries, removeReview, type Database } from './db'
import { entriesOf, keepPieces, type EntryPiece } from './entry-pieces'

let databases = 0
const database = (): Promise<Database> =>
  openDatabase(
    { onBlocked: () => undefined, onBlocking: () => undefined, onTerminated: () => undefined },
    `pieces-${databases++}`,
  )
const long = (n: number, word = 'text'): Entry[] => {
  const entries: Entry[] = []
  for (let i = 0; i < n; i++)
    entries.push(
      nextEntry(
        entries.at(-1),
        { kind: 'question.set', payload: { text: `${word} ${i}` } },
        { at: '2026-11-16T09:00:00Z', by: 'p-1', salt: i.toString(16).padStart(32, '0') },
      ),
    )
  return entries
}

describe('the copy of a long journal', () => {
  it('gives the same entries as the rows, with those that came after it', async () => {
    const db = await database()
    const all = long(4700)
    await addEntries(db, 'one', all.slice(0, 4500))
    await addEntries(db, 'other', long(30, 'else'))
    await keepPieces(db, 'one', all.slice(0, 4500))
    expect(await db.count('snapshots')).toBe(2)
    expect(await entriesOf(db, 'one')).toEqual(all.slice(0, 4500))
    await addEntries(db, 'one', all.slice(4500))
    await keepPieces(db, 'one', all)
    expect(await db.count('snapshots')).toBe(2)
    expect(await entriesOf(db, 'one')).toEqual(await readEntries(db, 'one'))
    expect(await entriesOf(db, 'other')).toHaveLength(30)
  })

  it('is passed over where the rows are another history, and goes with its review', async () => {
    const db = await database()
    await addEntries(db, 'one', long(2100))
    await keepPieces(db, 'one', long(2100, 'another'))
    expect(await entriesOf(db, 'one')).toEqual(long(2100))
    const [piece] = (await db.getAll('snapshots')) as unknown as EntryPiece[]
    await db.put('snapshots', { ...piece, text: piece!.text.slice(0, 5000) } as never)
    expect(await entriesOf(db, 'one')).toEqual(long(2100))
    await removeReview(db, 'one')
    expect(await db.count('snapshots')).toBe(0)
    expect(await entriesOf(db, 'one')).toEqual([])
  })
})
