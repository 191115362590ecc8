import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex } from '@noble/hashes/utils.js'
import { fail, messageOf, ok, problem, ReviewId, type Problem, type Result } from '../../base'
import { blobsOf, commandOf, fold, verifyJournal, type Entry } from '../journal'
import type { SideTaken } from '../side-taken'
import type { ByteSource } from './bytes'
import { blobChecks } from './check-blobs'
import { readJournal } from './journal-lines'
import { BLOB, JOURNAL, LEFT_OUT, NAMELESS_SIDE, UNFINISHED } from './pack'
import { unpack, unpackWhole, zipDirectory, type Unpacked, type ZipFile } from './zip-read'
import { plainReview } from '../plain-review'
import { emptyReview } from '../values'

/** A package that was checked whole. Nothing of what lies beside the journal is in memory until it is asked for. */
export interface Opened {
  entries: Entry[]
  /** What it holds beside the journal. */
  digests: string[]
  /** Digests that entries name and whose bytes were not there when it was packed. */
  leftOut: string[]
  /** What was typed and was no entry yet when it was packed. */
  unfinished: unknown[]
  /** The bytes of one of `digests`. Rejects where the file was changed since it was checked. */
  blob: (digest: string) => Promise<Uint8Array>
}

/** So many bytes that were checked are kept at hand, so that they need not be unpacked again to be stored. */
const KEPT = 192 * 2 ** 20
const MANIFEST = 'manifest-sha256.txt'
const wrongWith = (code: string, words: string, at?: string): Problem => problem(code, 'error', words, at)

/**
 * Opens a package and checks it whole, before anything of it is stored: every file against the manifest, every entry
 * against the chain and against what it should say, everything beside the journal against what it should be. It is read
 * piece by piece, within bounds; whatever else goes wrong becomes words too. `told` hears how many of its packed bytes were
 * read, file by file.
 */
export async function openPackage(source: ByteSource, told?: Told): Promise<Result<Opened>> {
  try {
    return await open(source, told)
  } catch (error) {
    return fail(
      wrongWith(
        'package-unreadable',
        `This package cannot be read (${messageOf(error)}). Nothing of it was stored.`,
      ),
    )
  }
}

/** Hears how much is done of how much. */
export type Told = (done: number, of: number) => void | Promise<void>

async function open(source: ByteSource, told: Told | undefined): Promise<Result<Opened>> {
  const directory = await zipDirectory(source)
  if (!directory.ok) return directory
  const files = new Map(directory.value.filter((f) => !f.name.endsWith('/')).map((f) => [f.name, f]))
  const [journal, manifest] = [files.get(JOURNAL), files.get(MANIFEST)]
  if (!journal || !manifest)
    return fail(
      wrongWith('no-package', `This zip archive is no package: it holds no ${journal ? MANIFEST : JOURNAL}.`),
    )
  const so: Unpacked = { bytes: 0, read: 0 }
  const listed = await unpackWhole(source, manifest, so)
  if (!listed.ok) return listed
  const expected = new Map(
    textOf(listed.value)
      .split('\n')
      .filter(Boolean)
      .map((row) => [row.slice(66), row.slice(0, 64)]),
  )
  const read = await readJournal(source, journal, so)
  if (!read.ok) return read
  const { entries, digest: journalDigest } = read.value
  const problems = [
    ...read.problems,
    ...listing(files, expected),
    ...(expected.get(JOURNAL) === journalDigest ? [] : [changed(JOURNAL)]),
    ...checkJournal(entries),
  ]
  // What follows is only worth reading where the journal says what it should be.
  if (problems.length) return { ok: false, problems }
  const kept = new Map<string, Uint8Array>()
  problems.push(...(await checkFiles(source, files, expected, entries, so, kept, told)))
  const leftOut = await linesOf(source, files.get(LEFT_OUT))
  const unfinished = await valuesOf(source, files.get(UNFINISHED))
  if (!unfinished) problems.push(changed(UNFINISHED))
  const digests = [...files.keys()].flatMap((name) => BLOB.exec(name)?.[1] ?? [])
  const nameless = new Map(
    [...files].flatMap(([name, file]) => {
      const digest = NAMELESS_SIDE.exec(name)?.[1]
      return digest === undefined ? [] : [[digest, file] as const]
    }),
  )
  digests.push(...nameless.keys())
  const here = new Set([...digests, ...leftOut])
  for (const e of entries)
    if (blobsOf(e).some((digest) => !here.has(digest)))
      problems.push(
        wrongWith('blob-missing', `What entry ${e.seq} brought in is not in the package.`, `entry ${e.seq}`),
      )
  if (problems.length) return { ok: false, problems }
  const blob = async (digest: string): Promise<Uint8Array> => {
    const known = kept.get(digest)
    if (known) return known
    const side = nameless.get(digest)
    const file = side ?? files.get(`data/blobs/${digest}`)!
    const found = await unpackWhole(source, file, { bytes: 0, read: 0 })
    const whole = side ? expected.get(side.name) : digest
    if (!found.ok || digestOfBytes(found.value) !== whole)
      throw new Error('The package was changed while it was read.')
    return found.value
  }
  return ok({ entries, digests, leftOut, unfinished: unfinished ?? [], blob })
}

const textOf = (bytes: Uint8Array): string => new TextDecoder().decode(bytes)
const digestOfBytes = (bytes: Uint8Array): string => bytesToHex(sha256(bytes))
const changed = (name: string): Problem =>
  wrongWith('file-changed', `${name} was changed after the package was made.`, name)

async function linesOf(source: ByteSource, file: ZipFile | undefined): Promise<string[]> {
  const read = file && (await unpackWhole(source, file, { bytes: 0, read: 0 }))
  return read?.ok ? textOf(read.value).split('\n').filter(Boolean) : []
}

/** A list in a file of its own; empty where the file is not there, undefined where it holds none. */
async function valuesOf(source: ByteSource, file: ZipFile | undefined): Promise<unknown[] | undefined> {
  if (!file) return []
  const read = await unpackWhole(source, file, { bytes: 0, read: 0 })
  try {
    const value: unknown = read.ok ? JSON.parse(textOf(read.value)) : undefined
    return Array.isArray(value) ? value : undefined
  } catch {
    return undefined
  }
}

/** Does the archive hold what its manifest lists, and nothing else? */
function listing(files: ReadonlyMap<string, ZipFile>, expected: ReadonlyMap<string, string>): Problem[] {
  const problems: Problem[] = []
  for (const name of expected.keys())
    if (!files.has(name))
      problems.push(wrongWith('file-missing', `${name} is in the manifest but not in the package.`, name))
  for (const name of files.keys())
    if (name.startsWith('data/') && !expected.has(name))
      problems.push(wrongWith('file-extra', `${name} is in the package but not in its manifest.`, name))
  return problems
}

function checkJournal(entries: readonly Entry[]): Problem[] {
  const first = entries[0]
  if (!first) return [wrongWith('journal-empty', 'The journal of this package is empty.')]
  const chain = verifyJournal(entries)
  if (chain.length) return chain
  const begun = commandOf(first)
  const begins =
    begun.ok &&
    (begun.value.kind === 'journal.goOver' ||
      (begun.value.kind === 'review.create' && ReviewId.safeParse(begun.value.payload.id).success))
  if (!begins)
    return [
      wrongWith(
        'no-beginning',
        'The journal of this package does not begin a review: its first entry must do so, with a plain name.',
        'entry 0',
      ),
    ]
  // What a newer version wrote, or was withheld, is kept and named when the review is opened; the rest must be right.
  return first.seq > 0
    ? []
    : // What lies beside the journal is checked with its own bytes: here it is enough that it is named.
      fold(entries, { side: sidesNamed(entries), state: () => plainReview(emptyReview('')) }).problems.filter(
        (p) => p.code !== 'entry-newer' && p.code !== 'entry-withheld',
      )
}

/** Side journals as the entries name them: whether they are what they should be is checked with the bytes of each. */
function sidesNamed(entries: readonly Entry[]): (digest: string) => SideTaken | undefined {
  const named = new Map<string, SideTaken>()
  for (const entry of entries) {
    const read = commandOf(entry)
    if (!read.ok || read.value.kind !== 'side.take') continue
    const { digest, person, head } = read.value.payload
    named.set(digest, {
      person,
      digests: [head],
      state: { rulings: {}, searches: undefined, person: undefined },
    })
  }
  return (digest) => named.get(digest)
}

/** Reads every other file once: against the manifest, against its name, and against what it should be. */
async function checkFiles(
  source: ByteSource,
  files: ReadonlyMap<string, ZipFile>,
  expected: ReadonlyMap<string, string>,
  entries: readonly Entry[],
  so: Unpacked,
  kept: Map<string, Uint8Array>,
  told: Told | undefined,
): Promise<Problem[]> {
  const problems: Problem[] = []
  let done = 0
  const checks = blobChecks(entries)
  let room = KEPT
  for (const [name, file] of files) {
    const own = expected.get(name)
    await told?.(done, source.size)
    done += file.packedSize
    if (name === JOURNAL || own === undefined) continue
    const named = BLOB.exec(name)?.[1]
    const side = NAMELESS_SIDE.exec(name)?.[1]
    const check = checks.get(named ?? side ?? '')
    const hash = sha256.create()
    const whole = check && (await unpackWhole(source, file, so))
    const read = whole ?? (await unpack(source, file, so, (piece) => hash.update(piece)))
    if (!read.ok) return read.problems as Problem[]
    const digest = whole?.ok ? digestOfBytes(whole.value) : bytesToHex(hash.digest())
    if (digest !== own) problems.push(changed(name))
    else if (named !== undefined && named !== digest)
      problems.push(wrongWith('blob-changed', `${name} does not hold what its name says.`, name))
    else if (check && whole?.ok) {
      if (named !== undefined && (room -= whole.value.length) >= 0) kept.set(digest, whole.value)
      const wrong = await check.wrong(whole.value)
      const { seq, kind } = check.entry
      if (wrong)
        problems.push(
          wrongWith(
            'blob-damaged',
            `What entry ${seq} (${kind}) brought in is damaged: ${wrong}.`,
            `entry ${seq}`,
          ),
        )
    }
  }
  return problems
}
