import { plural } from '../base'
import { DEED, type Command, type CommandKind } from './commands'
import { commandOf, type Entry } from './journal'
import { placeOf, type Place } from './place'

/** What undo (or doing again) would touch. */
export interface LastDeed {
  /** The entries of the deed, the last first. */
  seqs: number[]
  /** In words: "line changed"; "4 terms set" where one deed was several entries. */
  words: string
  /** How many runs were logged after it: they stay, and undo reaches past them only knowingly. */
  runsSince: number
  place: Place | undefined
}

/**
 * The deed that the last of `seqs` belongs to: entries done together bear the same time and person. Undefined where
 * there is none.
 */
export function lastDeed(entries: readonly Entry[], seqs: readonly number[]): LastDeed | undefined {
  const last = entries[seqs.at(-1) ?? -1]
  if (!last) return undefined
  const before = seqs.findLastIndex((seq) => {
    const entry = entries[seq]
    return entry?.at !== last.at || entry?.by !== last.by
  })
  const of = seqs.slice(before + 1).reverse()
  const commands = of.flatMap((seq): Command[] => {
    const read = commandOf(entries[seq]!)
    return read.ok ? [read.value] : []
  })
  return {
    seqs: of,
    words: wordsOf(commands),
    runsSince: entries.slice(last.seq + 1).filter((e) => e.kind === 'run.log').length,
    place: commands.map(placeOf).find((p) => p?.anchor !== undefined) ?? commands.map(placeOf)[0],
  }
}

/** What was done by these commands together: each kind once, with how often. */
function wordsOf(commands: readonly Command[]): string {
  const counts = new Map<CommandKind, number>()
  for (const { kind } of commands) counts.set(kind, (counts.get(kind) ?? 0) + 1)
  const parts = [...counts].map(([kind, n]) => (n > 1 ? `${DEED[kind]} (${n})` : DEED[kind]))
  const [first, second, ...others] = parts
  return [first, second, ...(others.length ? [`${plural(others.length, 'thing')} more`] : [])]
    .filter((p) => p !== undefined)
    .join(', ')
}
