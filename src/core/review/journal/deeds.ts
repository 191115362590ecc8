import { kindNamed } from '../kinds'

/** As much of a command as decides what is in force. */
interface Deed {
  kind: string
  /** Of an undo or redo, which entry. */
  payload?: unknown
}

const NOTHING_DONE = { done: [], undone: [], floor: -1 }

/**
 * Which deeds are in force while a journal is read from its beginning: the one meaning of undo and redo. An undo counts
 * only for the latest deed that can be undone, a redo only for the one undone last; any other is without effect. What
 * was done before a journal went over to its second form cannot be undone behind that.
 */
export class Deeds {
  /** Entries that are in force and of a kind that can be undone, the latest last; ascending. */
  readonly done: number[]
  /** Entries that could be done again, the next last. */
  readonly undone: number[]

  /** Nothing up to this entry can be undone any more. */
  floor: number

  constructor(from: { done: readonly number[]; undone: readonly number[]; floor: number } = NOTHING_DONE) {
    this.done = [...from.done]
    this.undone = [...from.undone]
    this.floor = from.floor
  }

  /** Takes the next entry in, and says what it does: nothing where it is an undo or redo without effect. */
  take(
    seq: number,
    { kind, payload }: Deed,
  ): { did: number } | { undid: number } | { redid: number } | undefined {
    if (kind === 'undo' || kind === 'redo') {
      const [from, to] = kind === 'undo' ? [this.done, this.undone] : [this.undone, this.done]
      const which = (payload as { seq?: number } | undefined)?.seq
      if (which === undefined || from.at(-1) !== which || which <= this.floor) return undefined
      to.push(from.pop()!)
      return kind === 'undo' ? { undid: which } : { redid: which }
    }
    if (kind === 'journal.goOver' || kind === 'journal.from') {
      this.floor = seq
      this.undone.length = 0
    } else if (kindNamed(kind)?.undo === 'yes') {
      this.done.push(seq)
      this.undone.length = 0
    }
    return { did: seq }
  }
}

/** The entries that undo could take back, the latest last. */
export const undoable = ({ done, floor }: { done: readonly number[]; floor: number }): readonly number[] =>
  (done[0] ?? 0) > floor ? done : done.filter((seq) => seq > floor)
