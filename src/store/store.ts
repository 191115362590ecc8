import { createStore as createState, type StoreApi } from 'zustand/vanilla'
import { tell } from '@/core/figures'
import {
  fold,
  isToGoOver,
  nameOf,
  whoIsHere,
  worksOf,
  type Command,
  type Import,
  type Known,
  type LastDeed,
} from '@/core/review'
import type { Rec } from '@/core/records'
import { fail, plural, problem, withPlainSigns, type Result } from '@/core/base'
import { reviewIdOf } from './copy-ids'
import type { Opened } from '@/core/review'
import type { Doing } from '@/core/doing'
import { AfterLoss } from './after-loss'
import { Blobs, type Laying } from './blobs'
import { Connection, type Fault } from './connection'
import type { ShelfItem } from './db'
import type { Environment } from './environment'
import { holdOpen, whileClosed } from './held-open'
import { OpenReview, type ReviewView } from './open-review'
import { errorInWords, Parted, Refusal } from './refusal'
import { packages } from './packages'
import { recordsAnywhere } from './records-anywhere'
import { recordsHere } from './records-here'
import { Room } from './room'
import { Shelf } from './shelf'
import { nameIn } from './shelf-lines'
import type { Left } from './typing'

/** What a name is asked for. */
export type NameWhy = 'rule' | 'say' | 'hand on' | 'open'

export interface Session extends Omit<ReviewView, 'reviewId'> {
  /** What keeps this browser from storing, and what it said of it. */
  fault: Fault | undefined
  faultDetail: string | undefined
  shelf: ShelfItem[] | undefined
  /** What who works here is called; empty until they have said so. */
  reader: string
  /** Who works here, by the id that their deeds bear. */
  person: string
  reviewId: string | undefined
  /** Why the review that was asked for last is not open, in words. */
  failed: string | undefined
  /** What was asked for last and not done, in words. */
  refused: string | undefined
  /** How often what failed was to be asked anew. */
  askedAgain: number
  /** The browser keeps the right to clear its storage by itself: it was asked not to, and refused. */
  clearable: boolean
  /** There is little room left in the storage of this browser. */
  littleRoom: boolean
  /** A name has to be given before this is gone on with. */
  asksName: { then: () => void; why: NameWhy; known?: readonly Known[] } | undefined
}

const CLOSED: Omit<
  Session,
  | 'fault'
  | 'faultDetail'
  | 'shelf'
  | 'reader'
  | 'person'
  | 'failed'
  | 'refused'
  | 'askedAgain'
  | 'asksName'
  | 'clearable'
  | 'littleRoom'
> = {
  reviewId: undefined,
  entries: [],
  folded: fold([]),
  told: tell(
    fold([]).review,
    worksOf(fold([]).review, () => undefined),
  ),
  lost: 0,
  state: 'saved',
  left: [],
  damage: [],
  missing: '',
}

/** Who works on a review in this browser is the same in all its copies. */
const whoIn = (id: string): string => `who/${reviewIdOf(id)}`

export type Store = ReturnType<typeof createStore>

/**
 * Everything that a browser keeps: reviews, what lies beside them, what is being typed. Made once for a page, from what
 * it is handed; two stores share nothing. Its functions can be passed around by themselves.
 */
export function createStore(environment: Environment) {
  const { now, newId, newSalt, locks, channel } = environment
  const session: StoreApi<Session> = createState<Session>(() => ({
    ...CLOSED,
    fault: undefined,
    faultDetail: undefined,
    shelf: undefined,
    reader: '',
    person: '',
    failed: undefined,
    refused: undefined,
    askedAgain: 0,
    asksName: undefined,
    clearable: false,
    littleRoom: false,
  }))
  const set = session.setState
  const tab = newId()
  const afterLoss = new AfterLoss({
    lost: () => connection.lost,
    look: () => review?.look(),
    tell: (fault, faultDetail) => set({ fault, faultDetail }),
  })
  const connection = new Connection(environment.db, (fault, detail) => afterLoss.met(fault, detail))
  const by = (): string => session.getState().person
  const name = (): string => session.getState().reader
  const blobs = new Blobs(connection, locks)
  const here = recordsHere(blobs, connection)
  const records = environment.records ? recordsAnywhere(environment.records, here) : here
  const ground = { connection, now, newId, newSalt, locks, channel, tab, records }
  const room = new Room(environment.storage)
  const shelf = new Shelf({ ...ground, blobs, by, onChange: (items) => set({ shelf: items }) })
  let review: OpenReview | undefined
  /** Somebody said who they are in the open review, or need not. */
  let whoSaid = false
  /** Who somebody can be that has not said so in the open review; undefined where nothing is to be asked. */
  const whoCanBe = (): Known[] | undefined => {
    const { entries, folded } = session.getState()
    return whoSaid ? undefined : whoIsHere(folded.review, entries, by(), name())
  }
  /** Lets other tabs know that this one no longer has it open. */
  let letGo: () => Promise<void> = () => Promise.resolve()
  const leave = async (): Promise<void> => {
    const own = letGo
    letGo = () => Promise.resolve()
    await own()
  }
  const close = (): void => {
    review?.close()
    review = undefined
  }
  /** The opening that was asked for last: one that was overtaken shows nothing. */
  let asked = 0

  /** Says in the strip what was not done, and why. */
  const refuse = (error: unknown): void => {
    set({ refused: errorInWords(error) })
    if (!(error instanceof Refusal)) console.error(error)
  }
  // As long as this tab lives it holds this lock; a tab that ended has let go, and its unfinished edits are taken over.
  locks.request(`luvren-tab/${tab}`, {}, () => new Promise(() => undefined)).catch(refuse)
  const readReader = async (): Promise<void> => {
    set({ person: await readPerson() })
    const reader = nameIn((await (await connection.get()).get('settings', 'reader'))?.value)
    if (reader) set({ reader })
  }
  /** The id of who works in this browser, made once; the first tab that asks gives it. */
  const readPerson = async (): Promise<string> => {
    const db = await connection.get()
    const there = (await db.get('settings', 'person'))?.value
    if (typeof there === 'string' && there) return there
    const tx = db.transaction('settings', 'readwrite')
    const known = (await tx.store.get('person'))?.value
    const person = typeof known === 'string' && known ? known : `p-${newId()}`
    if (person !== known) await tx.store.put({ name: 'person', value: person })
    await tx.done
    return person
  }
  /** Who works on a review here, where somebody said so; the demo asks nobody before they rule. */
  const readWho = async (id: string): Promise<{ said: boolean; demo: boolean }> => {
    const db = await connection.get()
    const who = (await db.get('settings', whoIn(id)))?.value
    if (typeof who === 'string') set({ person: who })
    return { said: typeof who === 'string', demo: (await db.get('shelf', id))?.demo ?? false }
  }
  /** What was entered, without signs that no file could hold; a word says so where some went. */
  const entered = <T extends Command>(command: T): T => {
    const { value, gone } = withPlainSigns(command)
    if (gone)
      set({
        refused: `${plural(gone, 'control character')} that no document can hold ${gone === 1 ? 'was' : 'were'} taken out of what you entered.`,
      })
    return value
  }
  const open = (): OpenReview => {
    if (!review) throw new Refusal('No review is open.')
    return review
  }

  return {
    session,
    now,
    newId,
    refuse,
    /** The one way to do something whose outcome nobody waits for: what goes wrong is said in the strip. */
    deed: (promise: PromiseLike<unknown> | undefined): void => {
      promise?.then(undefined, refuse)
    },
    understood: (): void => set({ refused: undefined }),
    /** What was asked and failed is asked anew, wherever it is shown. */
    askAgain: (): void => set({ askedAgain: session.getState().askedAgain + 1, refused: undefined }),

    /** Reads the shelf and who is reading. */
    openShelf: async (): Promise<void> => {
      await readReader()
      await shelf.read()
      // Somebody has worked here: what the browser does with it is worth knowing.
      if (session.getState().shelf?.length) set(await room.ask())
    },
    /** Goes on at once where somebody has said who reads, and asks for the name first where nobody has. */
    inName: (then: () => void, why: NameWhy = 'rule'): void => {
      const known = review && whoCanBe()
      if (known) set({ asksName: { then, why, known } })
      else if (name()) then()
      else set({ asksName: { then, why } })
    },
    /** Who works on the open review here is somebody who did before, or somebody new; it is kept for this browser. */
    iAm: async (who: Known | 'new'): Promise<void> => {
      const { reviewId } = session.getState()
      whoSaid = true
      if (reviewId === undefined) return
      // In the first form a name stands where an id stands now: by it the journal knows who goes over.
      const named = isToGoOver(session.getState().entries)
      const id = who === 'new' || named ? await readPerson() : who.id
      set({ person: id, ...(who !== 'new' && who.name !== undefined ? { reader: who.name } : {}) })
      const db = await connection.get()
      await db.put('settings', { name: whoIn(reviewId), value: id })
      if (named && who !== 'new') await db.put('settings', { name: 'reader', value: who.name ?? '' })
    },
    /** Asks again who works on the open review here. */
    askWho: (): void => {
      const { entries, folded } = session.getState()
      const known = whoIsHere(folded.review, entries, '', name())
      if (known) set({ asksName: { then: () => undefined, why: 'open', known } })
    },
    /** Writes what who works here is called into the open review, where they did something in it under no or another name. */
    nameMe: async (): Promise<void> => open().nameMe(),
    nameGiven: (): void => set({ asksName: undefined }),
    setReader: async (name: string): Promise<void> => {
      set({ reader: name })
      await (await connection.get()).put('settings', { name: 'reader', value: name })
    },
    setting: async (name: string): Promise<unknown> =>
      (await (await connection.get()).get('settings', name))?.value,
    setSetting: async (name: string, value: unknown): Promise<void> => {
      await (await connection.get()).put('settings', { name, value })
    },
    /** Begins an empty review and gives its id. */
    createReview: (title: string): Promise<string> => shelf.begin(title),
    putAway: (id: string): Promise<void> => shelf.putAway(id),
    takeBack: (id: string): Promise<void> => shelf.takeBack(id),
    deleteReview: async (id: string): Promise<void> => {
      if (review?.id === id) {
        close()
        await leave()
        set(CLOSED)
      }
      if (!(await whileClosed(locks, id, () => shelf.remove(id))))
        throw new Refusal(
          'This review is open in another tab or window of this browser, so it was not removed. Close it there, then remove it.',
        )
    },
    /** The open review is no longer shown here: other tabs may remove it. It stays at hand until another one is opened. */
    leaveReview: (): Promise<void> => leave(),

    /**
     * Opens a package, checks it whole and puts it on the shelf; gives its id, or what is wrong with the file. `open` is
     * where that is done: on a page, in the worker for long work.
     */
    takePackage: async (
      file: Blob,
      how: { demo?: boolean; beside?: boolean } = {},
      open: (file: Blob) => Promise<Result<Opened>> = async (f) => {
        const { ofFile, openPackage } = await packages()
        return openPackage(ofFile(f))
      },
    ): Promise<Result<string>> => {
      const read = await open(file)
      if (!read.ok) return read
      try {
        return { ok: true, value: await shelf.store(read.value, how), problems: [] }
      } catch (error) {
        const message = errorInWords(error)
        return error instanceof Parted
          ? fail(problem('parted', 'error', message, error.reviewId))
          : fail(problem('store', 'error', message))
      }
    },

    /**
     * Opens a review for work; false where this browser has none of this id. It always comes to an end: what keeps it
     * from opening is said in `failed`.
     */
    openReview: async (id: string): Promise<boolean> => {
      const mine = ++asked
      await leave()
      const held = await holdOpen(locks, id).catch(() => undefined)
      if (mine !== asked) {
        await held?.()
        return true
      }
      if (held) letGo = held
      if (review?.id === id && (await review.stillHere().catch(() => true))) return true
      close()
      // Who somebody is was asked of the review before, and is no question of this one.
      set({ ...CLOSED, failed: undefined, refused: undefined, asksName: undefined })
      try {
        await readReader()
        const own = await readWho(id)
        const opened = await OpenReview.open(id, {
          ...ground,
          blobs,
          by,
          name,
          onChange: (part) => {
            if (mine === asked) set(part)
          },
          onError: refuse,
          entriesOnShelf: (of) => shelf.entriesOf(of),
          shelve: async (...line) => {
            await shelf.write(...line)
            set(await room.ask())
          },
        })
        if (mine !== asked) opened?.close()
        else {
          review = opened
          if (opened && !(await shelf.isWhole(id))) opened.shelveNow()
          whoSaid = own.said
          const called = own.said ? nameOf(session.getState().folded.review, by()) : undefined
          if (called !== undefined) set({ reader: called })
          const known = own.demo ? undefined : whoCanBe()
          if (known) set({ asksName: { then: () => undefined, why: 'open', known } })
        }
        return opened !== undefined
      } catch (error) {
        if (mine === asked) set({ ...CLOSED, failed: errorInWords(error) })
        return true
      }
    },

    /** Does one command in the open review; resolves when it is on disk. */
    act: async <K extends Command['kind']>(
      kind: K,
      payload: Extract<Command, { kind: K }>['payload'],
    ): Promise<void> => open().act([entered({ kind, payload } as Command)]),
    /** Several commands that are one deed, in order: shown together, each an entry of its own, taken back together. */
    actAll: async (commands: readonly Command[]): Promise<void> => open().act(commands.map(entered)),
    /** Does what a doing of the core decides on an input: one press, taken back at once. */
    doIt: async <In>(doing: Doing<In>, input: In): Promise<void> =>
      open().act(doing({ review: open().review, now: now(), newId, person: by() }, input).map(entered)),
    nextUndo: (): LastDeed | undefined => review?.nextUndo(),
    undo: async (): Promise<LastDeed | undefined> => open().undo(),
    redo: async (): Promise<LastDeed | undefined> => open().redo(),
    retrySave: (): void => review?.retry(),

    /** An edit in progress: on disk at once, an entry when `commitEdit` follows. */
    typeEdit: (key: string, command: Command): void => review?.type(key, entered(command)),
    /** What has been typed in a field and is not finished. */
    typedAt: (key: string): Command | undefined => review?.typedAt(key),
    /** Finishes an edit. Throws at once, and keeps what was typed, where the command is refused. */
    commitEdit: (key: string, command: Command): Promise<void> => open().commit(key, entered(command)),
    discardEdit: async (key: string): Promise<void> => review?.discard(key),
    settleLeft: async (left: Left, take: boolean): Promise<void> => open().settleLeft(left, take),
    /** Puts on disk what is in memory alone; for when the page is hidden or left. */
    flush: (): void => review?.flush(),
    /** Is anything on the screen that is not on disk? */
    unsaved: (): boolean => review?.unsaved ?? false,

    /** Lays something down beside the journal: `work` must have written the entries that name it when it ends. */
    lay: <T>(work: (laying: Laying) => Promise<T>): Promise<T> => blobs.lay(work),
    /** Removes what nothing reaches; gives how much went. */
    sweep: (): Promise<number> => shelf.sweep(),
    bytesOf: (digest: string): Promise<Uint8Array | undefined> => blobs.bytes(digest),
    recordsOf: (of: Import): Promise<readonly Rec[] | undefined> => blobs.recordsOf(of),
    /** The open review for whoever packs it elsewhere. */
    packing: () => open().packing(),
    /** The open review as the bytes of a package, with everything that is on the screen. */
    packOpenReview: async (): Promise<Uint8Array> => (await open().pack()).bytes,
    /** The same where something is wrong, with what the package lacks in words. */
    rescue: async (): Promise<{ bytes: Uint8Array; lacks: string }> => open().pack(),
  }
}
