import { kindNamed } from '../kinds'
import type { Command } from '../commands'
import { ofFirstForm, type Entry } from './entry'
import { commandOf } from './read-entry'
import { sideEntry, type SideJournal } from './side'

/**
 * What one person said in a journal, as a side journal to be taken into another copy of the same review: their rulings,
 * and what they took back. It begins where the review began, so that a later one of the same person goes on from an
 * earlier one. Undefined where they said nothing that can be handed over.
 */
export function ownSide(entries: readonly Entry[], person: string): SideJournal | undefined {
  const [first] = entries
  const origin = entries.find((e) => !ofFirstForm(e))
  const read = first && commandOf(first)
  if (!origin || !read?.ok || read.value.kind !== 'review.create') return undefined
  let side: SideJournal = {
    origin: { review: read.value.payload.id, seq: origin.seq, digest: origin.digest },
    person,
    entries: [],
  }
  const places = new Map<number, number>()
  for (const entry of entries) {
    if (entry.by !== person || ofFirstForm(entry) || entry.salt === undefined) continue
    const own = commandOf(entry)
    if (!own.ok || !kindNamed(own.value.kind)!.bearsPerson) continue
    const command = moved(own.value, places)
    if (!command || !ofPerson(command, person)) continue
    places.set(entry.seq, side.entries.length)
    side = {
      ...side,
      entries: [...side.entries, sideEntry(side, command, { at: entry.at, salt: entry.salt })],
    }
  }
  return side.entries.some((e) => SAYS_SOMETHING.test(e.kind)) ? side : undefined
}

/** A name by itself is nothing to hand over. */
const SAYS_SOMETHING = /^(?:ruling|retrieval|searchreview)\./

/** An undo names its deed by the place that it has in the side journal; one of a deed that is not in it is left out. */
function moved(command: Command, places: ReadonlyMap<number, number>): Command | undefined {
  if (command.kind === 'retrieval.set') {
    // The file of a full text does not go between readers: its rights are those of whoever has it.
    const { file: _file, ...payload } = command.payload
    return { kind: command.kind, payload }
  }
  if (command.kind !== 'undo' && command.kind !== 'redo') return command
  const seq = places.get(command.payload.seq)
  return seq === undefined ? undefined : { kind: command.kind, payload: { seq } }
}

const ofPerson = (command: Command, person: string): boolean =>
  command.kind === 'ruling.settle'
    ? command.payload.by === person
    : 'reader' in command.payload
      ? command.payload.reader === person
      : command.kind !== 'person.named' || command.payload.id === person
