import { dateWords, digestWords, plural, type Problem } from '../core/base'
import { openReview, type HandedFrom, type OpenedReview, type ReadReview } from '../core/handed'
import {
  beginsFromState,
  inMemory,
  newerProblem,
  oddClocks,
  type Entry,
  type Packed,
  type Review,
} from '../core/review'
import type { OpenStandin } from '../standins'
import { checkArchive } from './check-archive'
import { ABOUT as BYTES, checkBytes } from './check-bytes'
import { checkCrate } from './check-crate'
import { checkFlow, checkFrozen, checkPartition, checkTyped } from './check-record'
import { checkRuns } from './check-runs'
import { checkText } from './read-back/check-text'
import { checked, unchecked, type Check } from './report'

export { checkFrozen } from './check-record'
export { checkRuns } from './check-runs'
export { endOf, reportText, type Check } from './report'

/** What verifying needs from where it is done: a page's worker, or the command line. */
export interface VerifyHere {
  /** Letters, styles and writers, for making the files for people again. */
  from: (read: ReadReview) => Promise<HandedFrom>
  /** What a review packs to, where that is known already; `make` finds it. */
  again?: (packed: Packed, make: () => Promise<Uint8Array>) => Promise<Uint8Array>
  /** A stand-in in a release, opened for searching. */
  standin: (id: string, release: string) => OpenStandin | Promise<OpenStandin>
  /** Repeats the runs beside the other checks, where that can be done; else it is done here behind them. */
  runs?: (review: Review) => Promise<Check>
  /** The time now, for telling days that lie after it; absent: nothing is said of such days. */
  now?: string
  /** Told of each check as it is done. */
  done?: (check: Check) => void
}

/** Is a digest that was kept elsewhere one of this journal? It may be given in hex or in words. */
export function checkDigest(given: string, entries: readonly Entry[]): Check {
  const said = given.trim().toLowerCase().split(/\s+/).join(' ')
  const entry = entries.find((e) => e.digest === said || digestWords(e.digest) === said)
  return checked(
    'Digest',
    entry ? `it is that of entry ${entry.seq}, of ${dateWords(entry.at)}` : 'the one that was given',
    entry
      ? []
      : ['No entry of this journal has this digest: its history is another one, or it was written anew.'],
  )
}

const words = (p: Problem): string => `${p.message}${typeof p.at === 'string' ? ` (${p.at})` : ''}`

/** The checks of the file itself, which are quick; with the review, where it can be opened. */
export async function verifyFile(
  bytes: Uint8Array,
  here: Pick<VerifyHere, 'from' | 'again' | 'runs' | 'now' | 'done'>,
): Promise<{ checks: Check[]; opened?: OpenedReview; runs?: Promise<Check> | undefined }> {
  const read = await openReview(inMemory(bytes))
  if (!read.ok)
    return {
      checks: [checked('Package', 'files, journal, and what lies beside it', read.problems.map(words))],
    }
  const opened = read.value
  const runs = here.runs?.(opened.review)
  // A failure is told where its check stands.
  runs?.catch(() => undefined)
  const { entries } = opened
  const packed = await opened.packed()
  const beside = `${plural(packed.blobs.size, 'file')} beside the journal`
  const chain = `${plural(entries.length, 'entry', 'entries')} against the chain, ending in ${digestWords(entries.at(-1)!.digest)}`
  const open = [
    ...(packed.leftOut.length
      ? [
          `${plural(packed.leftOut.length, 'file')} left out when it was packed: nothing that is made from them was checked.`,
        ]
      : []),
    ...(beginsFromState(entries)
      ? [
          'It begins from a state that was handed on without rulings, and without what was done because of them: what was done before is not in it, and was not checked.',
        ]
      : []),
  ]
  const first = checked(
    'Package',
    `${beside} against the manifest, ${chain}`,
    [],
    oddClocks(entries, here.now),
    { open },
  )
  const more = [
    () => first,
    ifItUnpacks('Archive', () => checkArchive(bytes)),
    ifItUnpacks(
      BYTES,
      unlessNewer(opened, BYTES, () => checkBytes(bytes, opened, packed, here)),
    ),
    ifItUnpacks('Description', () => checkCrate(bytes)),
    ifItUnpacks(
      'Text read back',
      unlessNewer(opened, 'Text read back', () => checkText(bytes, opened)),
    ),
  ]
  return { checks: await inTurn(more, here), opened, runs }
}

/** Makes these checks one after another, and tells of each as it is done. */
async function inTurn(
  checks: readonly (() => Check | Promise<Check>)[],
  { done }: Pick<VerifyHere, 'done'>,
): Promise<Check[]> {
  const made: Check[] = []
  for (const check of checks) {
    const found = await check()
    done?.(found)
    made.push(found)
  }
  return made
}

/** What unpacks throws where the file holds no such thing: that is a fault of the file, and is told as one. */
const isBroken = (error: unknown): boolean =>
  error instanceof Error && typeof (error as { code?: unknown }).code === 'number'

/** A check of what the archive holds: where that cannot be unpacked, it was not as it was packed. */
function ifItUnpacks(about: string, check: () => Check | Promise<Check>): () => Promise<Check> {
  return async () => {
    try {
      return await check()
    } catch (error) {
      if (!isBroken(error)) throw error
      return checked(about, 'what could be unpacked', [
        'A file in the archive cannot be unpacked: bytes of it were changed after it was packed.',
      ])
    }
  }
}

/** What is reckoned from the record cannot be held against a record of which a part is not known here. */
function unlessNewer(
  { entries }: OpenedReview,
  about: string,
  check: () => Check | Promise<Check>,
): () => Check | Promise<Check> {
  const newer = newerProblem(entries)
  return newer ? () => unchecked(about, words(newer)) : check
}

/** All checks of a package, in their order; where it cannot be opened, only what is wrong with it. */
export async function verifyPackage(bytes: Uint8Array, here: VerifyHere, digest?: string): Promise<Check[]> {
  const { checks, opened, runs } = await verifyFile(bytes, here)
  if (!opened) return checks
  const more = [
    ...(digest === undefined ? [] : [() => checkDigest(digest, opened.entries)]),
    unlessNewer(opened, 'Works', () => checkPartition(opened)),
    unlessNewer(opened, 'Flow', () => checkFlow(opened)),
    unlessNewer(opened, 'Frozen texts', () => checkFrozen(opened)),
    unlessNewer(opened, 'Typed numbers', () => checkTyped(opened)),
    unlessNewer(opened, 'Runs', () => runs ?? checkRuns(opened, here.standin)),
  ]
  return [...checks, ...(await inTurn(more, here))]
}
