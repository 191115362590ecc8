import { tell, type FiguresBeside, type Told } from '../figures'
import { gather } from '../records'
import {
  besideOf,
  blobsOf,
  commandOf,
  fold,
  worksOf,
  type ClassesAt,
  type Entry,
  type Review,
  type WorkRead,
  type Works,
} from '../review'

/** A review read from its journal and what lies beside it, with its works and every number. */
export interface ReadReview {
  review: Review
  entries: readonly Entry[]
  works: Works<WorkRead>
  told: Told
  beside: FiguresBeside & { classesAt: ClassesAt }
  /** Abstracts or full texts that imports name are not here: what is counted over them would be wrong. */
  textsMissing: boolean
}

/** Reads a review whole. What is not under its digest is taken as left out. */
export async function readReview(
  entries: readonly Entry[],
  bytesAt: (digest: string) => Promise<Uint8Array | undefined>,
): Promise<ReadReview> {
  const read = await besideOf(entries, bytesAt)
  const { review } = fold(entries, read)
  const values = await valuesBeside(entries, bytesAt)
  const beside: ReadReview['beside'] = {
    ...read,
    recordsOf: (i) => gather(i, (digest) => values.get(digest)),
    classesAt: (digest) => values.get(digest) as number[] | undefined,
  }
  const works = worksOf(review, beside.recordsOf, beside.classesAt)
  const textsMissing = [...textDigests(entries)].some((digest) => !values.has(digest))
  return { review, entries, works, told: tell(review, works), beside, textsMissing }
}

/** Records and partitions of all entries, by digest; what is not here is left out. */
async function valuesBeside(
  entries: readonly Entry[],
  bytesAt: (digest: string) => Promise<Uint8Array | undefined>,
): Promise<Map<string, unknown>> {
  const found = new Map<string, unknown>()
  const files = fileDigests(entries)
  for (const entry of entries) {
    if (!['records.import', 'record.mend', 'partition.set'].includes(entry.kind)) continue
    for (const digest of blobsOf(entry)) {
      if (files.has(digest)) continue
      const bytes = found.has(digest) ? undefined : await bytesAt(digest)
      if (bytes) found.set(digest, JSON.parse(new TextDecoder().decode(bytes)))
    }
  }
  return found
}

interface PartDigests {
  abstracts?: string | undefined
  fullTexts?: string | undefined
  unread?: string | undefined
}

/** The parts of all imports, with what was mended since. */
function parts(entries: readonly Entry[]): (PartDigests & { file?: { digest: string } | undefined })[] {
  return entries.flatMap((entry) => {
    const read = commandOf(entry)
    if (!read.ok) return []
    const { kind, payload } = read.value
    if (kind === 'record.mend') return [payload]
    return kind === 'records.import' ? [payload, ...(payload.rest ?? []), ...(payload.mended ?? [])] : []
  })
}

/** Digests of the abstracts and full texts of all imports. */
export const textDigests = (entries: readonly Entry[]): Set<string> =>
  new Set(
    parts(entries).flatMap(({ abstracts, fullTexts }) => [abstracts, fullTexts].flatMap((d) => d ?? [])),
  )

/** Digests of the files that records were read from. */
export const fileDigests = (entries: readonly Entry[]): Set<string> =>
  new Set(parts(entries).flatMap(({ file }) => file?.digest ?? []))

/** Digests of tags that were read and not understood: an abstract may stand in one of them. */
export const unreadDigests = (entries: readonly Entry[]): Set<string> =>
  new Set(parts(entries).flatMap(({ unread }) => unread ?? []))
