import { produce } from 'immer'
import type { Command } from '../commands'
import { kindNamed } from '../kinds'
import { emptyReview, type Line, type Review, type Run } from '../values'
import { Deeds } from './deeds'
import type { Entry } from './entry'
import { commandOf } from './read-entry'

const LINE_KINDS: ReadonlySet<string> = new Set([
  'strategy.draft',
  'strategy.set',
  'line.add',
  'line.change',
  'line.move',
  'line.remove',
  'lines.remove',
])

/**
 * Every run with the strategy as it stood at that moment: with the undos of that moment, not of later ones, for a line
 * that was run and undone since was run all the same. `sourceId`: only of that source.
 */
export function* momentsOfRuns(
  entries: readonly Entry[],
  sourceId?: string,
): Generator<{ run: Run; lines: readonly Line[] }, void> {
  let review: Review = emptyReview('')
  const deeds = new Deeds()
  const before: { seq: number; review: Review }[] = []
  const done = new Map<number, Entry>()
  const ofSource = (payload: unknown): boolean =>
    sourceId === undefined || (payload as { sourceId?: string }).sourceId === sourceId
  const apply = (entry: Entry, { kind, payload }: Command): void => {
    before.push({ seq: entry.seq, review })
    review = produce(review, (draft: Review) => kindNamed(kind)!.apply(draft, payload, entry))
  }
  for (const entry of entries) {
    const read = commandOf(entry)
    const effect = read.ok ? deeds.take(entry.seq, read.value) : undefined
    if (!read.ok || !effect) continue
    const command = read.value
    if ('undid' in effect) {
      if (before.at(-1)?.seq === effect.undid) review = before.pop()!.review
    } else if ('redid' in effect) {
      const again = done.get(effect.redid)
      // Read anew: what was applied once belongs to the state that it went into.
      const once = again && commandOf(again)
      if (once?.ok) apply(again!, once.value)
    } else if (command.kind === 'run.log') {
      if (ofSource(command.payload))
        yield { run: command.payload, lines: review.strategies[command.payload.sourceId] ?? [] }
    } else if (LINE_KINDS.has(command.kind) && ofSource(command.payload)) {
      done.set(entry.seq, entry)
      apply(entry, command)
    }
  }
}
