import { digestOf } from '@/core/base'
import {
  goingOver,
  isToGoOver,
  type Command,
  type Entry,
  type Folded,
  type GoingOver,
  type Writing,
} from '@/core/review'
import { stored, type Stored } from './compress'
import type { Beside } from './db'

/** Something that waits to be written. What it does may depend on the number that another waiting entry will have. */
export interface Waiting {
  command: (numberOf: (target: Target) => number, last: Entry | undefined) => Command
  writing: Writing
  written: () => void
  /** It is part of going over to the second form, which another tab may have done meanwhile. */
  goesOver?: true
  /** What has to lie beside the journal for it. */
  beside?: Uint8Array
  /** Its number, once it is written. */
  seq?: number
}
/** What an undo takes back: an entry by its number, or one that waits and has none yet. */
export type Target = number | Waiting

/** Who works here, and what going over needs. */
export interface Worker extends Pick<GoingOver, 'evidenceOf'> {
  /** The id of who works here, and the name they gave; empty where they gave none. */
  by: () => string
  name: () => string
  newId: () => string
}

/**
 * What has to be written before anything else is: a journal of the first form goes over, and who works here is named
 * where they have said what they are called.
 */
export function beforeWriting(
  entries: readonly Entry[],
  folded: Folded,
  { by, name, newId, evidenceOf }: Worker,
): Pick<Waiting, 'command' | 'goesOver' | 'beside'>[] {
  const found: Pick<Waiting, 'command' | 'goesOver' | 'beside'>[] = []
  let { people } = folded.review
  if (isToGoOver(entries)) {
    const personOf = (said: string): string => (said === name() ? by() : newId())
    const over = goingOver(entries, folded.review, { personOf, evidenceOf })
    for (const command of over.people) found.push({ command: () => command, goesOver: true })
    found.push({ command: (_numberOf, last) => over.goOver(last!), goesOver: true, beside: over.state })
    people = over.people.flatMap((p) => (p.kind === 'person.named' ? [p.payload] : []))
  }
  const own = people.find((p) => p.id === by())
  if (name() && entries.length && own?.name !== name()) {
    const command: Command = { kind: 'person.named', payload: { id: by(), name: name() } }
    found.push({ command: () => command })
  }
  return found
}

/** What lies beside waiting entries, as it is stored. */
export const storedBeside = (waiting: readonly Waiting[]): Promise<Beside> =>
  asStored(new Map(waiting.flatMap(({ beside: bytes }) => (bytes ? [[digestOf(bytes), bytes]] : []))))

export async function asStored(bytes: ReadonlyMap<string, Uint8Array>): Promise<Beside> {
  const beside = new Map<string, Stored>()
  for (const [digest, own] of bytes) beside.set(digest, await stored(own))
  return beside
}
