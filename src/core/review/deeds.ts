import { NOT_UNDOABLE, type Command } from './commands'

/**
 * Which deeds are in force while a journal is read from its beginning: the one meaning of undo and redo. An undo counts
 * only for the latest deed that can be undone, a redo only for the one undone last; any other is without effect.
 */
export class Deeds {
  /** Entries that could be undone, the latest last. */
  readonly done: number[]
  /** Entries that could be done again, the next last. */
  readonly undone: number[]

  constructor(from: { done: readonly number[]; undone: readonly number[] } = { done: [], undone: [] }) {
    this.done = [...from.done]
    this.undone = [...from.undone]
  }

  /** Takes the next entry in, and says what it does: nothing where it is an undo or redo without effect. */
  take(seq: number, command: Command): { did: number } | { undid: number } | { redid: number } | undefined {
    if (command.kind === 'undo') {
      if (this.done.at(-1) !== command.payload.seq) return undefined
      this.undone.push(this.done.pop()!)
      return { undid: command.payload.seq }
    }
    if (command.kind === 'redo') {
      if (this.undone.at(-1) !== command.payload.seq) return undefined
      this.done.push(this.undone.pop()!)
      return { redid: command.payload.seq }
    }
    if (!NOT_UNDOABLE.has(command.kind)) {
      this.done.push(seq)
      this.undone.length = 0
    }
    return { did: seq }
  }
}
