// Writes the vocabularies and records of the stand-ins, and the demo review, to public/data. The same bytes every time.
import { mkdirSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { gzipSync } from 'fflate'
import { packReview } from '../src/core/review'
import { writeSkos } from '../src/core/vocabulary'
import { openStandin, recordsFile, STANDINS, vocabularyFile } from '../src/standins'
import { fernhollowRecords, fernhollowVocabulary } from '../src/standins/corpus/releases'
import { buildDemo } from '../src/standins/demo'

const out = path.join(import.meta.dirname, '..', 'public', 'data')
mkdirSync(out, { recursive: true })
const write = (name: string, bytes: Uint8Array | string): void => {
  writeFileSync(path.join(out, name), bytes)
  console.log(`${name}: ${Math.ceil(bytes.length / 1024)} KiB`)
}

const [fernhollow] = STANDINS
const records = fernhollowRecords()
const vocabulary = fernhollowVocabulary()
write(vocabularyFile(fernhollow!)!, writeSkos(vocabulary))
write(
  recordsFile(fernhollow!),
  gzipSync(new TextEncoder().encode(JSON.stringify(records)), { level: 9, mtime: '1980-01-02T00:00:00Z' }),
)
const demo = buildDemo(openStandin(fernhollow!, records, vocabulary))
write('demo.luvren.zip', packReview(demo, 'Sound in primary classrooms'))
