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
import { blindedJournal, type Blinding } from './blinded'
import { fileDigests, textDigests, unreadDigests } from './read-review'

/** What may be left out of what is handed on. */
export interface LeftOut {
  /** Abstracts, full texts, and whatever else may hold them: the files they came in, tags that were not understood. */
  texts?: boolean
  /** What people are called: their ids stay. With it go frozen texts, whose words name them. */
  names?: boolean
  /** What anybody ruled, and what was done because of it: for a reader who is to read without seeing it. */
  rulings?: boolean
  /** The asking that such a reader is to see, by its id. */
  ask?: string | undefined
}

/** When it is handed on, by whom, and chance for entries that have to be written anew. */
export type HandedBy = Pick<Blinding, 'at' | 'by' | 'salt'>

/** A review as it is handed on: with payloads withheld, and without some of what lies beside it. */
export interface HandedOn {
  entries: Entry[]
  /** What lies beside the journal and is left out. */
  without: ReadonlySet<string>
  /** What lies beside it and is handed on otherwise, or was made for it: a side journal without its name, a state. */
  instead: ReadonlyMap<string, Uint8Array>
}

const RULING = /^ruling\./
/** Entries whose payloads are what people are called, of the review and of those who were asked. */
const NAMES = /^(?:person\.named|contact\.set)$/

/**
 * Leaves out what was chosen. The chain holds: of an entry whose payload is withheld its digest stays, and nothing can be
 * guessed from it, for its salt is withheld too. Without rulings a journal begins anew; see `blindedJournal`.
 */
export async function leaveOut(
  entries: readonly Entry[],
  { texts, names, rulings, ask }: LeftOut,
  bytesAt: (digest: string) => Promise<Uint8Array | undefined>,
  /** Needed where rulings are left out. */
  handedBy?: HandedBy,
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
  const instead = new Map<string, Uint8Array>()
  let all: readonly Entry[] = entries
  if (rulings) {
    if (!handedBy) throw new Error('Without rulings it is handed on by somebody, on a day.')
    const blinded = await blindedJournal(entries, bytesAt, { ...handedBy, ask, names })
    if (!blinded)
      return fail(
        problem(
          'no-beginning',
          'error',
          'The beginning of this journal was left out when it was handed on, so it cannot be handed on without rulings.',
        ),
      )
    all = blinded.entries
    instead.set(blinded.state.digest, blinded.state.bytes)
  }
  const hidden = (e: Entry): boolean => names === true && NAMES.test(e.kind)
  const kept = all.map((e) => (hidden(e) ? withheld(e) : e))
  const without = new Set([
    ...(texts ? [...textDigests(entries), ...fileDigests(entries), ...unreadDigests(entries)] : []),
    // A frozen text names people in its words, which cannot be changed.
    ...(names ? entries.filter((e) => e.kind === 'text.freeze').flatMap(blobsOf) : []),
  ])
  for (const entry of names ? kept : []) {
    const read = commandOf(entry)
    if (!read.ok || read.value.kind !== 'side.take') continue
    const { digest } = read.value.payload
    const bytes = await bytesAt(digest)
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

const WITHOUT_RULINGS = 'what was ruled, and what was done because of it'

/** What was left out of a review, in words; empty where nothing was. */
export function leftOutWords(entries: readonly Entry[], textsMissing: boolean): string[] {
  const gone = (kind: RegExp): boolean =>
    entries.some((e) => !ofFirstForm(e) && e.payload === undefined && kind.test(e.kind))
  return [
    ...(textsMissing ? ['abstracts and full texts'] : []),
    ...(gone(/^person\.named$/) ? ['the names of people'] : []),
    ...(gone(RULING) ? ['what was ruled'] : []),
    ...(entries.some((e) => e.kind === 'journal.from') ? [WITHOUT_RULINGS] : []),
  ]
}
