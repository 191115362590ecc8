import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { vocabularyOf } from '../../standins/corpus/releases'
import { formatOf } from './read-vocabulary'
import { phrasesIn, readSkosXml, readTermList, readVocabulary, suggestFromQuestion, Thesaurus } from '.'
import type { Vocabulary } from '.'

const about = { id: 'list', title: 'A list', version: '' }
const list = (text: string): { vocabulary: Vocabulary; codes: string[]; messages: string[] } => {
  const read = readTermList(text, about)
  if (!read.ok) throw new Error(read.problems[0]!.message)
  return {
    vocabulary: read.value,
    codes: read.problems.map((p) => p.code),
    messages: read.problems.map((p) => p.message),
  }
}
const named = (v: Vocabulary, label: string) => v.headings.find((h) => h.label === label)!
const labels = (v: Vocabulary, ids: readonly string[]): string[] =>
  ids.map((id) => v.headings.find((h) => h.id === id)!.label)

describe('a plain list of terms', () => {
  // The signs and their reciprocity are those of ISO 25964-1 (USE/UF, BT/NT, RT/RT).
  const printed = `
Reverberation time
  SN  Time for sound in a closed space
      SN  to fall by 60 dB.
  UF  echo time
  BT  Room acoustics
  NT  Early decay time
  RT  Sound absorption
  CC  B4.2
  HN  Introduced in 1998
decay time
  USE Reverberation time
Room acoustics
Early decay time
Sound absorption
`
  it('completes USE and UF, BT and NT, RT and RT both ways (ISO 25964-1)', () => {
    const { vocabulary, codes } = list(printed)
    expect(codes).toEqual([])
    const heading = named(vocabulary, 'Reverberation time')
    expect(heading).toMatchObject({
      entryTerms: ['echo time', 'decay time'],
      scopeNote: 'Time for sound in a closed space to fall by 60 dB.',
      code: 'B4.2',
      since: 1998,
    })
    expect(labels(vocabulary, heading.broader)).toEqual(['Room acoustics'])
    expect(labels(vocabulary, named(vocabulary, 'Room acoustics').narrower)).toEqual(['Reverberation time'])
    expect(labels(vocabulary, named(vocabulary, 'Sound absorption').related)).toEqual(['Reverberation time'])
    expect(vocabulary.headings.map((h) => h.label)).not.toContain('decay time')
  })

  it('reads a tree from NT1, NT2 and so on', () => {
    const { vocabulary } = list('Sound\n NT1 Noise\n NT2 Traffic noise\n NT1 Music\n RT Hearing')
    expect(labels(vocabulary, named(vocabulary, 'Noise').narrower)).toEqual(['Traffic noise'])
    expect(labels(vocabulary, named(vocabulary, 'Sound').narrower)).toEqual(['Noise', 'Music'])
  })

  it('reads a list without any sign by its indents', () => {
    const { vocabulary, codes } = list('Sound\n\tNoise\n\t\tTraffic noise\n\tMusic\nLight')
    expect(codes).toEqual([])
    expect(labels(vocabulary, named(vocabulary, 'Sound').narrower)).toEqual(['Noise', 'Music'])
    expect(labels(vocabulary, named(vocabulary, 'Traffic noise').broader)).toEqual(['Noise'])
    expect(named(vocabulary, 'Light').broader).toEqual([])
  })

  it('adds headings that are only spoken of, and says which', () => {
    const { vocabulary, messages } = list('Noise\n  BT Sound\n  RT Hearing')
    expect(vocabulary.headings.map((h) => h.label)).toEqual(['Noise', 'Sound', 'Hearing'])
    expect(messages.join()).toContain('Sound; Hearing'.toLowerCase())
  })

  it.each([
    ['a ring', 'A\n BT B\nB\n BT A', 'ring'],
    ['a related heading that stands above', 'A\n BT B\n RT B\nB', 'S27'],
    ['a term that leads elsewhere and has relations', 'A\n USE B\n NT C\nB\nC', 'list-both'],
    ['a sign under no term', ' BT A\nB', 'list-stray'],
    ['a term that leads to itself', 'A\n UF A', 'list-self'],
  ])('mends and names %s', (_what, text, code) => {
    const { vocabulary, codes } = list(text)
    expect(codes).toContain(code)
    const thesaurus = new Thesaurus(vocabulary)
    for (const h of vocabulary.headings) expect(thesaurus.paths(h).length).toBeGreaterThan(0)
  })

  it('reads any text or refuses it with words, and relations hold both ways', () => {
    const rows = fc
      .array(
        fc.tuple(
          fc.constantFrom('', '  ', '\t', '      '),
          fc.constantFrom('', 'BT ', 'NT ', 'NT2 ', 'RT: ', 'USE ', 'UF ', 'SN ', 'CC ', 'QQ '),
          fc.constantFrom('A', 'B', 'C', 'D', '***', 'a b', '😀'),
        ),
        { maxLength: 30 },
      )
      .map((parts) => parts.map((p) => p.join('')).join('\n'))
    fc.assert(
      fc.property(fc.oneof(rows, fc.string({ unit: 'binary' })), (text) => {
        const read = readTermList(text, about)
        if (!read.ok) {
          expect(read.problems[0]!.message.length).toBeGreaterThan(20)
          return
        }
        const byId = new Map(read.value.headings.map((h) => [h.id, h]))
        expect(byId.size).toBe(read.value.headings.length)
        for (const h of read.value.headings) {
          for (const b of h.broader) expect(byId.get(b)!.narrower).toContain(h.id)
          for (const r of h.related) expect(byId.get(r)!.related).toContain(h.id)
          for (const t of h.entryTerms) expect(t).not.toBe(h.label)
        }
      }),
      { numRuns: 800 },
    )
  })
})

describe('a vocabulary file of any kind', () => {
  const xml = `<?xml version="1.0"?>
<rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#" xmlns:skos="http://www.w3.org/2004/02/skos/core#">
  <skos:Concept rdf:about="http://example.org/a">
    <skos:prefLabel xml:lang="en">Noise</skos:prefLabel>
    <skos:narrower rdf:resource="http://example.org/b"/>
  </skos:Concept>
  <skos:Concept rdf:about="http://example.org/b"><skos:prefLabel xml:lang="en">Babble</skos:prefLabel></skos:Concept>
</rdf:RDF>`
  it.each([
    [xml, 'rdf-xml'],
    ['@prefix skos: <http://www.w3.org/2004/02/skos/core#> .', 'turtle'],
    ['# a remark\nPREFIX skos: <http://www.w3.org/2004/02/skos/core#>', 'turtle'],
    ['<http://example.org/a> <http://www.w3.org/2004/02/skos/core#prefLabel> "A" .', 'turtle'],
    ['{"@context": {}}', 'json-ld'],
    ['Noise\n  BT Sound', 'term list'],
  ])('is told apart by its first signs', (text, format) => expect(formatOf(text)).toBe(format))

  it('is read from RDF/XML with relations completed', async () => {
    const read = await readVocabulary(xml, about)
    expect(read.ok && read.value.title).toBe('A list')
    expect(read.ok && read.value.headings.map((h) => h.label)).toEqual(['Noise', 'Babble'])
    expect(read.ok && read.value.headings[1]!.broader).toEqual(['http://example.org/a'])
  })

  it('is refused with words where the XML is broken or holds no concept', async () => {
    expect(await readSkosXml('<?xml version="1.0"?><rdf:RDF')).toMatchObject({ ok: false })
    const empty = await readSkosXml(
      '<rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#"></rdf:RDF>',
    )
    expect(empty.problems[0]!.code).toBe('no-concepts')
  })
})

describe('a list as it is printed', () => {
  const PRINTED = `Thesaurus of rooms and learning                                12

Classroom acoustics (1998)
    SN  How sound behaves in rooms where teaching happens; use also for
        properties of the room, not for loudness.
    UF  School acoustics
        Acoustics of
            classrooms
    TT  Learning environment
    BT  Learning environment
    NT  Classroom noise
        Reverberation
    RT  Listening
Din USE Classroom noise
Thesaurus of rooms and learning                                13

Classroom noise
    Used for: Noise in classrooms
    Broader terms: Classroom acoustics
Learning environment
    NT  Classroom acoustics
Listening
Reverberation
– 13 –`
  const read = readTermList(PRINTED, { id: 'p', title: 'Printed', version: '' })
  if (!read.ok) throw new Error('not read')
  const of = (label: string) => read.value.headings.find((h) => h.label === label)!
  const labels = (ids: readonly string[]) =>
    ids.map((id) => read.value.headings.find((h) => h.id === id)!.label)
  it('has just its headings, with notes and entries that were wrapped', () => {
    expect(read.value.headings.map((h) => h.label).sort()).toEqual([
      'Classroom acoustics',
      'Classroom noise',
      'Learning environment',
      'Listening',
      'Reverberation',
    ])
    expect(of('Classroom acoustics')).toMatchObject({
      since: 1998,
      scopeNote:
        'How sound behaves in rooms where teaching happens; use also for properties of the room, not for loudness.',
      entryTerms: ['School acoustics', 'Acoustics of classrooms'],
    })
    expect(labels(of('Classroom acoustics').narrower)).toEqual(['Classroom noise', 'Reverberation'])
    expect([...of('Classroom noise').entryTerms].sort()).toEqual(['Din', 'Noise in classrooms'])
    expect(labels(of('Classroom noise').broader)).toEqual(['Classroom acoustics'])
  })
  it('names what it took for heads and numbers of pages', () => {
    expect(read.problems.map((p) => p.code)).toContain('list-pages')
  })
})

describe('suggestions from the question', () => {
  const question =
    'How do sound conditions in primary-school classrooms bear on pupils’ listening comprehension and early reading?'
  const thesaurus = new Thesaurus(vocabularyOf('fernhollow')!)

  it('cut the question at stop words and signs, never inside a phrase', () => {
    const texts = phrasesIn('Noise, and the babble of children in schools').map((p) => p.text)
    expect(texts).toEqual([
      'Noise',
      'babble of children in schools',
      'babble of children',
      'babble',
      'children in schools',
      'children',
      'schools',
    ])
    expect(phrasesIn('')).toEqual([])
  })

  it('lead to headings by label and by entry term, whatever the plural or hyphen', () => {
    const found = suggestFromQuestion(question, thesaurus)
    const of = (text: string) => found.find((f) => f.text === text)?.headings.map((h) => h.heading.label)
    expect(of('primary-school classrooms')).toEqual(['Elementary school classrooms'])
    expect(of('listening comprehension')).toEqual(['Listening comprehension'])
    expect(of('early reading')).toEqual(['Beginning reading'])
    for (const f of found) expect(question.slice(f.start, f.end)).toBe(f.text)
  })

  it('name a heading once where a longer phrase already leads to it', () => {
    const found = suggestFromQuestion('listening comprehension', thesaurus)
    expect(
      found
        .flatMap((f) => f.headings.map((h) => h.heading.label))
        .filter((l) => l === 'Listening comprehension'),
    ).toHaveLength(1)
  })
})

describe('looking up through the index of words', () => {
  const thesaurus = new Thesaurus(vocabularyOf('girder')!)
  const names = thesaurus.vocabulary.headings.flatMap((h) => [h.label, ...h.entryTerms])

  it('finds what reading every name one by one finds', () => {
    const words = [
      ...new Set(
        names.flatMap((n) =>
          n
            .toLowerCase()
            .split(/[^a-z0-9]+/)
            .filter(Boolean),
        ),
      ),
    ]
    const piece = fc
      .tuple(fc.constantFrom(...words), fc.nat(6))
      .map(([w, cut]) => w.slice(0, Math.max(1, w.length - cut)))
    fc.assert(
      fc.property(fc.array(piece, { minLength: 1, maxLength: 3 }), (asked) => {
        const offered = new Set(thesaurus.lookUp(asked.join(' '), 10_000).map((l) => l.heading.id))
        for (const h of thesaurus.vocabulary.headings) {
          const parts = [h.label, ...h.entryTerms].map((n) => n.toLowerCase().split(/[^a-z0-9]+/))
          const begun = parts.some((p) => asked.every((a) => p.some((w) => w.startsWith(a))))
          if (begun) expect(offered.has(h.id)).toBe(true)
        }
      }),
      { numRuns: 300 },
    )
  })

  it('keeps the same order whether few or many are wanted', () => {
    for (const asked of ['s', 'no', 'sound', 'room'])
      expect(thesaurus.lookUp(asked, 5)).toEqual(thesaurus.lookUp(asked, 1000).slice(0, 5))
  })
})
