import { gzipSync, zipSync } from 'fflate'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { trials } from '../base/trials.fixture'
import { emptyRecord, FORMATS, WRITERS } from '../records'
import { packReview, sideBytes, sideEntry, type SideJournal } from '../review'
import { journalOf } from '../review/journal.fixture'
import { PROFILES } from '../../standins/profiles'
import { whatItIs, type HandedKind } from './what-it-is'

const RECORD = {
  ...emptyRecord('1', 'Noise in rooms'),
  authors: ['Quill, Ada'],
  year: 2020,
  doi: '10.5555/n1',
  journal: 'Journal of Rooms',
}
const RECORDS = [RECORD, { ...RECORD, id: '2', title: 'Echo in rooms', doi: '10.5555/n2' }]
const bytes = (text: string): Uint8Array => new TextEncoder().encode(text)
const PACKAGE = packReview(
  {
    entries: journalOf([{ kind: 'review.create', payload: { id: 'r', title: 'R' } }]),
    blobs: new Map(),
    leftOut: [],
    unfinished: [],
  },
  'R',
)
const ORIGIN = { review: 'r', seq: 0, digest: 'ab'.repeat(32) }
const ALONE: SideJournal = { origin: ORIGIN, person: 'p-1', entries: [] }
const RULED = {
  kind: 'ruling.set',
  payload: { recordId: 'i/1', pass: 'broad', reader: 'p-1', verdict: 'in' },
} as const
const WRITING = { at: '2026-11-20T09:00:00Z', salt: '0'.repeat(32) }
const SIDE = sideBytes({ ...ALONE, entries: [sideEntry(ALONE, RULED, WRITING)] })

const SAMPLES: Record<string, [HandedKind, Uint8Array | string]> = {
  'a package': ['package', PACKAGE],
  ...Object.fromEntries(
    (['ris', 'bibtex', 'csl-json', 'csv'] as const).map((f) => [
      `records as ${f}`,
      ['records', WRITERS[f](RECORDS)],
    ]),
  ),
  'tagged records': ['records', 'TI- Noise\nAU- Quill, A.\nYR- 2020\n\nTI- Echo\nAU- Rook, B.\nYR- 2021\n'],
  'a table of records with no DOI': [
    'records',
    'Title;Authors;Year;Cited by\nNoise in rooms;Quill, A.;2020;14\nEcho in rooms;Rook, B.;2021;3\n',
  ],
  'a history with tabs': [
    'history',
    'No.\tQuery\tRecords\n1\tnoise and class\t1,204\n2\techo\t31\n3\t#1 and #2\t7\n',
  ],
  'references with numbers in brackets': [
    'known',
    '[1] Quill, A. (2020). Noise in rooms. Journal of Rooms. https://doi.org/10.5555/n1\n[2] Rook, B. (2021). Echo in rooms. https://doi.org/10.5555/n2\n',
  ],
  'a history with numbers in brackets': ['history', '[1]\tnoise*\t1,204\n[2]\techo\t31\n[3]\t#1 and #2\t7\n'],
  'a history in blocks': [
    'history',
    'Line: 1\nSearch statement: noise*\nResults: 1,204\n\nLine: 2\nSearch statement: echo\nResults: 31\n',
  ],
  'a history, newest first': ['history', '#2;"#1 and echo";31\n#1;"noise or babble";1.204\n'],
  turtle: [
    'vocabulary',
    '@prefix skos: <http://www.w3.org/2004/02/skos/core#> .\n<https://example.org/1> a skos:Concept ; skos:prefLabel "Noise"@en .\n',
  ],
  'n-triples': [
    'vocabulary',
    '<https://example.org/1> <http://www.w3.org/2004/02/skos/core#prefLabel> "Noise"@en .\n',
  ],
  'rdf/xml': [
    'vocabulary',
    '<?xml version="1.0"?><rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#" xmlns:skos="http://www.w3.org/2004/02/skos/core#"><skos:Concept rdf:about="https://example.org/1"/></rdf:RDF>',
  ],
  'json-ld': [
    'vocabulary',
    '{"@context":{"skos":"http://www.w3.org/2004/02/skos/core#"},"@id":"https://example.org/1","@type":"skos:Concept","skos:prefLabel":"Noise"}',
  ],
  'a list of terms': ['vocabulary', 'Noise\n  NT Echo\n  UF Din\nEcho\n  BT Noise\n'],
  'a citation style': [
    'style',
    '<?xml version="1.0" encoding="utf-8"?>\n<style xmlns="http://purl.org/net/xbiblio/csl" version="1.0"><info><title>Own</title></info><bibliography><layout><text variable="title"/></layout></bibliography></style>',
  ],
  'DOIs, one a line': ['known', '10.5555/n1\nhttps://doi.org/10.5555/n2\n'],
  'references as they stand in a text': [
    'known',
    'Quill, A. (2020). Noise in rooms. Journal of Rooms, 3, 1-9.\n',
  ],
}

describe('what was dropped or pasted', () => {
  it.each(Object.entries(SAMPLES))('is known by what is in it: %s', async (_name, [kind, sample]) => {
    const whole = typeof sample === 'string' ? bytes(sample) : sample
    expect(await whatItIs(whole)).toEqual({ kind })
    // The mark of byte order that some programs put before a text changes nothing.
    if (typeof sample === 'string') expect(await whatItIs(bytes(`\uFEFF${sample}`))).toEqual({ kind })
  })

  it('is known as each description that ships, and as a reader’s file', async () => {
    for (const profile of Object.values(PROFILES))
      expect(await whatItIs(bytes(JSON.stringify(profile)))).toEqual({ kind: 'description' })
    expect(await whatItIs(SIDE)).toEqual({ kind: 'side' })
  })

  it('has a sample of each format of records that is written here', () => {
    expect(Object.keys(WRITERS).filter((f) => !(`records as ${f}` in SAMPLES))).toEqual([])
    expect(FORMATS.length).toBeGreaterThan(3)
  })

  it.each([
    ['a PDF', bytes('%PDF-1.7\n…'), 'full text of one work'],
    ['a document of an office', zipSync({ '[Content_Types].xml': bytes('<Types/>') }), 'of an office'],
    ['an image', new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0, 0, 0, 13]), 'no text'],
    ['something packed', gzipSync(bytes('noise'.repeat(50))), 'no text'],
    ['nothing', bytes(' \n'), 'Nothing is in it'],
    ['a letter', bytes('Dear colleague, thank you for the file.'), 'could not be told'],
  ])('is refused in words where nothing takes it: %s', async (_name, sample, words) => {
    const is = await whatItIs(sample)
    expect(is).toMatchObject({ kind: undefined, words: expect.stringContaining(words) as string })
  })

  it('is told the same by its beginning as by the whole, but for what the whole alone can tell', async () => {
    const many = Array.from({ length: 3000 }, (_, n) => ({ ...RECORD, id: `${n}`, title: `Note ${n}` }))
    for (const format of ['ris', 'bibtex', 'csl-json', 'csv'] as const) {
      const all = bytes(WRITERS[format](many))
      expect(await whatItIs(all.subarray(0, 60_000), false)).toEqual({ kind: 'records' })
    }
  })

  it('never throws, whatever it is', async () => {
    const samples = Object.values(SAMPLES).map(([, s]) => (typeof s === 'string' ? bytes(s) : s))
    await fc.assert(
      fc.asyncProperty(
        fc.constantFrom(...samples),
        fc.nat(),
        fc.uint8Array({ maxLength: 20 }),
        async (sample, at, put) => {
          const hurt = Uint8Array.from(sample.subarray(0, 20_000))
          hurt.set(put.subarray(0, hurt.length), at % Math.max(1, hurt.length - put.length))
          const is = await whatItIs(hurt.subarray(0, at % 2 ? hurt.length : at % (hurt.length + 1)))
          if (is.kind === undefined) expect(is.words).toMatch(/\.$/)
        },
      ),
      { numRuns: trials(150, 20_000) },
    )
  })
})
