import { strToU8, zipSync } from 'fflate'
import { digestOf } from '../../base'
import type { Entry } from '../journal'

export interface Packed {
  entries: Entry[]
  /** Bulk data by digest. */
  blobs: Map<string, Uint8Array>
  /** Digests that entries name and whose bytes could not be had when it was packed. Absent: nothing is left out. */
  leftOut?: readonly string[]
  /** What was typed and cannot be an entry as it stands: kept as it is, for a person to read. */
  unfinished?: readonly unknown[]
}

// A fixed date keeps the bytes the same for the same content; the dates that count stand in the journal.
// A zip archive holds local time: the day is made from local parts, so that no time zone changes a byte.
const STAMP = new Date(1980, 0, 2)
export const JOURNAL = 'data/journal.jsonl'
export const LEFT_OUT = 'data/left-out.txt'
export const UNFINISHED = 'data/unfinished.json'
export const BLOB = /^data\/blobs\/([0-9a-f]{64})$/

/**
 * Packs a review: the journal with one entry a line, bulk data by digest, an RO-Crate 1.1 description, and BagIt
 * manifests (RFC 8493) with SHA-256. The same review always gives the same bytes.
 */
export function packReview(packed: Packed, title: string): Uint8Array {
  const payload: Record<string, Uint8Array> = {
    [JOURNAL]: strToU8(packed.entries.map((e) => JSON.stringify(e)).join('\n') + '\n'),
  }
  for (const [digest, bytes] of [...packed.blobs].sort(([a], [b]) => (a < b ? -1 : 1)))
    payload[`data/blobs/${digest}`] = bytes
  if (packed.leftOut?.length) payload[LEFT_OUT] = strToU8(`${packed.leftOut.join('\n')}\n`)
  if (packed.unfinished?.length)
    payload[UNFINISHED] = strToU8(JSON.stringify(packed.unfinished, null, 2) + '\n')
  payload['data/ro-crate-metadata.json'] = strToU8(
    JSON.stringify(crate(Object.keys(payload), title, packed.entries), null, 2),
  )
  // What lies beside the journal is named by its digest, which need not be reckoned again.
  const lines = (files: Record<string, Uint8Array>): string =>
    Object.entries(files)
      .map(([name, bytes]) => `${BLOB.exec(name)?.[1] ?? digestOf(bytes)}  ${name}\n`)
      .join('')
  const tags: Record<string, Uint8Array> = {
    'bagit.txt': strToU8('BagIt-Version: 1.0\nTag-File-Character-Encoding: UTF-8\n'),
    'manifest-sha256.txt': strToU8(lines(payload)),
  }
  tags['tagmanifest-sha256.txt'] = strToU8(lines(tags))
  return zipSync({ ...tags, ...payload }, { level: 6, mtime: STAMP })
}

/** RO-Crate 1.1: the metadata file describes itself and the root, which lists its parts. */
function crate(names: string[], title: string, entries: readonly Entry[]): object {
  const parts = names.map((n) => ({ '@id': n.replace(/^data\//, '') }))
  return {
    '@context': 'https://w3id.org/ro/crate/1.1/context',
    '@graph': [
      {
        '@id': 'ro-crate-metadata.json',
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
