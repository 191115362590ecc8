import { strToU8 } from 'fflate'
import { digestOf } from '../../base'
import { commandOf, type Entry } from '../journal'
import { PackageWriter, type FileBytes, type Listed } from './writer'
import { joined } from './zip-read'

export interface Packed {
  entries: readonly Entry[]
  /** Bulk data by digest. */
  blobs: Map<string, Uint8Array>
  /** Digests that entries name and whose bytes could not be had when it was packed. Absent: nothing is left out. */
  leftOut?: readonly string[]
  /** What was typed and cannot be an entry as it stands: kept as it is, for a person to read. */
  unfinished?: readonly unknown[]
}

/** What is packed, with what lies beside the journal to be had one by one. */
export interface Packing extends Omit<Packed, 'blobs'> {
  digests: readonly string[]
  blob: (digest: string) => Uint8Array | Promise<Uint8Array>
}

/**
 * What is made from a review for people, and packed with it: files by path, each made when it is packed, and the description
 * of all that is there.
 */
export interface Readable {
  files: ReadonlyMap<string, () => FileBytes>
  /** The RO-Crate description, made when everything else is packed. */
  crate: (listed: readonly Listed[]) => object
}

const CRATE = 'ro-crate-metadata.json'
export const JOURNAL = 'data/journal.jsonl'
export const LEFT_OUT = 'data/left-out.txt'
export const UNFINISHED = 'data/unfinished.json'
export const BLOB = /^data\/blobs\/([0-9a-f]{64})$/
/** A side journal of which a name is withheld, under the digest of the whole one. */
export const NAMELESS_SIDE = /^data\/sides\/([0-9a-f]{64})\.json$/

const json = (value: unknown): Uint8Array => strToU8(`${JSON.stringify(value, null, 2)}\n`)

/** The digests of the side journals that were taken in. */
const sidesNamedBy = (entries: readonly Entry[]): Set<string> =>
  new Set(
    entries.flatMap((e) => {
      const read = e.kind === 'side.take' ? commandOf(e) : undefined
      return read?.ok && read.value.kind === 'side.take' ? [read.value.payload.digest] : []
    }),
  )

/** The steps of packing: each asks for the bytes under a digest, and is given them. */
function* packing(
  { entries, digests, leftOut, unfinished }: Omit<Packing, 'blob'>,
  title: string,
  readable: Readable | undefined,
  write: (piece: Uint8Array) => void,
  size?: number,
): Generator<string, void, Uint8Array> {
  const out = new PackageWriter(write, size)
  out.add('journal.jsonl', strToU8(`${entries.map((e) => JSON.stringify(e)).join('\n')}\n`))
  // What lies beside the journal is named by its digest, which need not be reckoned again.
  // Only a side journal whose name was withheld is no longer what its digest says; its chain holds all the same.
  const sides = digests.length ? sidesNamedBy(entries) : new Set<string>()
  for (const digest of [...digests].sort()) {
    const bytes = yield digest
    const changed = sides.has(digest) && digestOf(bytes) !== digest
    if (changed) out.add(`sides/${digest}.json`, bytes)
    else out.add(`blobs/${digest}`, bytes, digest)
  }
  if (leftOut?.length) out.add('left-out.txt', strToU8(`${leftOut.join('\n')}\n`))
  if (unfinished?.length) out.add('unfinished.json', json(unfinished))
  for (const [path, make] of [...(readable?.files ?? [])].sort(([a], [b]) => (a < b ? -1 : 1)))
    out.add(path, make())
  out.add(CRATE, json(readable ? readable.crate(out.listed) : bareCrate(out.listed, title, entries)))
  out.end()
}

/**
 * Packs a review that is in memory: the journal with one entry a line, bulk data by digest, an RO-Crate 1.1 description, and
 * BagIt manifests (RFC 8493) with SHA-256. The same review always gives the same bytes.
 */
export function packReview(
  { blobs, ...packed }: Packed,
  title: string,
  readable?: Readable,
  size?: number,
): Uint8Array {
  const pieces: Uint8Array[] = []
  const steps = packing(
    { ...packed, digests: [...blobs.keys()] },
    title,
    readable,
    (p) => pieces.push(p),
    size,
  )
  for (let step = steps.next(); !step.done; step = steps.next(blobs.get(step.value)!));
  return joined(pieces)
}

/** The same bytes, piece by piece, of a review of which only a part is in memory at a time. */
export async function packInto(
  { blob, ...rest }: Packing,
  title: string,
  write: (piece: Uint8Array) => void,
  readable?: Readable,
): Promise<void> {
  const steps = packing(rest, title, readable, write)
  for (let step = steps.next(); !step.done; step = steps.next(await blob(step.value)));
}

/** RO-Crate 1.1 at its shortest: the metadata file describes itself and the root, which lists its parts. */
function bareCrate(listed: readonly Listed[], title: string, entries: readonly Entry[]): object {
  const parts = listed.map((f) => ({ '@id': f.path }))
  return {
    '@context': 'https://w3id.org/ro/crate/1.1/context',
    '@graph': [
      {
        '@id': CRATE,
        '@type': 'CreativeWork',
        conformsTo: { '@id': 'https://w3id.org/ro/crate/1.1' },
        about: { '@id': './' },
      },
      {
        '@id': './',
        '@type': 'Dataset',
        name: title || 'Review without a title',
        description:
          'A literature review with its journal: question, terms, searches, records, selection and account.',
        datePublished: entries[entries.length - 1]?.at ?? '1980-01-02T00:00:00Z',
        license: 'All rights remain with the authors of the review.',
        hasPart: parts,
      },
      ...parts.map((p) => ({ ...p, '@type': 'File' })),
    ],
  }
}
