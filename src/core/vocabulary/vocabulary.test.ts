import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { vocabularyOf } from '../../standins/corpus/releases'
import {
  ideasIn,
  candidates,
  isStrong,
  type MatchReason,
  readOutline,
  readSkos,
  readSkosJsonLd,
  Thesaurus,
  writeSkos,
  type Vocabulary,
} from '.'

const HEAD = '@prefix skos: <http://www.w3.org/2004/02/skos/core#> . @prefix : <http://example.org/> .\n'
const read = (turtle: string): { vocabulary: Vocabulary; codes: string[] } => {
  const result = readSkos(HEAD + turtle)
  if (!result.ok) throw new Error(result.problems[0]!.message)
  return { vocabulary: result.value, codes: result.problems.map((p) => p.code) }
}
const heading = (v: Vocabulary, label: string) => v.headings.find((h) => h.label === label)!

/** A small vocabulary: labels with their entry terms. */
const thesaurusOf = (headings: readonly (readonly [string, readonly string[]])[]): Thesaurus =>
  new Thesaurus({
    id: 'made',
    title: 'Made',
    version: '1',
    headings: headings.map(([label, entryTerms]) => ({
      id: label,
      label,
      entryTerms: [...entryTerms],
      broader: [],
      narrower: [],
      related: [],
    })),
  })

describe('reading SKOS', () => {
  it('completes BT/NT and RT/RT both ways (reciprocity, ISO 25964-1)', () => {
    const { vocabulary, codes } = read(
      ':a a skos:Concept; skos:prefLabel "A"@en; skos:narrower :b; skos:related :c. :b a skos:Concept; skos:prefLabel "B"@en. :c a skos:Concept; skos:prefLabel "C"@en.',
    )
    expect(codes).toEqual([])
    expect(heading(vocabulary, 'B').broader).toEqual(['http://example.org/a'])
    expect(heading(vocabulary, 'C').related).toEqual(['http://example.org/a'])
  })

  // SKOS Reference (W3C Recommendation 2009): integrity conditions by their numbers.
  it.each([
    ['S9', ':a a skos:Concept, skos:ConceptScheme; skos:prefLabel "A".'],
    ['S13', ':a a skos:Concept; skos:prefLabel "A"@en; skos:altLabel "A"@en.'],
    ['S14', ':a a skos:Concept; skos:prefLabel "A"@en, "B"@en.'],
    [
      'S27',
      ':a a skos:Concept; skos:prefLabel "A"; skos:narrower :b; skos:related :c. :b a skos:Concept; skos:prefLabel "B"; skos:narrower :c. :c a skos:Concept; skos:prefLabel "C".',
    ],
    ['S46', ':a a skos:Concept; skos:prefLabel "A"; skos:exactMatch :x; skos:broadMatch :x.'],
    [
      'ring',
      ':a a skos:Concept; skos:prefLabel "A"; skos:broader :b. :b a skos:Concept; skos:prefLabel "B"; skos:broader :a.',
    ],
    ['unknown-concept', ':a a skos:Concept; skos:prefLabel "A"; skos:broader :nowhere.'],
    ['no-label', ':a a skos:Concept.'],
  ])('reports a breach of %s and reads on', (code, turtle) => {
    const { vocabulary, codes } = read(turtle)
    expect(codes).toContain(code)
    expect(vocabulary.headings.length).toBeGreaterThan(0)
  })

  it('knows what stands above what in a hierarchy as deep as a file can make it', () => {
    const deep = 8000
    const chain = Array.from(
      { length: deep },
      (_, i) =>
        `:c${i} a skos:Concept; skos:prefLabel "C${i}"; skos:related :c${(i + deep / 2) % deep}${i ? `; skos:broader :c${i - 1}` : ''}.`,
    ).join('\n')
    const { vocabulary, codes } = read(chain)
    expect(vocabulary.headings).toHaveLength(deep)
    // Each of them stands above or below the one that it is said to be related to.
    expect(codes.filter((c) => c === 'S27')).toHaveLength(deep)
  })

  it('knows what stands above what in any hierarchy, as climbing it step by step does', () => {
    const edge = fc.tuple(fc.nat(11), fc.nat(11)).filter(([a, b]) => a < b)
    fc.assert(
      fc.property(
        fc.uniqueArray(edge, { selector: String, maxLength: 24 }),
        fc.nat(11),
        fc.nat(11),
        (edges, a, b) => {
          const above = (low: number, seen: readonly number[] = []): number[] =>
            edges.flatMap(([high, below]) =>
              below === low && !seen.includes(high) ? [high, ...above(high, [...seen, high])] : [],
            )
          const concepts = Array.from({ length: 12 }, (_, i) => {
            const broader = edges.flatMap(([high, low]) => (low === i ? [`; skos:broader :c${high}`] : []))
            return `:c${i} a skos:Concept; skos:prefLabel "C${i}"${i === a ? `; skos:related :c${b}` : ''}${broader.join('')}.`
          })
          const { codes } = read(concepts.join('\n'))
          expect(codes.includes('S27')).toBe(a === b || above(a).includes(b) || above(b).includes(a))
        },
      ),
      { numRuns: 300 },
    )
  })

  it('leaves no heading below itself, however long the ring', () => {
    const ring = Array.from(
      { length: 50 },
      (_, i) => `:n${i} a skos:Concept; skos:prefLabel "N${i}"; skos:broader :n${(i + 1) % 50}.`,
    ).join('\n')
    const thesaurus = new Thesaurus(read(ring).vocabulary)
    for (const h of thesaurus.vocabulary.headings)
      expect(
        thesaurus
          .withNarrower(h)
          .slice(1)
          .every((below) => below.id !== h.id),
      ).toBe(true)
  })

  it('refuses what is no Turtle, and Turtle without a concept, with words', () => {
    expect(readSkos('this is not turtle')).toMatchObject({ ok: false, problems: [{ code: 'turtle' }] })
    expect(readSkos(`${HEAD} :a :b :c.`)).toMatchObject({ ok: false, problems: [{ code: 'no-concepts' }] })
  })

  it('takes no collection for a heading, and labels and notes that are nodes of their own as what they say', () => {
    const { vocabulary, codes } = read(
      `@prefix xl: <http://www.w3.org/2008/05/skos-xl#>. @prefix rdf: <http://www.w3.org/1999/02/22-rdf-syntax-ns#>.
       :group a skos:Collection; skos:prefLabel "Rooms by use"; skos:member :a.
       :a a skos:Concept; xl:prefLabel :l1; xl:altLabel :l2; skos:scopeNote [ rdf:value "Where lessons are held." ].
       :l1 a xl:Label; xl:literalForm "Classrooms"@en. :l2 a xl:Label; xl:literalForm "Lesson rooms"@en.
       :b a skos:Concept; skos:prefLabel "Halls". :c a skos:Concept; skos:prefLabel "halls".`,
    )
    expect(vocabulary.headings.map((h) => h.label)).toEqual(['Classrooms', 'Halls', 'halls'])
    expect(heading(vocabulary, 'Classrooms')).toMatchObject({
      entryTerms: ['Lesson rooms'],
      scopeNote: 'Where lessons are held.',
    })
    expect(codes).toEqual(['same-label'])
  })

  it('reads all labels in one language: in another than was asked for where few have that, and says so', () => {
    const { vocabulary, codes } = read(
      ':a a skos:Concept; skos:prefLabel "Lärm"@de, "Noise"@en. :b a skos:Concept; skos:prefLabel "Klang"@de. :c a skos:Concept; skos:prefLabel "Raum"@de. :d a skos:Concept; skos:prefLabel "Schule"@de.',
    )
    expect(vocabulary.headings.map((h) => h.label)).toEqual(['Lärm', 'Klang', 'Raum', 'Schule'])
    expect(codes).toEqual(['language'])
  })

  it('takes labels in the language asked for, else in any', () => {
    const { vocabulary } = read(
      ':a a skos:Concept; skos:prefLabel "Lärm"@de, "Noise"@en. :b a skos:Concept; skos:prefLabel "Klang"@de.',
    )
    expect(vocabulary.headings.map((h) => h.label)).toEqual(['Noise', 'Klang'])
  })
})

describe('the Fernhollow Thesaurus', () => {
  const thesaurus = new Thesaurus(vocabularyOf('fernhollow')!)

  it('goes through Turtle and back unchanged, without a breach', () => {
    const result = readSkos(writeSkos(thesaurus.vocabulary))
    expect(result.problems).toEqual([])
    const sorted = (v: Vocabulary): unknown =>
      v.headings
        .map((h) => ({
          ...h,
          broader: [...h.broader].sort(),
          narrower: [...h.narrower].sort(),
          related: [...h.related].sort(),
        }))
        .sort((a, b) => (a.id < b.id ? -1 : 1))
    expect(result.ok && sorted(result.value)).toEqual(sorted(thesaurus.vocabulary))
  })

  it('has at least 120 headings over at least four levels, and no name that leads to two headings', () => {
    expect(thesaurus.size).toBeGreaterThanOrEqual(120)
    expect(
      Math.max(...thesaurus.vocabulary.headings.flatMap((h) => thesaurus.paths(h).map((p) => p.length))),
    ).toBeGreaterThanOrEqual(4)
    const names = thesaurus.vocabulary.headings
      .flatMap((h) => [h.label, ...h.entryTerms])
      .map((n) => n.toLowerCase())
    expect(names.filter((n, i) => names.indexOf(n) !== i)).toEqual([])
  })

  it('leads from an entry term to its heading, and finds words in any order and parts of words', () => {
    const best = (text: string): string | undefined => thesaurus.lookUp(text)[0]?.heading.label
    expect(thesaurus.lookUp('echo in rooms')[0]).toMatchObject({
      kind: 'entry term',
      heading: { label: 'Classroom sound' },
    })
    expect(best('comprehension listening')).toBe('Listening comprehension')
    expect(best('phonolog')).toBe('Phonological awareness')
    expect(thesaurus.lookUp('coustic').map((l) => l.kind)).toContain('part of a word')
    expect(thesaurus.lookUp('  ')).toEqual([])
  })

  it('offers what is typed itself, then entry terms, then what begins so, then what contains it; within each by records', () => {
    const made = thesaurusOf([
      ['Attention tests', []],
      ['Attention', []],
      ['Attention in class', []],
      ['Listening', ['Attention span']],
      ['Sustained attention', []],
      ['Inattentiontests', []],
      ['Vigilance', ['attention']],
    ])
    const records: Record<string, number> = { 'Attention in class': 428, 'Attention tests': 0, Listening: 30 }
    const offers = made.lookUp('attention', 20, (h) => records[h.label] ?? 1)
    expect(offers.map((o) => [o.heading.label, o.kind])).toEqual([
      ['Attention', 'label'],
      ['Vigilance', 'entry term'],
      ['Attention in class', 'beginning'],
      ['Listening', 'beginning'],
      ['Attention tests', 'beginning'],
      ['Sustained attention', 'words'],
      ['Inattentiontests', 'part of a word'],
    ])
  })

  it('does not take a related heading along with narrower ones (common practice)', () => {
    const sound = thesaurus.byLabel('Classroom sound')!
    const below = thesaurus.withNarrower(sound).map((h) => h.label)
    expect(below).toContain('Acoustic treatment of classrooms')
    expect(thesaurus.all(sound.related).map((h) => h.label)).toContain('Noise (sound)')
    expect(below).not.toContain('Noise (sound)')
  })
})

describe('an outline', () => {
  it('names the line where a heading is spoken of that is not there', () => {
    const { problems } = readOutline('A\n  ~ Nowhere', { id: 'x', title: '', version: '' })
    expect(problems[0]!.message).toBe('Line 2: there is no heading "Nowhere".')
  })
})

describe('the three vocabularies of the stand-ins', () => {
  const all = (['fernhollow', 'girder', 'mindmere'] as const).map((id) => new Thesaurus(vocabularyOf(id)!))
  const [fernhollow, girder, mindmere] = all as [Thesaurus, Thesaurus, Thesaurus]

  it('have 150 to 300 headings each over at least four levels, and go through Turtle without a breach', () => {
    for (const t of all) {
      expect(t.size).toBeGreaterThanOrEqual(150)
      expect(t.size).toBeLessThanOrEqual(300)
      expect(
        Math.max(...t.vocabulary.headings.flatMap((h) => t.paths(h).map((p) => p.length))),
      ).toBeGreaterThanOrEqual(4)
      expect(readSkos(writeSkos(t.vocabulary)).problems).toEqual([])
      const names = t.vocabulary.headings
        .flatMap((h) => [h.label, ...h.entryTerms])
        .map((n) => n.toLowerCase())
      expect(names.filter((n, i) => names.indexOf(n) !== i)).toEqual([])
    }
  })

  it('name the same idea differently, and candidates say why they are offered', () => {
    const best = (from: Thesaurus, label: string, to: Thesaurus) => candidates(from.byLabel(label)!, to)[0]
    expect(best(fernhollow, 'Beginning reading', mindmere)).toMatchObject({
      heading: { label: 'Reading development' },
      reasons: [{ kind: 'entry term' }],
    })
    expect(best(fernhollow, 'Listening comprehension', mindmere)).toMatchObject({
      heading: { label: 'Listening comprehension' },
      reasons: [{ kind: 'same label' }],
    })
    expect(best(girder, 'Reverberation time', mindmere)).toBeUndefined()
    expect(best(fernhollow, 'School ventilation', girder)!.reasons[0]!.kind).toMatch(
      /entry term|shared words/,
    )
  })

  it('are strong by name, or by words and records together that chance does not explain', () => {
    const records = (count: number, expected: number, ...more: MatchReason[]): boolean =>
      isStrong([{ kind: 'shared records', count, expected }, ...more])
    const words: MatchReason = { kind: 'shared words', words: ['x'] }
    expect(isStrong([{ kind: 'same label' }])).toBe(true)
    expect(isStrong([{ kind: 'entry term', term: 'x' }])).toBe(true)
    expect(isStrong([{ kind: 'shared words', words: ['x'] }])).toBe(false)
    expect(records(3, 0)).toBe(false)
    // What is studied together is not the same.
    expect(records(89, 9)).toBe(false)
    expect(records(89, 9, words)).toBe(true)
    expect(records(3, 0, words)).toBe(false)
    expect(records(89, 60, words)).toBe(false)
  })

  it('come before others with fewer records, where a few records alone say less than many', () => {
    const heading = fernhollow.byLabel('Classroom sound')!
    const shared = (h: { label: string }) =>
      h.label === 'Auditory masking'
        ? { both: 3, smaller: 3, expected: 0 }
        : h.label === 'Working memory'
          ? { both: 89, smaller: 120, expected: 9 }
          : { both: 0, smaller: 9, expected: 0 }
    const labels = candidates(heading, mindmere, 20, shared).map((c) => c.heading.label)
    expect(labels.indexOf('Working memory')).toBeLessThan(labels.indexOf('Auditory masking'))
  })

  it('offer a heading for the records it shares even where no word is alike', () => {
    const heading = fernhollow.byLabel('Classroom sound')!
    const shared = (h: { label: string }) =>
      h.label === 'Auditory masking'
        ? { both: 19, smaller: 40, expected: 2 }
        : { both: 0, smaller: 9, expected: 0 }
    expect(
      candidates(heading, mindmere, 20, shared).find((c) => c.heading.label === 'Auditory masking')?.reasons,
    ).toEqual([{ kind: 'shared records', count: 19, expected: 2 }])
  })
})

describe('SKOS in JSON-LD', () => {
  const skos = 'http://www.w3.org/2004/02/skos/core#'
  it('is read as Turtle is', async () => {
    const graph = [
      {
        '@id': 'http://example.org/a',
        '@type': 'skos:Concept',
        'skos:prefLabel': { '@value': 'Noise', '@language': 'en' },
      },
    ]
    const read = await readSkosJsonLd(JSON.stringify({ '@context': { skos }, '@graph': graph }))
    expect(read.ok && read.value.headings.map((h) => h.label)).toEqual(['Noise'])
  })

  it('is refused with words where it is no JSON or its context would have to be fetched', async () => {
    expect(await readSkosJsonLd('{')).toMatchObject({ ok: false, problems: [{ code: 'json' }] })
    const remote = await readSkosJsonLd(JSON.stringify({ '@context': 'http://example.org/c', x: 1 }))
    expect(remote.problems[0]!.message).toContain('nothing is fetched')
  })
})

describe('any text at all', () => {
  it('is read as a vocabulary or refused with words, never thrown', () => {
    const turtle = fc
      .array(
        fc.constantFrom(
          '@prefix skos: <http://www.w3.org/2004/02/skos/core#> .',
          ':a',
          'skos:prefLabel',
          '"A"',
          '"',
          ';',
          '.',
          '<',
          '>',
          ' a skos:Concept ',
          '[',
          ']',
          '@en',
          '\\u',
          '😀',
        ),
        { maxLength: 25 },
      )
      .map((p) => p.join(' '))
    fc.assert(
      fc.property(fc.oneof(turtle, fc.string({ unit: 'binary' })), (text) => {
        const read = readSkos(text)
        if (!read.ok) expect(read.problems[0]!.message.length).toBeGreaterThan(20)
      }),
      { numRuns: 1000 },
    )
  })
})

describe('the ideas of a question', () => {
  const ideas = (question: string): string[] => ideasIn(question).map((i) => i.text)
  it('are the stretches between the words of asking, a longer one by its end', () => {
    expect(
      ideas('How does background noise in the classroom bear on reading comprehension of children?'),
    ).toEqual(['background noise', 'classroom', 'reading comprehension', 'children'])
    expect(ideas('Do school gardens help pupils to eat vegetables, and with whom?')).toEqual([
      'school gardens',
      'pupils',
      'eat vegetables',
    ])
    expect(ideas('What is known about low-cost open source soil moisture sensors?')).toEqual([
      'open source soil moisture sensors',
    ])
    expect(ideas('Do wildflower strips raise yields of apple orchards?')).toEqual([
      'wildflower strips',
      'yields',
      'apple orchards',
    ])
    expect(ideas('')).toEqual([])
    expect(ideas('How?')).toEqual([])
  })

  it('stand where they are said to, in their order, and none within another', () => {
    fc.assert(
      fc.property(
        fc.lorem({ maxCount: 14 }),
        fc.constantFrom(' of ', ', ', ' and ', ' ', '? '),
        (text, sign) => {
          const question = text.replaceAll(' ', sign)
          const found = ideasIn(question)
          found.forEach((idea, n) => {
            expect(question.slice(idea.start, idea.end)).toBe(idea.text)
            if (n) expect(idea.start).toBeGreaterThanOrEqual(found[n - 1]!.end)
          })
        },
      ),
      { endOnFailure: true },
    )
  })
})
