import {
  Command,
  commandOf,
  Deeds,
  fold,
  foldFrom,
  lastDeed,
  nextEntry,
  snapshotOf,
  verifyJournal,
  type Command as CommandType,
  type Entry,
  type Folded,
  type LastDeed,
} from '@/core/review'
import type { Problem } from '@/core/base'
import { addEntries, isFull, readEntries, type Database } from './db'
import type { Channel, Ground } from './environment'

/** Is what was done on disk? `parted`: what is on disk is another history than the one shown here. */
export type SaveState = 'saved' | 'saving' | 'full' | 'failed' | 'parted'

export interface JournalView {
  entries: readonly Entry[]
  folded: Folded
  state: SaveState
}

/** Something that waits to be written. What it does may depend on the number that another waiting entry will have. */
interface Waiting {
  command: (numberOf: (target: Target) => number) => CommandType
  at: string
  by: string
  written: () => void
  /** Its number, once it is written. */
  seq?: number
}
/** What an undo takes back: an entry by its number, or one that waits and has none yet. */
type Target = number | Waiting

export interface JournalOptions extends Pick<Ground, 'connection' | 'now' | 'locks' | 'channel'> {
  by: () => string
  onChange: (view: JournalView) => void
}

/** Entries between two snapshots. */
const SNAPSHOT_EVERY = 200
/** How often a write is tried again by itself after the connection was lost. */
const TRIES = 3

/** What is on disk does not go on from what is shown. */
class Parted extends Error {}
const PARTED = 'The journal on disk is another than the one that is open.'

/**
 * The journal of one review in this browser. One tab writes at a time (a Web Lock around each write); a write first
 * takes over what other tabs have added, so that the chain of digests has one line. Other tabs follow by a broadcast.
 */
export class JournalFile {
  private entries: Entry[] = []
  private folded: Folded = fold([])
  private waiting: Waiting[] = []
  private state: SaveState = 'saved'
  private writing: Promise<void> | undefined
  private readonly bus: Channel
  private closed = false
  /** The entries, written and waiting, that `folded` holds. */
  private foldedUpTo: Entry[] | undefined

  private constructor(
    readonly reviewId: string,
    private readonly options: JournalOptions,
  ) {
    this.bus = options.channel(`luvren/${reviewId}`)
    this.bus.onmessage = () => {
      this.follow().catch((error: unknown) => this.fail(error))
    }
  }

  /** Opens a journal; a snapshot that does not serve is passed over. Rejects where the database is not to be had. */
  static async open(reviewId: string, options: JournalOptions): Promise<JournalFile> {
    const file = new JournalFile(reviewId, options)
    const db = await options.connection.get()
    file.entries = await readEntries(db, reviewId)
    const snapshot = await db.get('snapshots', reviewId)
    try {
      file.folded = (snapshot && foldFrom(snapshot, file.entries)) ?? fold(file.entries)
    } catch {
      file.folded = fold(file.entries)
    }
    return file
  }

  view(): JournalView {
    return { entries: this.entries, folded: this.folded, state: this.state }
  }

  /** Written or not: the journal as the screen has it. */
  everything(): Entry[] {
    return [...this.entries, ...this.numbered(this.waiting)]
  }

  /** What waits, as entries behind those that are written. */
  private numbered(waiting: readonly Waiting[]): Entry[] {
    const base = this.entries.length
    const numberOf = (t: Target): number => (typeof t === 'number' ? t : (t.seq ?? base + waiting.indexOf(t)))
    let last = this.entries.at(-1)
    return waiting.map((w) => (last = nextEntry(last, w.command(numberOf), w.at, w.by)))
  }

  /** Checks the chain of digests, which is slow for long journals. */
  verify(): Problem[] {
    return verifyJournal(this.entries)
  }

  /**
   * Does a command: the view changes at once, the promise resolves when it is on disk. Rejects where the command is
   * not well formed; then nothing is done.
   */
  do(command: CommandType): Promise<void> {
    return this.doAll([command])
  }

  /**
   * Several commands that are one deed, one after the other, shown together; resolves when all are on disk. They bear
   * the same time, by which undo knows them.
   */
  async doAll(commands: readonly CommandType[]): Promise<void> {
    if (!commands.length) return
    const checked = commands.map((c) => Command.parse(c))
    await this.enqueue(checked.map((command) => () => command))
  }

  /** Shows what is done at once, and writes it; resolves when it is on disk. */
  private async enqueue(commands: readonly Waiting['command'][]): Promise<void> {
    const [at, by] = [this.timeOfDeed(), this.options.by()]
    const written = commands.map(
      (command) =>
        new Promise<void>((done) => {
          this.waiting.push({ command, at, by, written: done })
        }),
    )
    this.refold(this.entries)
    this.write()
    await Promise.all(written)
  }

  /** Now; a millisecond later where the deed before bears this very time, so that the two are told apart. */
  private timeOfDeed(): string {
    const at = this.options.now()
    const before = this.waiting.at(-1)?.at ?? this.entries.at(-1)?.at
    return at === before ? new Date(Date.parse(at) + 1).toISOString() : at
  }

  /**
   * Takes back the last deed, all of it, and gives it; undefined where there is nothing to take back. The view changes at
   * once, so that what is done next comes after it. Where another tab has done something meanwhile, so that it would be
   * without effect, nothing is written.
   */
  undo(): Promise<LastDeed | undefined> {
    return this.again('undo')
  }

  /** Does again what was taken back last, all of it. */
  redo(): Promise<LastDeed | undefined> {
    return this.again('redo')
  }

  private async again(kind: 'undo' | 'redo'): Promise<LastDeed | undefined> {
    const all = this.everything()
    const deed = lastDeed(all, kind === 'undo' ? this.folded.done : this.folded.undone)
    if (!deed) return undefined
    const written = this.entries.length
    await this.enqueue(
      deed.seqs.map((seq) => {
        const target: Target = seq < written ? seq : this.waiting[seq - written]!
        return (numberOf) => ({ kind, payload: { seq: numberOf(target) } })
      }),
    )
    return deed
  }

  /** Tries again to write what could not be written. */
  retry(): void {
    this.settled()
      .then(() => this.write())
      .catch((error: unknown) => this.fail(error))
  }

  async settled(): Promise<void> {
    while (this.writing) await this.writing
  }

  close(): void {
    this.closed = true
    this.bus.close()
  }

  /** Puts what is written and what waits together into the view. */
  private refold(entries: Entry[]): void {
    this.entries = entries
    const all = this.everything()
    // Most commands only add; then the fold so far is the snapshot.
    const from =
      this.foldedUpTo && this.foldedUpTo.length <= all.length
        ? snapshotOf(this.foldedUpTo, this.folded)
        : undefined
    this.folded = (from && foldFrom(from, all)) ?? fold(all)
    this.foldedUpTo = all
    this.setState(this.waiting.length ? 'saving' : 'saved')
  }

  private setState(state: SaveState): void {
    this.state = state
    if (!this.closed) this.options.onChange(this.view())
  }

  private fail(error: unknown): void {
    this.setState(error instanceof Parted ? 'parted' : isFull(error) ? 'full' : 'failed')
    if (!isFull(error)) console.error(error)
  }

  private write(): void {
    if (this.writing) return
    this.writing = this.writeAll().finally(() => {
      this.writing = undefined
    })
  }

  private async writeAll(): Promise<void> {
    while (this.waiting.length) {
      const batch = [...this.waiting]
      try {
        await this.locked(async (db) => {
          const others = await this.takeOthers(db)
          // Another tab may have done something since: an undo that is without effect now is dropped.
          const kept = others ? this.effective(batch) : batch
          const mine = this.numbered(kept)
          await addEntries(db, this.reviewId, mine)
          kept.forEach((w, n) => {
            w.seq = mine[n]!.seq
          })
          this.waiting.splice(0, batch.length)
          if (others) this.foldedUpTo = undefined
          this.refold([...this.entries, ...mine])
        })
      } catch (error) {
        this.fail(error)
        return
      }
      this.bus.postMessage('more')
      for (const w of batch) w.written()
      await this.keepSnapshot(batch.length)
    }
  }

  /** What waits without undos that would do nothing behind what is written now. */
  private effective(waiting: readonly Waiting[]): Waiting[] {
    const deeds = new Deeds(fold(this.entries))
    const kept: Waiting[] = []
    for (const w of waiting) {
      const entry = this.numbered([...kept, w]).at(-1)!
      const command = commandOf(entry)
      if (command.ok && deeds.take(entry.seq, command.value) !== undefined) kept.push(w)
    }
    return kept
  }

  /** Works on the disk while no other tab does; begins anew where the connection was lost meanwhile. */
  private async locked<T>(work: (db: Database) => Promise<T>): Promise<T> {
    const { connection, locks } = this.options
    for (let tries = 1; ; tries++) {
      const lost = connection.lost
      try {
        const db = await connection.get()
        let found: { value: T } | undefined
        await locks.request(`luvren-write/${this.reviewId}`, async () => {
          found = { value: await work(db) }
        })
        return found!.value
      } catch (error) {
        if (connection.lost === lost || tries >= TRIES) throw error
      }
    }
  }

  /**
   * Takes in what other tabs have written since, and gives how many entries. Where the disk has lost what it held (its
   * data were removed while this was open), the entries are still here and are written again.
   */
  private async takeOthers(db: Database): Promise<number> {
    const here = this.entries.length
    const [last, ...more] = await readEntries(db, this.reviewId, Math.max(0, here - 1))
    if (here && !last) {
      const onDisk = await readEntries(db, this.reviewId)
      if (onDisk.some((e, i) => e.digest !== this.entries[i]!.digest)) throw new Parted(PARTED)
      await addEntries(db, this.reviewId, this.entries.slice(onDisk.length))
      return 0
    }
    if (here && last!.digest !== this.entries[here - 1]!.digest) throw new Parted(PARTED)
    // While they were read, some may have come by a broadcast.
    const others = (here ? more : last ? [last, ...more] : []).filter((e) => e.seq >= this.entries.length)
    if (others.length) {
      this.foldedUpTo = undefined
      this.refold([...this.entries, ...others])
    }
    return others.length
  }

  /** Several entries may come at once: what counts is whether a multiple was passed since the last snapshot. */
  private async keepSnapshot(added: number): Promise<void> {
    this.sinceSnapshot += added
    if (this.sinceSnapshot < SNAPSHOT_EVERY || this.waiting.length) return
    this.sinceSnapshot = 0
    const snapshot = snapshotOf(this.entries, this.folded)
    if (!snapshot) return
    try {
      await (await this.options.connection.get()).put('snapshots', { ...snapshot, reviewId: this.reviewId })
    } catch (error) {
      // A snapshot is only a cache: the journal is whole without it, so nothing is said of it but to programmers.
      console.error(error)
    }
  }
  private sinceSnapshot = 0

  /** Another tab has written. */
  private async follow(): Promise<void> {
    const read = await readEntries(await this.options.connection.get(), this.reviewId, this.entries.length)
    // While they were read, some may have come another way.
    const others = read.filter((e) => e.seq >= this.entries.length)
    if (others.length) this.refold([...this.entries, ...others])
  }
}
