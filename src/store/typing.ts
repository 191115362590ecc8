import { Command, heldBy, takeOver, type Review } from '@/core/review'
import { Refusal } from './refusal'
import type { Pending } from './db'
import type { Ground } from './environment'

/** The longest that what is typed stays in memory alone, in milliseconds; with the write it is under 350. */
const STAGE_WITHIN = 200

/** An edit that cannot simply be finished, for what it was typed into was changed elsewhere: a person has to choose. */
export interface Left {
  pending: Pending
  /** What was typed, as far as it is understood. */
  typed: Command | undefined
  /** What the field holds now; undefined where there is no such field any more. */
  now: unknown
}

interface Typed {
  command: Command
  /** What the field held when the typing began. */
  held: unknown
  at: string
  /** Is it on disk as it stands here? */
  staged: boolean
}

export interface TypingOptions extends Pick<Ground, 'connection' | 'now' | 'tab' | 'locks'> {
  reviewId: string
  by: () => string
  review: () => Review
  /** Throws why nothing may be written into this review, where that is so. */
  mayWrite: () => void
  /** Finishes an edit: it becomes an entry. */
  act: (command: Command) => Promise<void>
  /** What a finished edit was typed into was changed elsewhere meanwhile: a person has to choose. */
  onParted: (left: Left) => void
  /** Whether something is in memory alone has changed, or an edit could not be staged. */
  onChange: (error?: unknown) => void
}

/**
 * What is being typed in the open review. It is on disk at once, in the place of what was typed before in the same field,
 * and becomes an entry when it is finished. While anything is in memory alone, nothing is said to be saved.
 */
export class Typing {
  private readonly fields = new Map<string, Typed>()
  private timer: ReturnType<typeof setTimeout> | undefined
  private staging: Promise<void> = Promise.resolve()

  constructor(private readonly options: TypingOptions) {}

  /** Is anything in memory alone? */
  get unsaved(): boolean {
    return [...this.fields.values()].some((t) => !t.staged)
  }

  /** What has been typed in a field and is not finished. */
  at(key: string): Command | undefined {
    return this.fields.get(key)?.command
  }

  /** All that is typed and not finished, in the order in which it was begun. */
  all(): Command[] {
    return [...this.fields.values()].map((t) => t.command)
  }

  /** A field holds something new. Never waits for the typing to rest: a timer that runs is left running. */
  type(key: string, command: Command): void {
    const before = this.fields.get(key)
    const held = before ? before.held : heldBy(this.options.review(), command)
    this.fields.set(key, { command, held, at: this.options.now(), staged: false })
    this.options.onChange()
    this.timer ??= setTimeout(() => this.flush(), STAGE_WITHIN)
  }

  /** Puts on disk what is in memory alone. Also called when the page is hidden or left. */
  flush(): void {
    clearTimeout(this.timer)
    this.timer = undefined
    const open = [...this.fields].filter(([, t]) => !t.staged)
    if (open.length)
      this.staging = this.stage(open).then(
        () => this.options.onChange(),
        (error: unknown) => this.options.onChange(error),
      )
  }

  /**
   * The edit of a field is finished. Throws where its command is not well formed or nothing may be written; then the text stays
   * as it was. Where the same was changed elsewhere since the typing began, in another tab or by a file, neither takes the
   * place of the other: what was typed stays on disk, and a person chooses.
   */
  commit(key: string, command: Command): Promise<void> {
    const read = Command.safeParse(command)
    if (!read.success) throw read.error
    this.options.mayWrite()
    const typed = this.fields.get(key)
    const what = typed ? takeOver(this.options.review(), command, typed.held) : { take: command }
    if ('ask' in what) return this.part(key, command, typed!, what.ask.now)
    this.fields.delete(key)
    if ('done' in what) {
      this.options.onChange()
      return this.forget(key)
    }
    return this.options.act(what.take).then(() => this.forget(key))
  }

  /** Keeps a finished edit beside what its field holds now, under a name of its own. */
  private async part(key: string, command: Command, typed: Typed, now: unknown): Promise<void> {
    const { connection } = this.options
    const pending = this.pendingOf(`${this.id(key)}/${typed.at}`, { ...typed, command })
    this.fields.delete(key)
    await (await connection.get()).put('pending', pending)
    this.options.onParted({ pending, typed: command, now })
    this.options.onChange()
    await this.forget(key)
  }

  /** The edit of a field was given up. */
  discard(key: string): Promise<void> {
    this.fields.delete(key)
    this.options.onChange()
    return this.forget(key)
  }

  /** Resolves when what was being put on disk is there. */
  async settled(): Promise<void> {
    await this.staging
  }

  close(): void {
    this.flush()
  }

  private id(key: string): string {
    return `${this.options.reviewId}/${this.options.tab}/${key}`
  }

  /** An edit as it lies on disk. */
  private pendingOf(id: string, { command, held, at }: Typed): Pending {
    const { reviewId, tab, by } = this.options
    return { id, reviewId, tab, at, by: by(), command, held: held ?? null }
  }

  private async stage(open: readonly (readonly [string, Typed])[]): Promise<void> {
    const db = await this.options.connection.get()
    const tx = db.transaction('pending', 'readwrite')
    await Promise.all([
      ...open
        // What was finished meanwhile needs no staging.
        .filter(([key, typed]) => this.fields.get(key) === typed)
        .map(([key, typed]) => tx.store.put(this.pendingOf(this.id(key), typed))),
      tx.done,
    ])
    for (const [, typed] of open) typed.staged = true
  }

  private async forget(key: string): Promise<void> {
    if (this.fields.has(key)) return
    await this.staging
    await (await this.options.connection.get()).delete('pending', this.id(key))
  }

  /**
   * Edits that other tabs left unfinished when they ended: finished where the field is as it was then, dropped where it
   * holds them already; the others are given back, for a person to choose. Where nothing may be written they stay as they are.
   */
  async takeOverLeft(): Promise<Left[]> {
    const { connection, tab, reviewId, locks, mayWrite, act, review } = this.options
    try {
      mayWrite()
    } catch {
      // Why is told where the review is shown.
      return []
    }
    const db = await connection.get()
    const held = new Set((await locks.query()).held?.map((l) => l.name))
    const left = (await db.getAllFromIndex('pending', 'byReview', reviewId))
      .filter((p) => p.tab !== tab && !held.has(`luvren-tab/${p.tab}`))
      .sort((a, b) => (a.at < b.at ? -1 : 1))
    const open: Left[] = []
    for (const pending of left) {
      const read = Command.safeParse(pending.command)
      if (!read.success) {
        open.push({ pending, typed: undefined, now: undefined })
        continue
      }
      // Edits of the first form do not say what the field held: they are finished only where it is empty still.
      const what = takeOver(review(), read.data, pending.held ?? undefined)
      if ('ask' in what) {
        open.push({ pending, typed: read.data, now: what.ask.now })
        continue
      }
      const gone = async (): Promise<void> => {
        await (await connection.get()).delete('pending', pending.id)
      }
      // Not waited for: where the storage is full it is shown and kept, and written when there is room.
      if ('take' in what)
        act(what.take)
          .then(gone)
          .catch((error: unknown) => this.options.onChange(error))
      else await gone()
    }
    return open
  }

  /** A person has chosen what becomes of an edit that was left. */
  async settle({ pending, typed }: Left, take: boolean): Promise<void> {
    if (take && !typed) throw new Refusal('This text is not understood here; copy it from where it is shown.')
    if (take) await this.options.act(typed!)
    await (await this.options.connection.get()).delete('pending', pending.id)
  }
}
