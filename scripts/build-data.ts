// Writes the vocabularies and records of the stand-ins, and the demo review, to public/data. The same bytes every time.
import { mkdirSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { gzipSync } from 'fflate'
import { packReview } from '../src/core/review'
import { writeSkos } from '../src/core/vocabulary'
import { LATEST, openStandin, recordsFile, STANDINS, vocabularyFile, type OpenStandin } from '../src/standins'
import { recordsOf, RELEASES, vocabularyOf, type SourceId } from '../src/standins/corpus/releases'
import { buildDemo } from '../src/standins/demo'

const out = path.join(import.meta.dirname, '..', 'public', 'data')
mkdirSync(out, { recursive: true })
for (const old of readdirSync(out)) rmSync(path.join(out, old))
const write = (name: string, bytes: Uint8Array | string): void => {
  writeFileSync(path.join(out, name), bytes)
  console.log(`${name}: ${Math.ceil(bytes.length / 1024)} KiB`)
}

const open: OpenStandin[] = []
for (const info of STANDINS) {
  const id = info.id as SourceId
  const vocabulary = vocabularyOf(id)
  const file = vocabularyFile(info)
  if (vocabulary && file) write(file, writeSkos(vocabulary))
  for (const release of RELEASES) {
    const records = recordsOf(id, release)
    write(
      recordsFile(info, release),
      gzipSync(new TextEncoder().encode(JSON.stringify(records)), {
        level: 9,
        mtime: '1980-01-02T00:00:00Z',
      }),
    )
    if (release === LATEST) open.push(openStandin(info, release, records, vocabulary))
  }
}
write('demo.luvren.zip', packReview(buildDemo(open), 'Sound in primary classrooms'))
