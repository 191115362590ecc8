import { GENERATOR } from '../account'
import {
  blobsOf,
  commandOf,
  kindNamed,
  nameOf,
  sourceName,
  standingRuns,
  type Listed,
  type Run,
} from '../review'
import { strategyPath } from './files'
import type { HandedFrom } from './from'
import type { HandedFile } from './index-page'

type Entity = { '@id': string; '@type': string | string[] } & Record<string, unknown>
const refer = (id: string): { '@id': string } => ({ '@id': id })

const FORMATS: Readonly<Record<string, string>> = {
  html: 'text/html',
  md: 'text/markdown',
  tex: 'application/x-tex',
  docx: 'application/vnd.openxmlformats-officedocument.wordprocessingml.document',
  txt: 'text/plain',
  csv: 'text/csv',
  ris: 'application/x-research-info-systems',
  json: 'application/json',
  jsonl: 'application/jsonl',
  svg: 'image/svg+xml',
  png: 'image/png',
  ttl: 'text/turtle',
}

/**
 * The description of a package after RO-Crate 1.1: every file, the people as far as they are named, the program, and each run
 * as an action with its database, its strategy, what came of it, and its time.
 */
export function crateOf(
  from: HandedFrom,
  files: ReadonlyMap<string, Pick<HandedFile, 'about'>>,
  listed: readonly Listed[],
): object {
  const { review, entries } = from
  const beside = aboutBlobs(from)
  const parts = listed.map(({ path, size }): Entity => {
    const known = beside.get(path)
    return {
      '@id': path,
      '@type': 'File',
      name: known?.name ?? path.split('/').at(-1)!,
      description: files.get(path)?.about ?? known?.about ?? OWN[path] ?? 'a part of the review',
      encodingFormat: known?.format ?? FORMATS[path.split('.').at(-1)!] ?? 'application/octet-stream',
      contentSize: String(size),
    }
  })
  const people = peopleOf(from)
  const runs = standingRuns(review.runs)
  const there = new Set(listed.map((f) => f.path))
  const databases = new Map(runs.map((r) => [databaseId(r), databaseOf(from, r)]))
  return {
    '@context': 'https://w3id.org/ro/crate/1.1/context',
    '@graph': [
      {
        '@id': 'ro-crate-metadata.json',
        '@type': 'CreativeWork',
        conformsTo: refer('https://w3id.org/ro/crate/1.1'),
        about: refer('./'),
      },
      {
        '@id': './',
        '@type': 'Dataset',
        name: review.title || 'Review without a title',
        description:
          'A literature review with its journal: question, terms, searches, records, selection and account.',
        datePublished: entries.at(-1)?.at ?? '1980-01-02T00:00:00Z',
        license: refer('licences.txt'),
        author: people.map((p) => refer(p['@id'])),
        hasPart: parts.map((p) => refer(p['@id'])),
        mentions: runs.map((r) => refer(runId(r))),
      },
      ...parts,
      ...people,
      { '@id': '#luvren', '@type': 'SoftwareApplication', name: 'Luvren', version: String(GENERATOR) },
      ...databases.values(),
      ...runs.map((r) => runAction(from, r, there)),
    ],
  }
}

/** What the files are that are not made for people. */
const OWN: Readonly<Record<string, string>> = {
  'journal.jsonl': 'the journal: one deed a line, each with the digest of the one before',
  'left-out.txt': 'digests of what could not be had, or was left out, when this was packed',
  'unfinished.json': 'what was typed and was no deed yet',
}

const runId = (r: Run): string => `#run-${encodeURIComponent(r.id)}`
const databaseId = (r: Run): string =>
  `#database-${encodeURIComponent(r.sourceId)}-${encodeURIComponent(r.release)}`
const personId = (id: string): string => `#person-${encodeURIComponent(id)}`

/** Whoever did something in the journal or is named in it; a name that was left out stays left out. */
function peopleOf({ review, entries }: HandedFrom): Entity[] {
  // A run of a journal that has gone over bears the name under which it was logged, and no entry may.
  const runners = standingRuns(review.runs).map((r) => r.by)
  const named = [...entries.map((e) => e.by), ...review.people.map((p) => p.id), ...runners]
  const ids = new Set(named.filter(Boolean))
  return [...ids].map((id) => ({
    '@id': personId(id),
    '@type': 'Person',
    name: nameOf(review, id) ?? 'somebody not named yet',
  }))
}

const databaseOf = ({ review }: HandedFrom, r: Run): Entity => ({
  '@id': databaseId(r),
  '@type': 'SoftwareApplication',
  name: sourceName(review, r.sourceId),
  version: r.release || 'not noted',
})

function runAction(from: HandedFrom, r: Run, there: ReadonlySet<string>): Entity {
  const source = from.review.sources.find((s) => s.id === r.sourceId)
  const strategy = source && strategyPath(from, source)
  const brought = from.review.imports.find((i) => i.runId === r.id)
  const result = brought && `blobs/${brought.digest}`
  return {
    '@id': runId(r),
    '@type': 'CreateAction',
    name: `Line ${r.number} in ${source?.name ?? r.sourceId}`,
    description: `${r.hits} hits: ${r.sent}`,
    endTime: r.at,
    agent: refer(personId(r.by)),
    instrument: refer(databaseId(r)),
    ...(strategy && there.has(strategy) ? { object: refer(strategy) } : {}),
    ...(result && there.has(result) ? { result: refer(result) } : {}),
  }
}

/** What lies beside the journal, by its path: named by the deed that brought it. */
function aboutBlobs({ entries }: HandedFrom): Map<string, { name?: string; about: string; format?: string }> {
  const found = new Map<string, { name?: string; about: string; format?: string }>()
  for (const entry of entries) {
    const digests = blobsOf(entry)
    if (!digests.length) continue
    const read = commandOf(entry)
    const about = `what was brought by entry ${entry.seq}: ${kindNamed(entry.kind)?.words.journal ?? entry.kind}`
    for (const digest of digests) {
      const path = `blobs/${digest}`
      if (found.has(path)) continue
      const attached = read.ok && read.value.kind === 'attachment.add' ? read.value.payload : undefined
      found.set(path, {
        about,
        ...(attached
          ? { name: attached.name, format: attached.mediaType }
          : { format: 'application/octet-stream' }),
      })
    }
  }
  return found
}
