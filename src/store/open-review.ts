import {
  blobsOf,
  emptyReview,
  lastDeed,
  missingInWords,
  undoable,
  worksMadeFrom,
  worksOf,
  type Command,
  type Entry,
  type Folded,
  type LastDeed,
  type Review,
  type Works,
} from '@/core/review'
import { plural, problem, type Problem } from '@/core/base'
import { tellInSteps, tellOn, type Told } from '@/core/figures'
import { evidenceOfFirstHalf } from '@/standins'
import type { Blobs } from './blobs'
import { inSteps } from './breathe'
import type { Ground } from './environment'
import { JournalFile, type SaveState } from './journal-file'
import { packages } from './packages'
import { Typing, type Left } from './typing'
import { worksHere } from './works-here'

/** How long the shelf may lag behind, and the check of the journal may wait, in milliseconds. */
const SHELVE_AFTER = 800
const CHECK_AFTER = 1500

/** What the screens show of the open review. */
export interface ReviewView {
  reviewId: string
  entries: readonly Entry[]
  folded: Folded
  /** Its works, what was said of them, and every number. */
  told: Told
  /** How many records were brought in whose bytes this browser no longer has, or has damaged. */
  lost: number
  state: SaveState
  /** Edits of which a person has to choose: what they were typed into was changed elsewhere since. */
  left: readonly Left[]
  /** What is wrong with the journal as it lies on disk. */
  damage: readonly Problem[]
  /** What was on disk and is nowhere to be had any more, in words; empty where nothing is known to be. */
  missing: string
}

export interface OpenReviewOptions extends Ground {
  blobs: Blobs
  by: () => string
  name: () => string
  onChange: (part: Partial<ReviewView>) => void
  /** Something failed that nobody waits for. */
  onError: (error: unknown) => void
  /** The line of this review on the shelf is to be written. */
  shelve: (id: string, entries: readonly Entry[], told: Told) => Promise<void>
  /** How many entries its line on the shelf speaks of, where it does. */
  entriesOnShelf: (id: string) => Promise<number | undefined>
}

/** What was wrong in the state that the review was opened from, and is not shown any more. */
const wrongPart = (part: string): Problem =>
  problem(
    'state-changed',
    'error',
    `What was kept to open this review faster had been changed (${part}), and was thrown away: everything shown now was read anew from the journal.`,
  )

/** The end of a journal is no longer here. */
const entriesGone = (gone: number, left: number): Problem =>
  problem(
    'entries-gone',
    'error',
    `The end of this journal is gone: ${plural(gone, 'entry', 'entries')} behind entry ${left} ${gone === 1 ? 'is' : 'are'} no longer in the storage of this browser.`,
    'entries',
  )

/** What was left out on purpose is no damage: it is told quietly elsewhere. */
const damageIn = (problems: readonly Problem[]): Problem[] => problems.filter((p) => p.severity !== 'note')

/** One review that is open for work. It owns its journal, what is being typed, its works and its timers. */
export class OpenReview {
  private works: Works = worksOf(emptyReview(''), () => undefined)
  private told: Told | undefined
  private shelving: ReturnType<typeof setTimeout> | undefined
  private checking: ReturnType<typeof setTimeout> | undefined
  private loading = 0
  private lost = 0
  private was: SaveState = 'saved'
  private loadedFor: readonly unknown[] = []
  private left: readonly Left[] = []
  private closed = false
  private readonly typing: Typing

  private constructor(
    readonly id: string,
    private readonly file: JournalFile,
    private readonly options: OpenReviewOptions,
  ) {
    this.typing = new Typing({
      ...options,
      reviewId: id,
      review: () => this.file.view().folded.review,
      mayWrite: () => this.file.mayWrite(),
      act: (command) => this.file.do(command),
      onParted: (left) => {
        this.left = [...this.left, left]
        this.tell({ left: this.left })
      },
      onChange: (error) => {
        if (error !== undefined) options.onError(error)
        this.tell({ state: this.state() })
      },
    })
  }

  /** Opens a review; undefined where this browser has none of this id. Rejects where it cannot be read. */
  static async open(id: string, options: OpenReviewOptions): Promise<OpenReview | undefined> {
    // eslint-disable-next-line prefer-const -- the file tells of changes before the review around it is made
    let opened: OpenReview | undefined
    const file = await JournalFile.open(id, {
      ...options,
      bytesAt: (digest) => options.blobs.bytes(digest),
      inMemory: async (digest) =>
        (await options.blobs.rescued(digest)) ?? (await options.records.rescued(digest)),
      wrongInKept: () => options.records.wrongInKept(id),
      evidenceOf: (run) => evidenceOfFirstHalf(file.view().folded.review, run),
      onChange: () => opened?.changed(),
    })
    if (!file.view().entries.length) {
      file.close()
      return undefined
    }
    opened = new OpenReview(id, file, options)
    opened.left = await opened.typing.takeOverLeft()
    await opened.loadWorks()
    opened.tell(opened.view())
    opened.checking = setTimeout(() => {
      opened.check().catch(options.onError)
      // A package may have to be saved when nothing can be fetched any more; what fails here is asked for again then.
      packages().catch(() => undefined)
    }, CHECK_AFTER)
    return opened
  }

  view(): ReviewView {
    const { entries, folded } = this.file.view()
    return {
      reviewId: this.id,
      entries,
      folded,
      told: this.tellNow(),
      lost: this.lost,
      state: this.state(),
      left: this.left,
      damage: damageIn(folded.problems),
      missing: missingInWords(folded.review, this.file.nowhere),
    }
  }

  get review(): Review {
    return this.file.view().folded.review
  }
  act(commands: readonly Command[]): Promise<void> {
    return this.file.doAll(commands)
  }
  /** Writes who works here is called, where it is not known and they did something here. */
  async nameMe(): Promise<void> {
    const { by, name } = this.options
    if (name() && this.file.view().entries.some((e) => e.by === by())) await this.file.nameMe()
  }
  /** What undo would take back, also where it is not on disk yet. */
  nextUndo(): LastDeed | undefined {
    return lastDeed(this.file.everything(), undoable(this.file.view().folded))
  }
  async undo(): Promise<LastDeed | undefined> {
    await this.typing.settled()
    return this.file.undo()
  }
  redo(): Promise<LastDeed | undefined> {
    return this.file.redo()
  }
  retry(): void {
    this.typing.flush()
    this.file.retry()
    this.loadWorks().catch(this.options.onError)
  }
  flush(): void {
    this.typing.flush()
  }
  /** Is anything on the screen that is not on disk? */
  get unsaved(): boolean {
    return this.typing.unsaved || this.file.view().state !== 'saved'
  }
  type(key: string, command: Command): void {
    this.typing.type(key, command)
  }
  typedAt(key: string): Command | undefined {
    return this.typing.at(key)
  }
  commit(key: string, command: Command): Promise<void> {
    return this.typing.commit(key, command)
  }
  discard(key: string): Promise<void> {
    return this.typing.discard(key)
  }
  async settleLeft(left: Left, take: boolean): Promise<void> {
    await this.typing.settle(left, take)
    this.left = this.left.filter((l) => l !== left)
    this.tell({ left: this.left })
  }

  /** Looks whether what was on disk still is; see `JournalFile.look`. */
  look(): Promise<void> {
    return this.file.look()
  }
  /** Takes in what other tabs have written; for a review that was not looked at for a while. False where it is no longer here. */
  async stillHere(): Promise<boolean> {
    const { connection } = this.options
    return (await (await connection.get()).getKey('entries', [this.id, 0])) !== undefined
  }

  /**
   * All of it as a package: what is written, what waits to be written and what is being typed. Bytes that this browser
   * cannot give are left out, and the package says so; `lacks` says what they were, in words.
   */
  async pack(): Promise<{ bytes: Uint8Array; lacks: string }> {
    const { blobs, records } = this.options
    const { packReview } = await packages()
    const { entries, beside: found, unfinished } = this.file.withTyped(this.typing.all())
    const leftOut = new Set<string>()
    for (const digest of new Set(entries.flatMap(blobsOf))) {
      const bytes = found.get(digest) ?? (await blobs.rescued(digest)) ?? (await records.rescued(digest))
      if (bytes) found.set(digest, bytes)
      else leftOut.add(digest)
    }
    const { review } = this.file.view().folded
    const packed = { entries, blobs: found, leftOut: [...leftOut].sort(), unfinished }
    return { bytes: packReview(packed, review.title), lacks: missingInWords(review, leftOut) }
  }

  /** The same for whoever packs it elsewhere: the journal, and what is not on disk yet. */
  packing(): { entries: Entry[]; beside: Map<string, Uint8Array>; unfinished: Command[] } {
    return this.file.withTyped(this.typing.all())
  }

  /** Lets go of the review, and of nothing else in this browser; what is typed is put on disk and the shelf is written first. */
  close(): void {
    this.typing.close()
    if (this.shelving) this.shelveNow()
    this.closed = true
    clearTimeout(this.checking)
    this.file.close()
  }

  private state(): SaveState {
    const { state } = this.file.view()
    return state === 'saved' && this.typing.unsaved ? 'saving' : state
  }

  private tell(part: Partial<ReviewView>): void {
    if (!this.closed) this.options.onChange(part)
  }

  private changed(): void {
    const { entries, folded, state } = this.file.view()
    // What was counted as lost may have been written anew.
    const back = this.lost > 0 && this.was !== 'saved' && state === 'saved'
    this.was = state
    const missing = missingInWords(folded.review, this.file.nowhere)
    this.tell({ entries, folded, told: this.tellNow(), state: this.state(), missing })
    if (back || worksMadeFrom(folded.review).some((part, i) => part !== this.loadedFor[i]))
      this.loadWorks().catch(this.options.onError)
    this.shelving ??= setTimeout(() => this.shelveNow(), SHELVE_AFTER)
  }

  /** Writes its line on the shelf anew. */
  shelveNow(): void {
    clearTimeout(this.shelving)
    this.shelving = undefined
    this.options.shelve(this.id, this.file.view().entries, this.tellNow()).catch(this.options.onError)
  }

  private async loadWorks(): Promise<void> {
    const mine = ++this.loading
    const { review } = this.file.view().folded
    this.loadedFor = worksMadeFrom(review)
    const { works, lost } = await this.options.records.works(review)
    const found = await worksHere(works, review.imports)
    const told = await inSteps(tellInSteps(review, found))
    // What was asked for last counts, whichever is read first.
    if (mine !== this.loading) return
    this.works = found
    this.told = told
    this.lost = lost
    this.tell({ told: this.tellNow(), lost })
  }

  private tellNow(): Told {
    return (this.told = tellOn(this.told, this.file.view().folded.review, this.works))
  }

  /** Checks the chain of digests once the screen is there: a change of the file on disk must not pass unseen. */
  private async check(): Promise<void> {
    const chain = await this.file.verify()
    const wrong = chain.length ? [] : await this.file.checkKept()
    // The chain cannot tell that its end is gone.
    const { entries } = this.file.view()
    const cut = ((await this.options.entriesOnShelf(this.id)) ?? 0) - entries.length
    const damage = damageIn([
      ...this.file.view().folded.problems,
      ...chain,
      ...(cut > 0 ? [entriesGone(cut, entries.length)] : []),
      ...wrong.map(wrongPart),
    ])
    if (damage.length) {
      this.tell({ damage })
      await this.file.forgetCopy()
    } else await this.file.keepSnapshot()
    // Records that this browser has lost are known at once; damaged ones when all of them were read.
    const lost = await this.options.records.check(this.file.view().folded.review)
    if (lost > this.lost) this.tell({ lost: (this.lost = lost) })
  }
}
