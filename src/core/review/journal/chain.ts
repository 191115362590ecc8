import { drain, problem, type Problem } from '../../base'
import { entryDigest, FIRST_DIGEST, ofFirstForm, payloadDigestOf, readEntryShape, type Entry } from './entry'
import { commandOf, wrong } from './read-entry'

/**
 * Checks the chain of digests, the numbering and the order of forms. The first entry that does not follow from the one
 * before is named; an empty list means that the journal is whole. One that begins later than entry 0 is a journal whose
 * first form was left out: then its first entry is that of going over, which says what stood before it.
 */
export const verifyJournal = (entries: readonly unknown[]): Problem[] => drain(verifyInSteps(entries))

/** Entries that are checked between two breaths of a check in steps. */
const STEP = 20

/** The same in steps, so that a page can draw in between. */
export function* verifyInSteps(entries: readonly unknown[]): Generator<undefined, Problem[]> {
  let before: { seq: number; digest: string; first: boolean } | undefined
  for (const [i, raw] of entries.entries()) {
    const read = readEntryShape(raw)
    const place = (before?.seq ?? -1) + 1
    if (!read.success)
      return [
        problem('entry-shape', 'error', `Entry ${place} is damaged: ${wrong(read.error)}.`, `entry ${place}`),
      ]
    const entry = read.data
    before ??= startOf(entry)
    const found = follows(entry, before)
    if (found) return [found]
    before = { seq: entry.seq, digest: entry.digest, first: ofFirstForm(entry) }
    if (i % STEP === STEP - 1) yield
  }
  return []
}

/** What stands before the first entry that is here. */
function startOf(entry: Entry): { seq: number; digest: string; first: boolean } {
  const start = { seq: -1, digest: FIRST_DIGEST, first: ofFirstForm(entry) }
  if (entry.seq === 0 || entry.kind !== 'journal.goOver') return start
  const read = commandOf(entry)
  return read.ok && read.value.kind === 'journal.goOver'
    ? { ...read.value.payload.before, first: false }
    : start
}

/** What keeps an entry from standing behind the one before; undefined where nothing does. */
function follows(entry: Entry, before: { seq: number; digest: string; first: boolean }): Problem | undefined {
  const place = before.seq + 1
  const say = (code: string, words: string): Problem => problem(code, 'error', words, `entry ${place}`)
  if (entry.seq !== place)
    return say('entry-order', `Entry ${place} is numbered ${entry.seq}: one is missing or out of place.`)
  if (!before.first && ofFirstForm(entry))
    return say('entry-form', `Entry ${place} is of the first form, behind entries of the second.`)
  // A journal of the first form goes over by the entry that says so; only people are named before it.
  if (before.first && !ofFirstForm(entry) && before.seq >= 0 && !GOING_OVER.has(entry.kind))
    return say('entry-form', `Entry ${place} is of the second form, but the journal has not gone over to it.`)
  const payloadHolds =
    ofFirstForm(entry) ||
    entry.salt === undefined ||
    payloadDigestOf(entry.salt, entry.payload) === entry.payloadDigest
  if (!payloadHolds || entryDigest(before.digest, entry) !== entry.digest)
    return say(
      'entry-changed',
      `Entry ${place} (${entry.kind}, ${entry.at}) was changed after it was written, or the one before it was.`,
    )
  return undefined
}
const GOING_OVER = new Set(['person.named', 'journal.goOver'])
