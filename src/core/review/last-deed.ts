import { plural } from '../base'
import type { Command, CommandKind } from './commands'
import { commandOf, type Entry } from './journal'
import { kindNamed, KINDS } from './kinds'
import type { Place } from './place'

/** What undo (or doing again) would touch. */
export interface LastDeed {
  /** The entries of the deed, the last first. */
  seqs: number[]
  /** In words: "line changed"; "4 terms set" where one deed was several entries. */
  words: string
  /** How many runs were logged after it: they stay, and undo reaches past them only knowingly. */
  runsSince: number
  place: Place | undefined
  /**
   * What was done in the same press and happened, in words: "line run (3)". Then nothing of the press is taken back: what
   * happened would stand there without what belongs to it.
   */
  stays?: string
}

/**
 * The deed that the last of `seqs` belongs to: entries done together bear the same time and person. Undefined where
 * there is none.
 */
export function lastDeed(entries: readonly Entry[], seqs: readonly number[]): LastDeed | undefined {
  const first = entries[0]?.seq ?? 0
  const at = (seq: number): Entry | undefined => entries[seq - first]
  const last = at(seqs.at(-1) ?? -1)
  if (!last) return undefined
  const before = seqs.findLastIndex((seq) => {
    const entry = at(seq)
    return entry?.at !== last.at || entry?.by !== last.by
  })
  const of = seqs.slice(before + 1).reverse()
  const commands = of.flatMap((seq): Command[] => {
    const read = commandOf(at(seq)!)
    return read.ok ? [read.value] : []
  })
  const stays = wordsOf(happenedWith(entries, last))
  return {
    ...(stays ? { stays } : {}),
    seqs: of,
    words: wordsOf(commands),
    runsSince: entries.slice(last.seq - first + 1).filter((e) => e.kind === 'run.log').length,
    place: commands.map(placeOf).find((p) => p?.anchor !== undefined) ?? commands.map(placeOf)[0],
  }
}

/**
 * Kinds that are about the journal itself: they belong to no press. One that begins from a state does: what is named behind it
 * is what was handed on.
 */
const OF_JOURNAL = /^(?:undo|redo|journal\.goOver|review\.create)/

/** What was done in the press of an entry and can never be taken back. */
function happenedWith(entries: readonly Entry[], { seq, at, by }: Entry): Command[] {
  const first = entries[0]?.seq ?? 0
  const same = (e: Entry | undefined): boolean => e?.at === at && e.by === by
  let [from, to] = [seq - first, seq - first]
  while (same(entries[from - 1])) from--
  while (same(entries[to + 1])) to++
  return entries.slice(from, to + 1).flatMap((entry): Command[] => {
    const read =
      kindNamed(entry.kind)?.undo === 'happened' && !OF_JOURNAL.test(entry.kind)
        ? commandOf(entry)
        : undefined
    return read?.ok ? [read.value] : []
  })
}

/** What was done by these commands together: each kind once, with how often. */
function wordsOf(commands: readonly Command[]): string {
  const counts = new Map<CommandKind, number>()
  for (const { kind } of commands) counts.set(kind, (counts.get(kind) ?? 0) + 1)
  const parts = [...counts].map(([kind, n]) =>
    n > 1 ? `${KINDS[kind].words.undo} (${n})` : KINDS[kind].words.undo,
  )
  const [first, second, ...others] = parts
  return [first, second, ...(others.length ? [`${plural(others.length, 'thing')} more`] : [])]
    .filter((p) => p !== undefined)
    .join(', ')
}

/** Where the thing stands that a command was done to. */
export const placeOf = ({ kind, payload }: Command): Place | undefined => kindNamed(kind)!.place(payload)
