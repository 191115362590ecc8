/** The demo as it was built before the tests began; made anew where it was not, which takes a minute. */
import { existsSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { unzipSync } from 'fflate'
import type { Entry, Packed } from '../core/review'
import { recordsOf, vocabularyOf, type SourceId } from './corpus/releases'
import { buildDemo } from './demo'
import { LATEST, openStandin, RELEASES, STANDINS, type OpenStandin, type Release } from '.'

const BUILT = path.join(import.meta.dirname, '..', '..', 'public', 'data', 'demo.luvren.zip')
const opened = (release: Release): OpenStandin[] =>
  STANDINS.map((s) =>
    openStandin(s, release, recordsOf(s.id as SourceId, release), vocabularyOf(s.id as SourceId)),
  )

/** Its entries and what lies beside them. */
export function builtDemo(): Packed {
  if (!existsSync(BUILT)) return buildDemo(opened(RELEASES[0]), opened(LATEST))
  const files = unzipSync(new Uint8Array(readFileSync(BUILT)))
  const entries = new TextDecoder()
    .decode(files['data/journal.jsonl'])
    .trimEnd()
    .split('\n')
    .map((line) => JSON.parse(line) as Entry)
  const blobs = new Map<string, Uint8Array>()
  for (const [name, bytes] of Object.entries(files)) {
    const digest = /^data\/blobs\/([0-9a-f]{64})$/.exec(name)?.[1]
    if (digest) blobs.set(digest, bytes)
  }
  return { entries, blobs }
}
