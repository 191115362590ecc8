import { create } from 'zustand'
import { digestOf } from '@/core/base'
import {
  blobsOf,
  fold,
  openPackage,
  packReview,
  worksOf,
  type Command,
  type Folded,
  type Review,
  type Work,
} from '@/core/review'
import { Rec } from '@/core/records'
import type { Entry } from '@/core/review'
import type { Result } from '@/core/base'
import { addEntries, openDatabase, readEntries, removeReview, type Database, type ShelfItem } from './db'
import { JournalFile, type SaveState } from './journal-file'
import { shelfItem } from './shelf-item'

export const now = (): string => new Date().toISOString()
export const newId = (): string => crypto.randomUUID()

const TAB = newId()

interface Session {
  /** What went wrong with the database of this browser, in words. */
  trouble: string | undefined
  shelf: ShelfItem[] | undefined
  reader: string
  reviewId: string | undefined
  entries: readonly Entry[]
  folded: Folded
  works: Work[]
  /** How many records were brought in whose bytes this browser no longer has. */
  lost: number
  state: SaveState
  opening: boolean
}

export const useSession = create<Session>(() => ({
  trouble: undefined,
  shelf: undefined,
  reader: 'First reader',
  reviewId: undefined,
  entries: [],
  folded: fold([]),
  works: [],
  lost: 0,
  state: 'saved',
  opening: false,
}))

const set = useSession.setState
let database: Promise<Database> | undefined
let file: JournalFile | undefined
const recordsByDigest = new Map<string, Rec[]>()

function db(): Promise<Database> {
  database ??= openDatabase({
    onBlocked: () =>
      set({ trouble: 'Another tab has an older Luvren open. Close it, then this one goes on by itself.' }),
    onBlocking: () =>
      set({ trouble: 'A newer Luvren was opened in another tab. Reload this one; everything is saved.' }),
  }).then((opened) => {
    // As long as this tab lives it holds this lock; a tab that ended has let go, and its unfinished edits are taken over.
    void navigator.locks.request(`luvren-tab/${TAB}`, () => new Promise(() => undefined))
    set({ trouble: undefined })
    return opened
  })
  database.catch((error: unknown) => {
    set({
      trouble: `This browser does not let Luvren store anything: ${error instanceof Error ? error.message : String(error)}. Allow storage for this page and reload.`,
    })
  })
  return database
}

/** Reads the shelf and who is reading. */
export async function openShelf(): Promise<void> {
  const opened = await db()
  const reader = (await opened.get('settings', 'reader'))?.value
  const shelf = (await opened.getAll('shelf')).sort((a, b) => (a.at < b.at ? 1 : -1))
  set({ shelf, ...(typeof reader === 'string' ? { reader } : {}) })
}

export async function setReader(name: string): Promise<void> {
  set({ reader: name })
  await (await db()).put('settings', { name: 'reader', value: name })
}

/** Begins an empty review and gives its id. */
export async function createReview(title: string): Promise<string> {
  const id = newId()
  const journal = await JournalFile.open(await db(), id, {
    now,
    by: () => useSession.getState().reader,
    tab: TAB,
    onChange: () => undefined,
  })
  await journal.do({ kind: 'review.create', payload: { id, title } })
  const { entries, folded } = journal.view()
  await putOnShelf(id, entries, folded.review, [])
  journal.close()
  return id
}

/** Puts a review that comes from outside (a package, the demo) into this browser and gives its id. */
export async function storeReview(
  entries: readonly Entry[],
  blobs: ReadonlyMap<string, Uint8Array>,
  demo = false,
): Promise<string> {
  const opened = await db()
  const { review } = fold(entries)
  const taken = await readEntries(opened, review.id)
  if (taken.length) {
    // The same journal, as far as both go: keep the longer one. Otherwise the one here is not touched.
    const same = taken.slice(0, entries.length).every((e, i) => e.digest === entries[i]!.digest)
    if (!same)
      throw new Error(
        'A review with the same origin but another history is already on the shelf. Remove that one for good first, or keep working in it.',
      )
  }
  for (const [digest, bytes] of blobs) await opened.put('blobs', { digest, bytes })
  await addEntries(opened, review.id, entries.slice(taken.length))
  const works = worksOf(
    review.imports,
    (digest) => {
      const bytes = blobs.get(digest)
      return bytes && recordsOf(bytes)
    },
    review.rulings,
  )
  await putOnShelf(review.id, entries.length > taken.length ? entries : taken, review, works, demo)
  return review.id
}

const recordsOf = (bytes: Uint8Array): Rec[] => JSON.parse(new TextDecoder().decode(bytes)) as Rec[]

async function putOnShelf(
  id: string,
  entries: readonly Entry[],
  review: Review,
  works: Work[],
  demo?: boolean,
): Promise<void> {
  const opened = await db()
  const known = await opened.get('shelf', id)
  const item = shelfItem(id, entries, review, works, demo ?? known?.demo ?? false)
  await opened.put('shelf', item)
  set((s) => ({
    shelf: [item, ...(s.shelf ?? []).filter((i) => i.id !== id)].sort((a, b) => (a.at < b.at ? 1 : -1)),
  }))
}

async function changeShelfItem(id: string, change: (item: ShelfItem) => ShelfItem): Promise<void> {
  const opened = await db()
  const known = await opened.get('shelf', id)
  if (!known) return
  const item = change(known)
  await opened.put('shelf', item)
  set((s) => ({ shelf: s.shelf?.map((i) => (i.id === id ? item : i)) }))
}

/** Takes a review off the shelf; all of it stays in this browser. */
export const putAway = (id: string): Promise<void> =>
  changeShelfItem(id, (item) => ({ ...item, putAway: now() }))

/** Puts a review that was put away on the shelf again. */
export const takeBack = (id: string): Promise<void> => changeShelfItem(id, ({ putAway: _, ...item }) => item)

/** Removes a review from this browser, for good. */
export async function deleteReview(id: string): Promise<void> {
  await removeReview(await db(), id)
  set((s) => ({ shelf: s.shelf?.filter((i) => i.id !== id) }))
}

/** Opens a review for work. Gives false where this browser has none of this id. */
export async function openReview(id: string): Promise<boolean> {
  if (useSession.getState().reviewId === id) return true
  file?.close()
  set({ reviewId: undefined, opening: true })
  const opened = await db()
  file = await JournalFile.open(opened, id, {
    now,
    by: () => useSession.getState().reader,
    tab: TAB,
    onChange: ({ entries, folded, state }) => {
      const imports = folded.review.imports
      const changed = imports !== useSession.getState().folded.review.imports
      set({ entries, folded, state })
      if (changed) void loadWorks(folded.review)
      shelveSoon()
    },
  })
  const { entries, folded, state } = file.view()
  if (!entries.length) {
    set({ opening: false })
    return false
  }
  await loadWorks(folded.review)
  set({ reviewId: id, entries, folded, state, opening: false })
  return true
}

let shelving: ReturnType<typeof setTimeout> | undefined
function shelveSoon(): void {
  clearTimeout(shelving)
  shelving = setTimeout(() => {
    const { reviewId, entries, folded, works } = useSession.getState()
    if (reviewId) void putOnShelf(reviewId, entries, folded.review, works)
  }, 800)
}

let loading = 0
async function loadWorks({ imports, rulings }: Review): Promise<void> {
  const mine = ++loading
  const opened = await db()
  for (const { digest } of imports) {
    if (recordsByDigest.has(digest)) continue
    const blob = await opened.get('blobs', digest)
    if (blob) recordsByDigest.set(digest, recordsOf(blob.bytes))
  }
  // What was asked for last counts, whichever is read first.
  if (mine !== loading) return
  const lost = imports.reduce((n, i) => n + (recordsByDigest.has(i.digest) ? 0 : i.count), 0)
  set({ works: worksOf(imports, (digest) => recordsByDigest.get(digest), rulings), lost })
}

/** Does one command in the open review; resolves when it is on disk. */
export function act<K extends Command['kind']>(
  kind: K,
  payload: Extract<Command, { kind: K }>['payload'],
): Promise<void> {
  if (!file) throw new Error('No review is open')
  return file.do({ kind, payload } as Command)
}

/** Several commands that are one deed, in order: shown together, each an entry of its own, taken back together. */
export function actAll(commands: readonly Command[]): Promise<void> {
  if (!file) throw new Error('No review is open')
  return file.doAll(commands)
}

export const undo = (): Promise<void> => file?.undo() ?? Promise.resolve()
export const redo = (): Promise<void> => file?.redo() ?? Promise.resolve()
export const retrySave = (): void => file?.retry()

/** An edit in progress: on disk at once, an entry when `commitEdit` follows. */
export const stageEdit = (key: string, command: Command): Promise<void> =>
  file?.stage(key, command) ?? Promise.resolve()
export const commitEdit = (key: string, command: Command): Promise<void> =>
  file?.commit(key, command) ?? Promise.resolve()

export const discardEdit = (key: string): Promise<void> => file?.discard(key) ?? Promise.resolve()

/** Lays bytes beside the journal, unchanged, and gives their digest. */
export async function keepBytes(bytes: Uint8Array): Promise<string> {
  const digest = digestOf(bytes)
  await (await db()).put('blobs', { digest, bytes })
  return digest
}

/** What lies beside the journal under a digest; undefined where this browser does not have it. */
export const bytesOf = async (digest: string): Promise<Uint8Array | undefined> =>
  (await (await db()).get('blobs', digest))?.bytes

/** Lays records beside the journal and gives their digest. */
export async function keepRecords(records: readonly Rec[]): Promise<string> {
  const digest = await keepBytes(new TextEncoder().encode(JSON.stringify(records)))
  recordsByDigest.set(digest, [...records])
  return digest
}

/** The records that lie under a digest; undefined where this browser does not have them. */
export async function recordsAt(digest: string): Promise<readonly Rec[] | undefined> {
  const known = recordsByDigest.get(digest)
  if (known) return known
  const bytes = await bytesOf(digest)
  return bytes && recordsOf(bytes)
}

/** The open review as the bytes of a package. */
export async function packOpenReview(): Promise<Uint8Array> {
  await file?.settled()
  const { entries, folded } = useSession.getState()
  const opened = await db()
  const blobs = new Map<string, Uint8Array>()
  for (const e of entries) {
    for (const digest of blobsOf(e)) {
      const blob = await opened.get('blobs', digest)
      if (blob) blobs.set(digest, blob.bytes)
    }
  }
  return packReview({ entries: [...entries], blobs }, folded.review.title)
}

/** Opens a package and puts its review on the shelf; gives its id, or what is wrong with the file. */
export async function takePackage(bytes: Uint8Array, demo = false): Promise<Result<string>> {
  const read = openPackage(bytes)
  if (!read.ok) return read
  try {
    return { ok: true, value: await storeReview(read.value.entries, read.value.blobs, demo), problems: [] }
  } catch (error) {
    return {
      ok: false,
      problems: [
        { code: 'store', severity: 'error', message: error instanceof Error ? error.message : String(error) },
      ],
    }
  }
}
