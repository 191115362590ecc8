import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { digestOf, fail, ok, problem, type Problem, type Result } from '../base'
import { verifyJournal, type Entry } from './journal'

export interface Packed {
  entries: Entry[]
  /** Bulk data by digest. */
  blobs: Map<string, Uint8Array>
  /** Digests that entries name and whose bytes could not be had when it was packed. Absent: nothing is left out. */
  leftOut?: readonly string[]
}

// A fixed date keeps the bytes the same for the same content; the dates that count stand in the journal.
const STAMP = new Date('1980-01-02T00:00:00Z')
const JOURNAL = 'data/journal.jsonl'
const LEFT_OUT = 'data/left-out.txt'
const BLOB = /^data\/blobs\/([0-9a-f]{64})$/

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
  payload['data/ro-crate-metadata.json'] = strToU8(
    JSON.stringify(crate(Object.keys(payload), title, packed.entries), null, 2),
  )
  const lines = (files: Record<string, Uint8Array>): string =>
    Object.entries(files)
      .map(([name, bytes]) => `${digestOf(bytes)}  ${name}\n`)
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

/** The digests of the bulk data that an entry refers to. */
export function blobsOf({ kind, payload }: Pick<Entry, 'kind' | 'payload'>): string[] {
  if (!BLOB_KINDS.has(kind)) return []
  const { digest, file } = payload as { digest?: string; file?: unknown }
  const own = typeof file === 'object' && file !== null ? (file as { digest?: string }).digest : undefined
  return [digest, own].filter((d) => d !== undefined)
}
const BLOB_KINDS: ReadonlySet<string> = new Set(['records.import', 'vocabulary.import', 'attachment.add'])

/**
 * Opens a package and checks it whole: every file against the manifest, every entry against the chain. What is wrong
 * is named with its place; a package that does not check out is not opened.
 */
export function openPackage(bytes: Uint8Array): Result<Packed> {
  let files: Record<string, Uint8Array>
  try {
    files = unzipSync(bytes)
  } catch {
    return fail(
      problem(
        'no-zip',
        'error',
        'This file is no package: it is not a zip archive. Choose a file that Luvren saved as a package.',
      ),
    )
  }
  const journal = files[JOURNAL]
  const manifest = files['manifest-sha256.txt']
  if (!journal || !manifest)
    return fail(
      problem(
        'no-package',
        'error',
        `This zip archive is no package: it holds no ${journal ? 'manifest-sha256.txt' : JOURNAL}.`,
      ),
    )
  const problems: Problem[] = []
  const listed = new Set<string>()
  for (const row of strFromU8(manifest).split('\n').filter(Boolean)) {
    const [digest, name] = [row.slice(0, 64), row.slice(66)]
    listed.add(name)
    const content = files[name]
    if (!content)
      problems.push(
        problem('file-missing', 'error', `${name} is in the manifest but not in the package.`, name),
      )
    else if (digestOf(content) !== digest)
      problems.push(problem('file-changed', 'error', `${name} was changed after the package was made.`, name))
  }
  for (const name of Object.keys(files))
    if (name.startsWith('data/') && !name.endsWith('/') && !listed.has(name))
      problems.push(
        problem('file-extra', 'error', `${name} is in the package but not in its manifest.`, name),
      )
  const entries: Entry[] = []
  for (const [i, row] of strFromU8(journal).split('\n').entries()) {
    if (!row) continue
    try {
      entries.push(JSON.parse(row) as Entry)
    } catch {
      problems.push(problem('entry-json', 'error', `Line ${i + 1} of the journal is no JSON.`, `entry ${i}`))
      break
    }
  }
  if (!entries.length)
    problems.push(problem('journal-empty', 'error', 'The journal of this package is empty.'))
  problems.push(...verifyJournal(entries))
  const blobs = new Map<string, Uint8Array>()
  for (const [name, content] of Object.entries(files)) {
    const digest = BLOB.exec(name)?.[1]
    if (!digest) continue
    if (digestOf(content) !== digest)
      problems.push(problem('blob-changed', 'error', `${name} does not hold what its name says.`, name))
    blobs.set(digest, content)
  }
  const leftOut = strFromU8(files[LEFT_OUT] ?? new Uint8Array())
    .split('\n')
    .filter(Boolean)
  for (const e of entries)
    if (blobsOf(e).some((digest) => !blobs.has(digest) && !leftOut.includes(digest)))
      problems.push(
        problem(
          'blob-missing',
          'error',
          `What entry ${e.seq} brought in is not in the package.`,
          `entry ${e.seq}`,
        ),
      )
  return problems.length
    ? { ok: false, problems }
    : ok({ entries, blobs, ...(leftOut.length ? { leftOut } : {}) })
}
