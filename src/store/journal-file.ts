import {
  besideOf,
  blobsOf,
  Command,
  commandOf,
  Deeds,
  fold,
  foldFrom,
  foldInSteps,
  isToGoOver,
  lastDeed,
  newerProblem,
  readsBeside,
  nextEntry,
  snapshotOf,
  snapshotToKeep,
  undoable,
  verifyInSteps,
  type Beside,
  type Command as CommandType,
  type Entry,
  type Folded,
  type LastDeed,
  type Writing,
} from '@/core/review'
import { digestOf, type Problem } from '@/core/base'
import { inSteps } from './breathe'
import { addEntries, isFull, readEntries, type Database } from './db'
import { dropPieces, entriesOf, keepPieces } from './entry-pieces'
import { Refusal } from './refusal'
import { asStored, beforeWriting, storedBeside, type Target, type Waiting, type Worker } from './waiting'
import type { Channel, Ground } from './environment'

/**
 * Is what was done on disk? `parted`: what is on disk is another history than the one shown here. `removed`: what was on
 * disk is gone, and can be written anew. `gone`: it cannot, for something that lay beside the journal is nowhere else.
 */
export type SaveState = 'saved' | 'saving' | 'full' | 'failed' | 'parted' | 'removed' | 'gone'

export interface JournalView {
  entries: readonly Entry[]
  folded: Folded
  state: SaveState
}

export interface JournalOptions
  extends Worker, Pick<Ground, 'connection' | 'now' | 'newSalt' | 'locks' | 'channel'> {
  onChange: (view: JournalView) => void
  /** What lies beside the journal. */
  bytesAt: (digest: string) => Promise<Uint8Array | undefined>
  /** The same where the storage was lost: from memory, here or in the workers. */
  inMemory: (digest: string) => Promise<Uint8Array | undefined>
  /** Which parts of the state that is kept of this review its journal does not say; see `kept-state.ts`. */
  wrongInKept: () => Promise<{ seq: number; wrong: string[] } | undefined>
}

/** Entries between two snapshots, at least; in a long journal, a snapshot costs more and comes less often. */
const SNAPSHOT_EVERY = 200
const SNAPSHOT_SHARE = 0.05
/** How often a write is tried again by itself after the connection was lost. */
const TRIES = 3

/** Folds on from what is folded up to some entries; undefined where these are not the beginning of `all`. */
function foldOn(upTo: Entry[], folded: Folded, all: readonly Entry[], beside: Beside): Folded | undefined {
  const from = snapshotOf(upTo, folded)
  return from && foldFrom(from, all, beside)
}

const firstOf = <A, B>(list: readonly A[], find: (of: A) => B | undefined): B | undefined => {
  for (const one of list) {
    const found = find(one)
    if (found !== undefined) return found
  }
  return undefined
}

/** What is on disk does not go on from what is shown. */
class Parted extends Error {}
const PARTED = 'The journal on disk is another than the one that is open.'
/** What lay beside the journal is no longer on disk, and not in memory either. */
class Gone extends Error {}

/**
 * The journal of one review in this browser. One tab writes at a time (a Web Lock around each write); a write first
 * takes over what other tabs have added, so that the chain of digests has one line. Other tabs follow by a broadcast.
 */
export class JournalFile {
  private entries: Entry[] = []
  private folded: Folded = fold([])
  private waiting: Waiting[] = []
  /** What was read of what lies beside the journal, part after part as entries came. */
  private readonly read: Required<Beside>[] = []
  private readonly beside: Beside = {
    side: (digest) => firstOf(this.read, (b) => b.side?.(digest)),
    state: (digest) => firstOf(this.read, (b) => b.state?.(digest)),
  }
  private state: SaveState = 'saved'
  /** What of all that lies beside the journal is nowhere to be had, as far as it was looked for. */
  private missing: ReadonlySet<string> = new Set()
  /** How many connections had been lost when all that the journal reaches was last known to be on disk. */
  private wholeAt = 0
  private writes: Promise<void> | undefined
  private readonly bus: Channel
  private closed = false
  /** The entries, written and waiting, that `folded` holds. */
  private foldedUpTo: Entry[] = []
  /** The same of those that are written, as far as they were folded alone. */
  private base: { entries: Entry[]; folded: Folded } = { entries: [], folded: this.folded }

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
    file.entries = await entriesOf(db, reviewId)
    await file.learnBeside(file.entries)
    const snapshot = await db.get('snapshots', reviewId)
    const from =
      snapshot && (await inSteps(foldInSteps(file.entries, snapshot, file.beside)).catch(() => undefined))
    file.folded = from ?? (await file.foldWhole())
    // The next opening need not fold what this one had to.
    file.sinceSnapshot = from ? file.next - snapshot.seq : file.next
    file.foldedUpTo = file.entries
    file.base = { entries: file.entries, folded: file.folded }
    file.wholeAt = options.connection.lost
    file.trusted = !from
    return file
  }

  private async foldWhole(): Promise<Folded> {
    return (await inSteps(foldInSteps(this.entries, undefined, this.beside)))!
  }

  /** Reads what these need from beside the journal. */
  private async learnBeside(entries: readonly Pick<Entry, 'kind' | 'payload'>[]): Promise<void> {
    if (entries.some((e) => readsBeside(e.kind)))
      this.read.push(await besideOf(entries, this.options.bytesAt))
  }

  view(): JournalView {
    return { entries: this.entries, folded: this.folded, state: this.state }
  }

  /** The number of the entry that is written next. */
  private get next(): number {
    return (this.entries.at(-1)?.seq ?? -1) + 1
  }

  /** Written or not: the journal as the screen has it. */
  everything(): Entry[] {
    return this.waiting.length ? [...this.entries, ...this.numbered(this.waiting)] : this.entries
  }

  /**
   * The same with edits that are still being typed, as far as they can be entries, and what has to lie beside them and is
   * not on disk yet: for saving what can be saved.
   */
  withTyped(commands: readonly CommandType[]): {
    entries: Entry[]
    beside: Map<string, Uint8Array>
    /** What cannot be an entry as it stands. */
    unfinished: CommandType[]
  } {
    const at = this.timeOfDeed()
    const more = [...this.waiting]
    if (newerProblem(this.entries))
      return { entries: this.everything(), beside: new Map(), unfinished: [...commands] }
    if (commands.length) this.prepare(this.foldedUpTo, this.folded, at, more)
    const fit = new Set(commands.filter((command) => Command.safeParse(command).success))
    for (const command of fit)
      more.push({ command: () => command, writing: this.writing(at), written: () => undefined })
    const beside = new Map<string, Uint8Array>()
    for (const { beside: bytes } of more) if (bytes) beside.set(digestOf(bytes), bytes)
    return {
      entries: [...this.entries, ...this.numbered(more)],
      beside,
      unfinished: commands.filter((command) => !fit.has(command)),
    }
  }

  /** What waits, as entries behind those that are written. */
  private numbered(waiting: readonly Waiting[]): Entry[] {
    const base = this.next
    const numberOf = (t: Target): number => (typeof t === 'number' ? t : (t.seq ?? base + waiting.indexOf(t)))
    let last = this.entries.at(-1)
    return waiting.map((w) => (last = nextEntry(last, w.command(numberOf, last), w.writing)))
  }

  /** Checks the chain of digests, which is slow for long journals. */
  verify(): Promise<Problem[]> {
    return inSteps(verifyInSteps(this.entries), true)
  }

  /** What is wrong is looked for in the rows themselves when it is opened again, not in their copy. */
  async forgetCopy(): Promise<void> {
    await dropPieces(await this.options.connection.get(), this.reviewId)
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
    this.mayWrite()
    const checked = commands.map((c) => Command.parse(c))
    // What another person did must be at hand before it can be shown.
    if (checked.some((c) => c.kind === 'side.take')) await this.learnBeside(checked)
    await this.enqueue(checked.map((command) => () => command))
  }

  /**
   * Throws where a newer version wrote: what it did is not known here, and what is written behind it could undo it, or mean
   * something else.
   */
  mayWrite(): void {
    const newer = newerProblem(this.entries)
    if (newer) throw new Refusal(newer.message)
  }

  /** Writes only what has to be known of who works here; nothing where it is, or where nothing may be written. */
  async nameMe(): Promise<void> {
    if (newerProblem(this.entries)) return
    await this.enqueue([])
    await this.settled()
  }

  /** Shows what is done at once, and writes it; resolves when it is on disk. */
  private async enqueue(commands: readonly Waiting['command'][], again = false): Promise<void> {
    const at = this.timeOfDeed()
    if (!again) this.prepare(this.foldedUpTo, this.folded, at, this.waiting)
    const written = commands.map(
      (command) =>
        new Promise<void>((done) => {
          this.waiting.push({ command, writing: this.writing(at), written: done })
        }),
    )
    if (!this.waiting.length) return
    this.refold(this.entries)
    this.write()
    await Promise.all(written)
  }

  private writing(at: string): Writing {
    const { by, name, newSalt } = this.options
    return { at, by: by(), name: name(), salt: newSalt() }
  }

  /** Lets wait what has to be written before anything else is. */
  private prepare(entries: readonly Entry[], folded: Folded, at: string, waiting: Waiting[]): void {
    for (const one of beforeWriting(entries, folded, this.options))
      waiting.push({ ...one, writing: this.writing(at), written: () => undefined })
  }

  /** Now; a millisecond later where the deed before bears this very time, so that the two are told apart. */
  private timeOfDeed(): string {
    const at = this.options.now()
    const before = this.waiting.at(-1)?.writing.at ?? this.entries.at(-1)?.at
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
    this.mayWrite()
    const all = this.everything()
    const deed = lastDeed(all, kind === 'undo' ? undoable(this.folded) : this.folded.undone)
    if (!deed) return undefined
    if (deed.stays && kind === 'undo')
      throw new Refusal(
        `“${deed.words}” was done together with “${deed.stays}”, which happened: neither is taken back. Change by hand what is not right, or correct the count.`,
      )
    const written = this.next
    await this.enqueue(
      deed.seqs.map((seq) => {
        const target: Target = seq < written ? seq : this.waiting[seq - written]!
        return (numberOf) => ({ kind, payload: { seq: numberOf(target) } })
      }),
      true,
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
    while (this.writes) await this.writes
  }

  close(): void {
    this.closed = true
    this.bus.close()
  }

  /** Puts what is written and what waits together into the view. */
  private refold(entries: Entry[]): void {
    this.entries = entries
    const all = this.everything()
    this.folded =
      foldOn(this.foldedUpTo, this.folded, all, this.beside) ??
      foldOn(this.base.entries, this.base.folded, all, this.beside) ??
      fold(all, this.beside)
    this.foldedUpTo = all
    if (!this.waiting.length) this.base = { entries: this.entries, folded: this.folded }
    this.setState(this.waiting.length ? 'saving' : 'saved')
  }

  private setState(state: SaveState): void {
    this.state = state
    if (!this.closed) this.options.onChange(this.view())
  }

  private fail(error: unknown): void {
    this.setState(
      error instanceof Parted ? 'parted' : error instanceof Gone ? 'gone' : isFull(error) ? 'full' : 'failed',
    )
    if (!isFull(error)) console.error(error)
  }

  private write(): void {
    if (this.writes) return
    this.writes = this.writeAll().finally(() => {
      this.writes = undefined
    })
  }

  private async writeAll(): Promise<void> {
    while (this.waiting.length) {
      const batch = [...this.waiting]
      let kept = batch
      try {
        await this.locked(async (db) => {
          const others = await this.takeOthers(db)
          if (others) this.mayWrite()
          // Another tab may have done something since: an undo that is without effect now is dropped.
          kept = others ? this.effective(this.stillToGoOver(batch)) : batch
          const mine = this.numbered(kept)
          await addEntries(db, this.reviewId, mine, await storedBeside(kept))
          kept.forEach((w, n) => {
            w.seq = mine[n]!.seq
          })
          this.waiting.splice(0, batch.length)
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

  /** What is written, without what waits. */
  private foldWritten(): Folded {
    return (
      foldOn(this.base.entries, this.base.folded, this.entries, this.beside) ??
      fold(this.entries, this.beside)
    )
  }

  /** What waits, with what going over asks for now: another tab may have done that, or written more before it. */
  private stillToGoOver(batch: readonly Waiting[]): Waiting[] {
    const before: Waiting[] = []
    const own = batch.filter((w) => !w.goesOver)
    if (batch.length > own.length && isToGoOver(this.entries))
      this.prepare(this.entries, this.foldWritten(), batch[0]!.writing.at, before)
    return [...before, ...own]
  }

  /** What waits without undos that would do nothing behind what is written now. */
  private effective(waiting: readonly Waiting[]): Waiting[] {
    const deeds = new Deeds(this.foldWritten())
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
        return await locks.request(`luvren-write/${this.reviewId}`, {}, () => work(db))
      } catch (error) {
        if (connection.lost === lost || tries >= TRIES) throw error
      }
    }
  }

  /** Looks whether what was on disk still is, after a connection was lost, and says so by the state. Writes nothing. */
  async look(): Promise<void> {
    const db = await this.options.connection.get()
    const onDisk = await readEntries(db, this.reviewId)
    const whole = onDisk.length >= this.entries.length
    const missing = await this.notOnDisk(db)
    if (whole && !missing.length) {
      this.wholeAt = this.options.connection.lost
      if (this.state === 'removed' || this.state === 'gone') this.setState('saved')
      return
    }
    await this.fromMemory(missing)
    this.setState(this.missing.size ? 'gone' : 'removed')
  }

  /** What of all that was written here is nowhere to be had, as far as it was looked for. */
  get nowhere(): ReadonlySet<string> {
    return this.missing
  }

  private async notOnDisk(db: Database): Promise<string[]> {
    const there = new Set(await db.getAllKeys('blobs'))
    return [...new Set(this.entries.flatMap(blobsOf))].filter((digest) => !there.has(digest))
  }

  /** As many of these as are in memory; the others are known as missing from then on. */
  private async fromMemory(digests: readonly string[]): Promise<Map<string, Uint8Array>> {
    const found = new Map<string, Uint8Array>()
    for (const digest of digests) {
      const bytes = await this.options.inMemory(digest)
      if (bytes) found.set(digest, bytes)
    }
    this.missing = new Set(digests.filter((digest) => !found.has(digest)))
    return found
  }

  /**
   * Where the disk may have lost what it held (its data were removed while this was open), everything is written again: the
   * entries that are gone and what lies beside them, in one go, or nothing at all where something is nowhere to be had.
   */
  private async writeAgain(db: Database, last: Entry | undefined): Promise<void> {
    const { lost } = this.options.connection
    if (last && this.wholeAt === lost) return
    const onDisk = last ? this.entries : await readEntries(db, this.reviewId)
    if (onDisk.some((e, i) => e.digest !== this.entries[i]?.digest)) throw new Parted(PARTED)
    const found = await this.fromMemory(await this.notOnDisk(db))
    if (this.missing.size) throw new Gone('Something that lay beside the journal is not on disk any more.')
    const gone = this.entries.slice(onDisk.length)
    if (gone.length || found.size) await addEntries(db, this.reviewId, gone, await asStored(found))
    this.wholeAt = lost
  }

  /** Takes in what other tabs have written since, and gives how many entries. */
  private async takeOthers(db: Database): Promise<number> {
    const here = this.entries.length
    const lastHere = this.entries[here - 1]?.seq ?? -1
    const [last, ...more] = await readEntries(db, this.reviewId, Math.max(0, lastHere))
    if (here) await this.writeAgain(db, last)
    if (here && !last) return 0
    if (here && last!.digest !== this.entries[here - 1]!.digest) throw new Parted(PARTED)
    await this.learnBeside(last ? [last, ...more] : more)
    // While they were read, some may have come by a broadcast.
    const others = (here ? more : last ? [last, ...more] : []).filter((e) => e.seq >= this.next)
    if (others.length) this.refold([...this.entries, ...others])
    return others.length
  }

  /**
   * Holds the state that this was opened from against the journal, and reads everything anew from that where they differ;
   * gives the parts that differ. Until then no other state is kept in its place.
   */
  async checkKept(): Promise<string[]> {
    if (this.trusted) return []
    const { wrong } = (await this.options.wrongInKept()) ?? { wrong: [] }
    if (wrong.length) {
      await (await this.options.connection.get()).delete('snapshots', this.reviewId)
      this.foldedUpTo = []
      this.folded = fold([])
      this.base = { entries: [], folded: this.folded }
      this.refold(this.entries)
    }
    this.trusted = true
    return wrong
  }
  private trusted = false

  /** Several entries may come at once: what counts is whether a multiple was passed since the last snapshot. */
  async keepSnapshot(added = 0): Promise<void> {
    this.sinceSnapshot += added
    if (!this.trusted) return
    if (this.sinceSnapshot < Math.max(SNAPSHOT_EVERY, this.entries.length * SNAPSHOT_SHARE)) return
    this.sinceSnapshot = 0
    // Behind it wait some deeds, so that they can be undone without the whole journal when it is opened again.
    const snapshot = snapshotToKeep(this.entries, this.folded)
    if (!snapshot) return
    try {
      const db = await this.options.connection.get()
      await db.put('snapshots', { ...snapshot, reviewId: this.reviewId })
      await keepPieces(db, this.reviewId, this.entries)
    } catch (error) {
      // A snapshot is only a cache: the journal is whole without it, so nothing is said of it but to programmers.
      console.error(error)
    }
  }
  private sinceSnapshot = 0

  /** Another tab has written. */
  private async follow(): Promise<void> {
    const read = await readEntries(await this.options.connection.get(), this.reviewId, this.next)
    // While they were read, some may have come another way.
    await this.learnBeside(read)
    const others = read.filter((e) => e.seq >= this.next)
    if (others.length) this.refold([...this.entries, ...others])
  }
}
