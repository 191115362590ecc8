import {
  Command,
  fold,
  foldFrom,
  nextEntry,
  snapshotOf,
  type Command as CommandType,
  type Entry,
  type Folded,
} from '@/core/review'
import { addEntries, isFull, readEntries, type Database, type Pending } from './db'

export type SaveState = 'saved' | 'saving' | 'full' | 'failed'

export interface JournalView {
  entries: readonly Entry[]
  folded: Folded
  state: SaveState
}

interface Waiting {
  command: CommandType
  at: string
  by: string
  written: () => void
}

export interface JournalOptions {
  now: () => string
  by: () => string
  /** Names this tab among the others. */
  tab: string
  onChange: (view: JournalView) => void
}

/** Entries between two snapshots. */
const SNAPSHOT_EVERY = 200

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
  private readonly channel: BroadcastChannel
  private closed = false
  /** The entries, written and waiting, that `folded` holds. */
  private foldedUpTo: Entry[] | undefined

  private constructor(
    private readonly db: Database,
    readonly reviewId: string,
    private readonly options: JournalOptions,
  ) {
    this.channel = new BroadcastChannel(`luvren/${reviewId}`)
    this.channel.onmessage = () => void this.follow()
  }

  static async open(db: Database, reviewId: string, options: JournalOptions): Promise<JournalFile> {
    const file = new JournalFile(db, reviewId, options)
    file.entries = await readEntries(db, reviewId)
    const snapshot = await db.get('snapshots', reviewId)
    file.folded = (snapshot && foldFrom(snapshot, file.entries)) ?? fold(file.entries)
    await file.takeOverPending()
    return file
  }

  view(): JournalView {
    return { entries: this.entries, folded: this.folded, state: this.state }
  }

  /**
   * Does a command: the view changes at once, the promise resolves when it is on disk. Throws where the command is
   * not well formed, which is a programmer's mistake.
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
    const [at, by] = [this.timeOfDeed(), this.options.by()]
    const written = checked.map(
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

  /** Takes back the last deed, all of it. */
  async undo(): Promise<void> {
    await this.settled()
    await this.doAll(this.lastDeed(this.folded.done).map((seq) => ({ kind: 'undo', payload: { seq } })))
  }

  /** Does again what was taken back last, all of it. */
  async redo(): Promise<void> {
    await this.settled()
    await this.doAll(this.lastDeed(this.folded.undone).map((seq) => ({ kind: 'redo', payload: { seq } })))
  }

  /** Of these entries those that were done together with the last, the last first. */
  private lastDeed(seqs: readonly number[]): number[] {
    const last = this.entries[seqs[seqs.length - 1] ?? -1]
    const before = seqs.findLastIndex((seq) => {
      const entry = this.entries[seq]
      return entry?.at !== last?.at || entry?.by !== last?.by
    })
    return last ? seqs.slice(before + 1).reverse() : []
  }

  /** Tries again to write what could not be written. */
  retry(): void {
    this.write()
  }

  async settled(): Promise<void> {
    while (this.writing) await this.writing
  }

  /** Keeps an unfinished edit on disk under `key`, in the place of the one before it. */
  async stage(key: string, command: CommandType): Promise<void> {
    const id = `${this.reviewId}/${this.options.tab}/${key}`
    const pending: Pending = {
      id,
      reviewId: this.reviewId,
      tab: this.options.tab,
      at: this.options.now(),
      by: this.options.by(),
      command,
    }
    await this.guarded(() => this.db.put('pending', pending))
  }

  /** The edit under `key` is finished: it becomes an entry. */
  async commit(key: string, command: CommandType): Promise<void> {
    await this.do(command)
    await this.db.delete('pending', `${this.reviewId}/${this.options.tab}/${key}`)
  }

  /** The edit under `key` was given up. */
  async discard(key: string): Promise<void> {
    await this.guarded(() => this.db.delete('pending', `${this.reviewId}/${this.options.tab}/${key}`))
  }

  close(): void {
    this.closed = true
    this.channel.close()
  }

  /** Edits that a tab left unfinished when it ended become entries now. */
  private async takeOverPending(): Promise<void> {
    const held = new Set((await navigator.locks.query()).held?.map((l) => l.name))
    const left = (await this.db.getAllFromIndex('pending', 'byReview', this.reviewId)).filter(
      (p) => p.tab !== this.options.tab && !held.has(`luvren-tab/${p.tab}`),
    )
    for (const p of left) {
      const read = Command.safeParse(p.command)
      // What is not understood stays where it is, for a version that understands it.
      if (!read.success) continue
      await this.do(read.data)
      await this.db.delete('pending', p.id)
    }
  }

  /** Puts what is written and what waits together into the view. */
  private refold(entries: Entry[]): void {
    this.entries = entries
    let last = entries[entries.length - 1]
    const virtual = this.waiting.map((w) => (last = nextEntry(last, w.command, w.at, w.by)))
    const all = [...entries, ...virtual]
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

  private write(): void {
    if (this.writing) return
    this.writing = this.writeAll().finally(() => {
      this.writing = undefined
    })
  }

  private async writeAll(): Promise<void> {
    while (this.waiting.length) {
      const batch = [...this.waiting]
      const ok = await this.guarded(() =>
        navigator.locks.request(`luvren-write/${this.reviewId}`, async () => {
          const read = await readEntries(this.db, this.reviewId, this.entries.length)
          const others = this.notYetHere(read)
          const base = [...this.entries, ...others]
          let last = base[base.length - 1]
          const mine = batch.map((w) => (last = nextEntry(last, w.command, w.at, w.by)))
          await addEntries(this.db, this.reviewId, mine)
          this.waiting.splice(0, batch.length)
          if (others.length) this.foldedUpTo = undefined
          this.refold([...base, ...mine])
        }),
      )
      if (!ok) return
      this.channel.postMessage('more')
      for (const w of batch) w.written()
      await this.keepSnapshot(batch.length)
    }
  }

  /** Several entries may come at once: what counts is whether a multiple was passed. */
  private async keepSnapshot(added: number): Promise<void> {
    const passed = (n: number): number => Math.floor(n / SNAPSHOT_EVERY)
    if (passed(this.entries.length) === passed(this.entries.length - added) || this.waiting.length) return
    const snapshot = snapshotOf(this.entries, this.folded)
    if (snapshot) await this.guarded(() => this.db.put('snapshots', { ...snapshot, reviewId: this.reviewId }))
  }

  /** Of entries read from disk those behind the ones here: while they were read, some may have come another way. */
  private notYetHere(read: Entry[]): Entry[] {
    return read.filter((e) => e.seq >= this.entries.length)
  }

  /** Another tab has written. */
  private async follow(): Promise<void> {
    const read = await readEntries(this.db, this.reviewId, this.entries.length)
    const others = this.notYetHere(read)
    if (others.length) this.refold([...this.entries, ...others])
  }

  private async guarded(work: () => Promise<unknown>): Promise<boolean> {
    try {
      await work()
      return true
    } catch (error) {
      this.setState(isFull(error) ? 'full' : 'failed')
      if (!isFull(error)) console.error(error)
      return false
    }
  }
}
