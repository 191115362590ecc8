import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { messageOf } from '../base'
import { trials } from '../base/trials.fixture'
import { learn, readDescription } from '../profile'
import { parse, print } from '../query'
import { readAll, readPasted, readStyle, recognise, WRITERS } from '../records'
import { inMemory, openPackage, packReview, readSide } from '../review'
import { journalOf } from '../review/journal.fixture'
import { recogniseHistory } from '../strategy'
import { readVocabulary } from '../vocabulary'
import { PROFILES } from '../../standins/profiles'
import { emptyRecord } from '../records'

/** What a door made of a file: taken, or words why not. */
type Made = { taken: boolean; words: string[] }
interface DoorTo {
  /** A sound file. */
  sound: string
  open: (text: string) => Made | Promise<Made>
}
const of = (read: { ok: boolean; problems: readonly { message: string }[] }): Made => ({
  taken: read.ok,
  words: read.problems.map((p) => p.message),
})
const bytes = (text: string): Uint8Array => Uint8Array.from(text, (c) => c.charCodeAt(0) & 0xff)

const RECORD = {
  ...emptyRecord('1', 'Noise in rooms'),
  authors: ['Quill, Ada'],
  year: 2020,
  doi: '10.5555/n1',
  abstract: 'Words of it.',
}
const records = (sound: string): DoorTo => ({
  sound,
  open: (text) => {
    const shape = recognise(text.slice(0, 4000))
    if (!shape) return { taken: false, words: ['This is none of the formats that are read here.'] }
    const { items, strays } = readAll(text, shape)
    return {
      taken: items.some((i) => i.record),
      words: [...strays, ...items.flatMap((i) => i.problems)].map((p) => p.message),
    }
  },
})
const TURTLE = `@prefix skos: <http://www.w3.org/2004/02/skos/core#> .
<https://example.org/1> a skos:Concept ; skos:prefLabel "Noise"@en ; skos:narrower <https://example.org/2> .
<https://example.org/2> a skos:Concept ; skos:prefLabel "Echo"@en .
`
const RDF = `<?xml version="1.0"?><rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#" xmlns:skos="http://www.w3.org/2004/02/skos/core#"><skos:Concept rdf:about="https://example.org/1"><skos:prefLabel xml:lang="en">Noise</skos:prefLabel></skos:Concept></rdf:RDF>`
const vocabulary = (sound: string): DoorTo => ({
  sound,
  open: async (text) => of(await readVocabulary(text, { id: 'v', title: 'V', version: '' })),
})
const STYLE =
  '<style xmlns="http://purl.org/net/xbiblio/csl" version="1.0"><info><title>Own</title></info><bibliography><layout><text variable="title"/></layout></bibliography></style>'
const JOURNAL = packReview(
  {
    entries: journalOf([{ kind: 'review.create', payload: { id: 'r', title: 'R', schema: 1 } as never }]),
    blobs: new Map(),
    leftOut: [],
    unfinished: [],
  },
  'R',
)

/** Every door through which a file or a paste of somebody else comes in. */
const DOORS: Record<string, DoorTo> = {
  ...Object.fromEntries(
    (['ris', 'bibtex', 'csl-json', 'csv'] as const).map((f) => [
      f,
      records(WRITERS[f]([RECORD, { ...RECORD, id: '2' }])),
    ]),
  ),
  tagged: records('TI- Noise\nAU- Quill, A.\nYR- 2020\n\nTI- Echo\nAU- Rook, B.\nYR- 2021\n'),
  'known items, pasted': {
    sound: '10.5555/n1\nQuill, A. (2020). Noise in rooms. Journal of Rooms, 3, 1-9.\n',
    open: async (text) => {
      const items = await readPasted(text)
      return { taken: items.length > 0, words: ['Nothing in it names a work.'] }
    },
  },
  turtle: vocabulary(TURTLE),
  'rdf/xml': vocabulary(RDF),
  'json-ld': vocabulary(
    '{"@context":{"skos":"http://www.w3.org/2004/02/skos/core#"},"@id":"https://example.org/1","@type":"skos:Concept","skos:prefLabel":"Noise"}',
  ),
  'term list': vocabulary('Noise\n  NT Echo\nEcho\n  BT Noise\n'),
  description: {
    sound: JSON.stringify(PROFILES.fernhollow),
    open: (text) => {
      let value: unknown
      try {
        value = JSON.parse(text)
      } catch {
        return { taken: false, words: ['This file is no JSON.'] }
      }
      return of(readDescription(value))
    },
  },
  examples: {
    sound: 'q1 is the title\nTitle words\t<t>noise\nnoise* and (echo or rooms)\n#1 and #2\n',
    open: (text) => {
      const { doubts } = learn(text)
      return { taken: true, words: doubts.map(() => 'a doubt in words') }
    },
  },
  history: {
    sound: '1\tnoise and class\t1,204\n2\techo\t31\n3\t#1 and #2\t7\n',
    open: (text) => {
      const { rows, problems } = recogniseHistory(text, { most: 2000 })
      return { taken: rows.length > 0, words: problems.map((p) => p.message) }
    },
  },
  line: {
    sound: 'title: (noise OR "sound field*") NEAR/3 class* NOT #2',
    open: (text) => {
      const { tree, problems } = parse(text)
      if (tree) print(tree)
      return {
        taken: tree !== undefined,
        words: problems.map((p) => p.message).concat('Nothing stands in it.'),
      }
    },
  },
  style: { sound: STYLE, open: (text) => of(readStyle(text)) },
  'side file': {
    sound: '{"origin":{"digest":"x"},"person":"p","entries":[]}',
    open: (text) => of(readSide(bytes(text))),
  },
  package: {
    sound: String.fromCharCode(...JOURNAL),
    open: async (text) => of(await openPackage(inMemory(bytes(text)))),
  },
}

const NASTY = [
  '__proto__',
  'constructor',
  '\u0000',
  '\uFEFF',
  '\uD800',
  '"',
  '\\',
  '{'.repeat(300),
  '['.repeat(300),
  '('.repeat(300),
  '<a>'.repeat(200),
  '@string{a = "x" # "y"}\n',
  '<!DOCTYPE r [<!ENTITY e "eeee">]>&e;&e;',
  'TY  - \n',
  '9'.repeat(400),
  '-1e999',
  'null',
  '\t'.repeat(200),
  '\n'.repeat(200),
  '*?*?*?',
  '= 1+1',
  '‮',
]
/** A file as it may come: cut, doubled, turned round, with what does not belong there. */
const hurt = (sound: string): fc.Arbitrary<string> =>
  fc
    .array(
      fc.tuple(
        fc.constantFrom('cut', 'double', 'put in', 'over', 'turn', 'drop'),
        fc.nat(),
        fc.nat({ max: 200 }),
        fc.oneof(fc.constantFrom(...NASTY), fc.string({ unit: 'binary', maxLength: 12 })),
      ),
      { minLength: 1, maxLength: 6 },
    )
    .map((changes) =>
      changes.reduce((text, [how, place, length, words]) => {
        const at = text.length ? place % text.length : 0
        const part = text.slice(at, at + length)
        switch (how) {
          case 'cut':
            return text.slice(0, at)
          case 'double':
            return text.slice(0, at) + part + part + text.slice(at + length)
          case 'put in':
            return text.slice(0, at) + words + text.slice(at)
          case 'over':
            return text.slice(0, at) + words + text.slice(at + words.length)
          case 'turn':
            return text.slice(0, at) + [...part].reverse().join('') + text.slice(at + length)
          default:
            return text.slice(0, at) + text.slice(at + length)
        }
      }, sound),
    )

describe('a file that somebody else made', () => {
  it.each(Object.entries(DOORS))('of %s is taken as it should be', async (_name, { sound, open }) => {
    const { taken } = await open(sound)
    expect(taken || sound.startsWith('{"origin"')).toBe(true)
  })

  it.each([
    ['term list', 'Noise\n\uFEFF  NT Echo\nEcho\n  BT Noise\n'],
    ['term list', `Noise\n  NT${'9'.repeat(400)} Echo\n`],
    ['turtle', TURTLE.replace('<https://example.org/2>', '</2>')],
    ['turtle', TURTLE.replace('<http', '<__proto__http').replace('a skos', ':soks a')],
    ['csl-json', '[{"id":"1",,}]'],
  ])('once broke the door of a %s, and does no more', async (door, text) => {
    const { words } = await DOORS[door]!.open(text)
    for (const w of words) expect(w).not.toMatch(/undefined|Cannot read|Unexpected token/)
  })

  it.each(Object.entries(DOORS))(
    'and that is hurt in any way is read as %s or refused in words: nothing throws, nothing is left behind',
    async (_name, { sound, open }) => {
      const before = JSON.stringify(Object.getOwnPropertyNames(Object.prototype))
      await fc.assert(
        fc.asyncProperty(hurt(sound), async (text) => {
          let made: Made
          try {
            made = await open(text)
          } catch (error) {
            throw new Error(`It threw: ${messageOf(error)}`, { cause: error })
          }
          if (!made.taken) {
            expect(made.words.length).toBeGreaterThan(0)
            for (const words of made.words) expect(words.length).toBeGreaterThan(10)
          }
          // No words of a program.
          for (const words of made.words)
            expect(words).not.toMatch(/undefined|\[object|is not a function|Cannot read|NaN|Unexpected token/)
        }),
        { numRuns: trials(40, 1500), endOnFailure: true },
      )
      expect(JSON.stringify(Object.getOwnPropertyNames(Object.prototype))).toBe(before)
    },
  )
})
