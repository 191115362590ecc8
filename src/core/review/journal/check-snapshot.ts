import { plainJson } from '../../base'
import type { Entry } from './entry'
import { foldInSteps, type Beside, type Snapshot } from './fold'

/**
 * Which parts of a kept state are not what the journal says, by folding it from its beginning: names of members of the
 * review, and "undo" where other deeds could be taken back. None where the state is right. One that is of another journal
 * or has not all its parts is never read from, and not looked at here.
 */
export function* wrongInSnapshot(
  entries: readonly Entry[],
  snapshot: Snapshot,
  beside: Beside = {},
): Generator<undefined, string[]> {
  const first = entries[0]?.seq ?? 0
  const upTo = entries.slice(0, snapshot.seq - first + 1)
  if (upTo.at(-1)?.digest !== snapshot.digest) return []
  const folded = yield* foldInSteps(upTo, undefined, beside)
  if (!folded) return []
  const [said, kept] = [folded.review, snapshot.folded.review] as unknown as Record<string, unknown>[]
  const wrong: string[] = []
  for (const part of new Set([...Object.keys(said!), ...Object.keys(kept!)])) {
    if (plainJson(said![part]) !== plainJson(kept![part])) wrong.push(part)
    yield
  }
  const { done, undone, floor } = snapshot.folded
  // What could be done again then, and cannot since something else was done, is not kept.
  const undoRight =
    plainJson([done, floor]) === plainJson([folded.done, folded.floor]) &&
    undone.every((seq) => folded.undone.includes(seq))
  return undoRight ? wrong : [...wrong, 'undo']
}
