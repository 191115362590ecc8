import { z } from 'zod'
import { canonicalJson, digestOf } from '../../base'
import { Rec } from '../../records'
import { readVocabulary } from '../../vocabulary'
import type { Import } from '../values'
import { reachesBytes } from '../kinds'
import { commandOf, fold, readSide, withoutNames, type Entry } from '../journal'
import { plainReview, wrongInPlain } from '../plain-review'

const text = (bytes: Uint8Array): string => new TextDecoder('utf-8', { fatal: true }).decode(bytes)

/** How what lies under a digest is checked: says what is wrong with its bytes; undefined where nothing is. */
export interface BlobCheck {
  /** The first entry that names it. */
  entry: Entry
  wrong: (bytes: Uint8Array) => string | undefined | Promise<string | undefined>
}

const Texts = z.array(z.string().nullable())
const Unread = z.array(z.record(z.string(), z.array(z.string())).nullable())

/** What has to be checked of the bytes beside a journal, by digest. What is only kept (a file, a note) is not looked into. */
export function blobChecks(entries: readonly Entry[]): Map<string, BlobCheck> {
  const checks = new Map<string, BlobCheck>()
  for (const entry of entries) {
    if (!reachesBytes(entry.kind)) continue
    const read = commandOf(entry)
    if (!read.ok) continue
    const command = read.value
    const check = (digest: string | undefined, wrong: BlobCheck['wrong']): void => {
      if (digest !== undefined && !checks.has(digest)) checks.set(digest, { entry, wrong })
    }
    if (command.kind === 'records.import') {
      const { count, rest = [], mended = [], ...first } = command.payload
      const others = [...rest, ...mended.map((part) => ({ ...part, count: 1 }))]
      const own = count - others.reduce((n, part) => n + part.count, 0)
      for (const part of [{ ...first, count: own }, ...others]) checkPart(part, check)
    } else if (command.kind === 'record.mend') {
      checkPart({ ...command.payload, count: 1 }, check)
    } else if (command.kind === 'partition.set') {
      for (const digest of [command.payload.digest, command.payload.toSettle])
        check(digest, (bytes) => checkBlock(bytes, z.array(z.int()), undefined, 'classes'))
    } else if (command.kind === 'side.take') {
      const { digest, person, head } = command.payload
      check(digest, (bytes) => {
        const side = readSide(bytes)
        if (!side.ok) return side.problems[0]?.message
        return side.value.person === person && side.value.entries.at(-1)?.digest === head
          ? undefined
          : 'it is not the one that the entry names'
      })
    } else if (command.kind === 'vocabulary.import') {
      const { digest, title, format } = command.payload
      check(digest, (bytes) => checkVocabulary(bytes, title, format))
    } else if (command.kind === 'journal.from') {
      check(command.payload.state, (bytes) => {
        try {
          return wrongInPlain(JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes)))
        } catch {
          return 'it is no JSON'
        }
      })
    } else if (command.kind === 'journal.goOver') {
      check(command.payload.state, () =>
        (entries[0]?.seq ?? 0) > 0 || stateDigest(entries, entry.seq) === command.payload.state
          ? undefined
          : 'the state that it names is not that of the journal',
      )
    }
  }
  return checks
}

/** The blocks of one part of an import. */
function checkPart(
  part: Pick<Import, 'digest' | 'abstracts' | 'fullTexts' | 'unread' | 'count'>,
  check: (digest: string | undefined, wrong: BlobCheck['wrong']) => void,
): void {
  check(part.digest, (bytes) => checkBlock(bytes, z.array(Rec), part.count, 'records'))
  check(part.abstracts, (bytes) => checkBlock(bytes, Texts, part.count, 'abstracts'))
  check(part.fullTexts, (bytes) => checkBlock(bytes, Texts, part.count, 'full texts'))
  check(part.unread, (bytes) => checkBlock(bytes, Unread, part.count, 'unread tags'))
}

/** The digest of the state behind the entry of going over, reckoned from the first form before it. */
function stateDigest(entries: readonly Entry[], seq: number): string {
  return digestOf(canonicalJson(plainReview(withoutNames(fold(entries.slice(0, seq + 1)).review))))
}

/** What is wrong with a block; undefined where nothing is. */
function checkBlock(
  bytes: Uint8Array,
  what: z.ZodType<unknown[]>,
  count: number | undefined,
  name: string,
): string | undefined {
  let value: unknown
  try {
    value = JSON.parse(text(bytes))
  } catch {
    return 'it is no JSON'
  }
  const read = what.safeParse(value)
  if (!read.success) {
    const at = read.error.issues[0]!.path
    return typeof at[0] === 'number'
      ? `record ${at[0] + 1} is not as ${name} are (${at.slice(1).join('.') || 'whole'})`
      : `it is no list of ${name}`
  }
  return count === undefined || read.data.length === count
    ? undefined
    : `it holds ${read.data.length} ${name}, not ${count}`
}

async function checkVocabulary(
  bytes: Uint8Array,
  title: string,
  format: Parameters<typeof readVocabulary>[2],
): Promise<string | undefined> {
  const read = await readVocabulary(text(bytes), { id: 'check', title, version: '' }, format)
  return read.ok ? undefined : (read.problems[0]?.message ?? 'it is no vocabulary')
}
