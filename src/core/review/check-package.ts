import { z } from 'zod'
import { fail, messageOf, ok, problem, type Problem, type Result, ReviewId } from '../base'
import { Rec } from '../records'
import { readVocabulary } from '../vocabulary'
import { commandOf, fold } from './journal'
import { openPackage, type Packed } from './package'

const text = (bytes: Uint8Array): string => new TextDecoder('utf-8', { fatal: true }).decode(bytes)

/**
 * Opens a package and checks it whole, before anything of it is stored: manifest and chain, that every entry is
 * understood and the journal begins a review, that records and vocabularies beside it are what they should be. Whatever
 * else goes wrong becomes words too.
 */
export async function checkPackage(bytes: Uint8Array): Promise<Result<Packed>> {
  try {
    const opened = openPackage(bytes)
    if (!opened.ok) return opened
    const problems = [...checkJournal(opened.value), ...(await checkBlobs(opened.value))]
    return problems.length ? { ok: false, problems } : ok(opened.value)
  } catch (error) {
    return fail(
      problem(
        'package-unreadable',
        'error',
        `This package cannot be read (${messageOf(error)}). Nothing of it was stored.`,
      ),
    )
  }
}

function checkJournal({ entries }: Packed): Problem[] {
  const first = entries[0]
  const begun = first && commandOf(first)
  if (
    !begun?.ok ||
    begun.value.kind !== 'review.create' ||
    !ReviewId.safeParse(begun.value.payload.id).success
  )
    return [
      problem(
        'no-beginning',
        'error',
        'The journal of this package does not begin a review: its first entry must do so, with a plain name.',
        'entry 0',
      ),
    ]
  // What a newer version wrote is kept and named when the review is opened; what this one should know must be right.
  return fold(entries).problems.filter((p) => p.code !== 'entry-newer')
}

async function checkBlobs({ entries, blobs }: Packed): Promise<Problem[]> {
  const problems: Problem[] = []
  const seen = new Set<string>()
  for (const entry of entries) {
    const read = commandOf(entry)
    if (!read.ok) continue
    const { kind, payload } = read.value
    if (kind !== 'records.import' && kind !== 'vocabulary.import') continue
    const bytes = blobs.get(payload.digest)
    if (!bytes || seen.has(payload.digest)) continue
    seen.add(payload.digest)
    const wrong =
      kind === 'records.import'
        ? checkRecords(bytes, payload.count)
        : await checkVocabulary(bytes, payload.title, payload.format)
    if (wrong)
      problems.push(
        problem(
          'blob-damaged',
          'error',
          `What entry ${entry.seq} (${kind}) brought in is damaged: ${wrong}.`,
          `entry ${entry.seq}`,
        ),
      )
  }
  return problems
}

/** What is wrong with a block of records; undefined where nothing is. */
function checkRecords(bytes: Uint8Array, count: number): string | undefined {
  let value: unknown
  try {
    value = JSON.parse(text(bytes))
  } catch {
    return 'it is no JSON'
  }
  const read = z.array(Rec).safeParse(value)
  if (!read.success) {
    const at = read.error.issues[0]!.path
    return typeof at[0] === 'number'
      ? `record ${at[0] + 1} is not as records are (${at.slice(1).join('.') || 'whole'})`
      : 'it is no list of records'
  }
  return read.data.length === count ? undefined : `it holds ${read.data.length} records, not ${count}`
}

async function checkVocabulary(
  bytes: Uint8Array,
  title: string,
  format: Parameters<typeof readVocabulary>[2],
): Promise<string | undefined> {
  const read = await readVocabulary(text(bytes), { id: 'check', title, version: '' }, format)
  return read.ok ? undefined : (read.problems[0]?.message ?? 'it is no vocabulary')
}
