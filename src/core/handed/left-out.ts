import { fail, ok, problem, type Result } from '../base'
import {
  blobsOf,
  commandOf,
  newerProblem,
  ofFirstForm,
  readSide,
  sideBytes,
  withheld,
  type Entry,
} from '../review'
import { fileDigests, textDigests, unreadDigests } from './read-review'

/** What may be left out of what is handed on. */
export interface LeftOut {
  /** Abstracts, full texts, and whatever else may hold them: the files they came in, tags that were not understood. */
  texts?: boolean
  /** What people are called: their ids stay. With it go frozen texts, whose words name them. */
  names?: boolean
  /** What anybody ruled: for a reader who is to read without seeing it. */
  rulings?: boolean
}

/** A review as it is handed on: with payloads withheld, and without some of what lies beside it. */
export interface HandedOn {
  entries: Entry[]
  /** What lies beside the journal and is left out. */
  without: ReadonlySet<string>
  /** What lies beside it and is handed on otherwise: a side journal whose name is withheld. */
  instead: ReadonlyMap<string, Uint8Array>
}

const RULING = /^ruling\./

/**
 * Leaves out what was chosen. The chain holds: of an entry whose payload is withheld its digest stays, and nothing can be
 * guessed from it, for its salt is withheld too. Side journals are asked for under their digests.
 */
export async function leaveOut(
  entries: readonly Entry[],
  { texts, names, rulings }: LeftOut,
  sideAt: (digest: string) => Promise<Uint8Array | undefined>,
): Promise<Result<HandedOn>> {
  // In a kind of entry that is not known here, what is to be left out would not be found.
  const newer = texts || names || rulings ? newerProblem(entries) : undefined
  if (newer) return fail(newer)
  if ((names || rulings) && entries.some(ofFirstForm))
    return fail(
      problem(
        'first-form',
        'error',
        'This review was begun in the first form of the journal, in which names and rulings cannot be parted from what they stand in. It can be handed on whole, or without abstracts.',
      ),
    )
  const hidden = (e: Entry): boolean =>
    (names === true && e.kind === 'person.named') ||
    (rulings === true && (RULING.test(e.kind) || e.kind === 'side.take'))
  const kept = entries.map((e) => (hidden(e) ? withheld(e) : e))
  const without = new Set([
    ...(texts ? [...textDigests(entries), ...fileDigests(entries), ...unreadDigests(entries)] : []),
    // A frozen text names people in its words, which cannot be changed.
    ...(names ? entries.filter((e) => e.kind === 'text.freeze').flatMap(blobsOf) : []),
  ])
  const instead = new Map<string, Uint8Array>()
  for (const entry of names ? kept : []) {
    const read = commandOf(entry)
    if (!read.ok || read.value.kind !== 'side.take') continue
    const { digest } = read.value.payload
    const bytes = await sideAt(digest)
    const side = bytes && readSide(bytes)
    if (side?.ok)
      instead.set(
        digest,
        sideBytes({
          ...side.value,
          entries: side.value.entries.map((e) => (e.kind === 'person.named' ? withheld(e) : e)),
        }),
      )
  }
  return ok({ entries: kept, without, instead })
}

/** What was left out of a review, in words; empty where nothing was. */
export function leftOutWords(entries: readonly Entry[], textsMissing: boolean): string[] {
  const gone = (kind: RegExp): boolean =>
    entries.some((e) => !ofFirstForm(e) && e.payload === undefined && kind.test(e.kind))
  return [
    ...(textsMissing ? ['abstracts and full texts'] : []),
    ...(gone(/^person\.named$/) ? ['the names of people'] : []),
    ...(gone(RULING) ? ['what was ruled'] : []),
  ]
}
