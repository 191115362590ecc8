import { describe, expect, it } from 'vitest'
import { canonicalJson, digestOf } from '../core/base'
import { writeSkos } from '../core/vocabulary'
import type { Rec } from '../core/records'
import { buildIndex, evaluate } from '../core/engine'
import { parse } from '../core/query'
import { runStrategy, searchAsTyped } from '../core/strategy'
import { drawWorks } from './corpus/corpus'
import {
  allNotices,
  allWorks,
  onTopic,
  recordsOf,
  SOURCE_IDS,
  vocabularyOf,
  type SourceId,
} from './corpus/releases'
import { FIRST_HALF_DATA } from './first-half'
import { DATA_DIGESTS, FILE_DIGESTS, VOCABULARY_DIGESTS } from './release-digests'
import { LATEST, openStandin, RELEASES, STANDINS, type OpenStandin } from '.'

const open = Object.fromEntries(
  STANDINS.map((s) => [
    s.id,
    openStandin(s, LATEST, recordsOf(s.id as SourceId, LATEST), vocabularyOf(s.id as SourceId)),
  ]),
) as Record<SourceId, OpenStandin>
const typed = (id: SourceId, text: string): number | undefined =>
  searchAsTyped(open[id].index, text, open[id].profile, open[id].options).docs?.length
const plain = (id: SourceId, text: string): number | undefined =>
  runStrategy(open[id], [{ id: '1', text, limits: [] }])[0]!.docs?.length

describe('the corpus', () => {
  it('is the same for the same seed', () => {
    const digest = (): string =>
      digestOf(JSON.stringify(drawWorks(150, 'again', { year: 2026, month: 9 }).map((w) => w.prose)))
    expect(digest()).toBe(digest())
  })

  it('has about 6,000 works and 12,000 to 15,000 records, a few hundred of them on the topic', () => {
    const records = SOURCE_IDS.reduce((n, id) => n + open[id].records.length, 0)
    expect(allWorks().length).toBe(6000)
    expect(records).toBeGreaterThanOrEqual(12_000)
    expect(records).toBeLessThanOrEqual(15_000)
    const topical = allWorks().filter(onTopic).length
    expect(topical).toBeGreaterThan(250)
    expect(topical).toBeLessThan(900)
  })

  it('begins in each source with the year that its description says', () => {
    for (const id of SOURCE_IDS) {
      const first = Math.min(...open[id].records.map((r) => r.year ?? Infinity))
      const { coverage } = open[id].profile
      // A library tells what it holds, not since when.
      if (/\d/.test(coverage ?? '')) expect(coverage, id).toContain(String(first))
      else expect(id).toBe('quayside')
    }
  })

  it('has no two abstracts and no two titles alike, and no pattern left unfilled', () => {
    const works = allWorks()
    expect(new Set(works.map((w) => w.prose.abstract)).size).toBe(works.length)
    expect(new Set(works.map((w) => w.prose.title)).size).toBeGreaterThan(works.length * 0.99)
    for (const { prose } of works)
      expect(`${prose.title} ${prose.abstract}`).not.toMatch(
        /[{}[\]|]|undefined|NaN| {2}|\.\.|\bone schools\b/,
      )
  })

  it('leaves the setting unsaid in many records on the topic', () => {
    const index = buildIndex(
      allWorks()
        .filter(onTopic)
        .map((w) => ({
          fields: { title: [w.prose.title], abstract: [w.prose.abstract] },
          headings: [],
          classes: [],
          facets: {},
        })),
    )
    const said = evaluate(index, parse('classroom* OR "primary school*" OR "elementary school*"').tree!).docs
      .length
    expect(said / index.size).toBeGreaterThan(0.4)
    expect(said / index.size).toBeLessThan(0.9)
  })

  it('uses only DOIs under the prefix for examples and headings that the vocabulary has', () => {
    for (const id of SOURCE_IDS) {
      const { records, thesaurus } = open[id]
      for (const r of records) {
        if (r.doi) expect(r.doi).toMatch(/^10\.5555\//)
        for (const h of r.headings)
          expect(thesaurus!.byLabel(h.label), `${id} ${r.id}: ${h.label}`).toBeDefined()
      }
    }
  })
})

describe('what a release is made of', () => {
  it('has the digests that runs keep as evidence', () => {
    const data = SOURCE_IDS.flatMap((id) =>
      RELEASES.map((r) => [`${id}@${r}`, digestOf(canonicalJson(recordsOf(id, r)))]),
    )
    expect(DATA_DIGESTS).toEqual(Object.fromEntries(data))
    const files = SOURCE_IDS.flatMap((id) =>
      RELEASES.map((r) => [`${id}@${r}`, digestOf(JSON.stringify(recordsOf(id, r)))]),
    )
    expect(FILE_DIGESTS).toEqual(Object.fromEntries(files))
    const vocabularies = SOURCE_IDS.flatMap((id) => {
      const vocabulary = vocabularyOf(id)
      return vocabulary ? [[id, digestOf(writeSkos(vocabulary))]] : []
    })
    expect(VOCABULARY_DIGESTS).toEqual(Object.fromEntries(vocabularies))
    // The first half's are another matter: they are constants of what once was.
    expect(FIRST_HALF_DATA['wideband@2026-09']).not.toBe(DATA_DIGESTS['wideband@2026-09'])
  })

  it('cites older works only, plausibly many, some that nobody holds and some printed wrongly', () => {
    const { records } = open.wideband
    const years = new Map(records.map((r) => [r.id, r.year!]))
    const cited = records.flatMap((r) => (r.references ?? []).map((ref) => ({ by: r, ref })))
    for (const { by, ref } of cited) {
      if (ref.id !== undefined) expect(years.get(ref.id)!).toBeLessThan(by.year!)
      expect(ref.raw).toMatch(/^\S.*\.$/)
    }
    const counts = records.filter((r) => r.type === 'journal article').map((r) => r.references?.length ?? 0)
    expect(Math.max(...counts)).toBeLessThan(50)
    const resolved = cited.filter((c) => c.ref.id !== undefined).length / cited.length
    expect(resolved).toBeGreaterThan(0.2)
    expect(resolved).toBeLessThan(0.6)
    expect(cited.some((c) => /A handbook on/.test(c.ref.raw))).toBe(true)
  })

  it('has theses where libraries have them, and notices of works that were retracted or corrected', () => {
    for (const id of ['quayside', 'fernhollow'] as const)
      expect(open[id].records.filter((r) => r.type === 'thesis').length).toBeGreaterThan(40)
    for (const id of SOURCE_IDS)
      for (const r of open[id].records.filter((x) => x.notice)) {
        expect(r.title).toMatch(/^(Retraction|Correction): /)
        const of = open[id].records.find((x) => x.title === r.notice!.title && !x.notice)
        expect(of?.year).toBeLessThanOrEqual(r.year!)
      }
    expect(allNotices().filter((n) => n.entered > RELEASES[0]).length).toBeGreaterThan(1)
  })

  it('says what was controlled for in the number that it has', () => {
    for (const { prose } of allWorks())
      expect(prose.abstract).not.toMatch(/prior scores was|held when (?!prior scores)[^.]* were/)
  })
})

describe('two releases', () => {
  it.each(SOURCE_IDS.map((id) => [id]))('of %s differ by new records and withdrawn ones', (id) => {
    const [before, after] = RELEASES.map((r) => new Set(recordsOf(id, r).map((x: Rec) => x.id)))
    const added = [...after!].filter((x) => !before!.has(x)).length
    const gone = [...before!].filter((x) => !after!.has(x)).length
    expect(added).toBeGreaterThan(20)
    expect(gone).toBeGreaterThan(0)
    expect(gone).toBeLessThan(40)
  })

  it('leave the newest records without headings', () => {
    const newest = open.fernhollow.records.filter((r) => r.year === 2026)
    expect(newest.some((r) => !r.headings.length)).toBe(true)
    expect(newest.some((r) => r.headings.length)).toBe(true)
  })
})

describe('the five databases', () => {
  it('give honestly different counts for one text that is pasted into each', () => {
    const counts = SOURCE_IDS.map((id) => typed(id, 'sound field'))
    expect(counts.every((n) => n !== undefined)).toBe(true)
    // A phrase in Girder & Sound, both words anywhere in Fernhollow: compare within one index each.
    expect(typed('girder', 'sound field')).toBe(plain('girder', '"sound field"'))
    expect(typed('fernhollow', 'sound field')).toBe(plain('fernhollow', 'sound AND field'))
    expect(typed('fernhollow', 'sound field')!).toBeGreaterThan(plain('fernhollow', '"sound field"')!)
  })

  it('stem or do not, and stop in quotes', () => {
    const { index, options } = open.girder
    const exact = evaluate(index, parse('classroom').tree!, { ...options, any: open.girder.profile.any }).docs
      .length
    expect(typed('girder', 'classroom')!).toBeGreaterThan(exact)
    expect(typed('girder', '"classroom"')).toBe(exact)
    expect(typed('mindmere', 'classroom')!).toBeLessThan(typed('mindmere', 'classroom~')!)
    expect(typed('wideband', 'classroom')).toBe(typed('wideband', 'classrooms'))
  })

  it('read small operators as words, or not', () => {
    expect(typed('quayside', 'noise or reverberation')).not.toBe(typed('quayside', 'noise OR reverberation'))
    expect(typed('mindmere', 'noise or reverberation')).toBe(typed('mindmere', 'noise OR reverberation'))
  })

  it('do not search for stop words', () => {
    expect(typed('fernhollow', 'the noise')).toBe(typed('fernhollow', 'noise'))
  })

  it('refuse or allow short stems', () => {
    expect(typed('mindmere', 're~')).toBe(0)
    expect(typed('mindmere', 'rea~')!).toBeGreaterThan(0)
  })

  it('find more with narrower than without, and headings or words at least as much as words alone (common practice)', () => {
    expect(plain('fernhollow', 'heading.below: "Classroom sound"')!).toBeGreaterThan(
      plain('fernhollow', 'heading: "Classroom sound"')!,
    )
    expect(
      plain('mindmere', 'heading: "Listening effort" OR text: "listening effort"')!,
    ).toBeGreaterThanOrEqual(plain('mindmere', 'text: "listening effort"')!)
    expect(plain('fernhollow', 'heading.main: "Classroom sound"')!).toBeLessThan(
      plain('fernhollow', 'heading: "Classroom sound"')!,
    )
  })

  it('loses with NOT every record that speaks of both (common practice)', () => {
    const both = plain('fernhollow', 'text: (noise AND reading)')!
    expect(both).toBeGreaterThan(0)
    expect(plain('fernhollow', 'text: (noise NOT reading)')).toBe(plain('fernhollow', 'text: noise')! - both)
  })

  it('finds fewer with a row of words than with synonyms in boxes joined by AND (common practice)', () => {
    const row = typed('fernhollow', 'noise classroom children reading comprehension listening')!
    const boxes = plain('fernhollow', '(noise OR sound OR reverberat*) AND (reading OR listening)')!
    expect(row).toBeLessThan(boxes)
  })

  it('have no text for lines where none are kept: what lines say is written out, and their limits hold', () => {
    const lines = [
      { id: 'a', text: 'text: noise', limits: [] },
      { id: 'b', text: 'text: reading', limits: [] },
      { id: 'c', text: 'all(#1-#2)', limits: [{ kind: 'years' as const, from: 2020 }] },
      { id: 'd', text: '#3', limits: [] },
    ]
    const results = runStrategy(open.quayside, lines)
    expect(results[2]!.sent).toBe('noise AND reading')
    expect(results[3]!.docs!.length).toBe(results[2]!.docs!.length)
    expect(results[2]!.docs!.length).toBeGreaterThan(0)
  })

  it('take a document type for peer review where there is no flag, and refuse a limit they do not have', () => {
    const limited = runStrategy(open.girder, [
      { id: '1', text: 'noise', limits: [{ kind: 'peer reviewed' }] },
    ])[0]!
    expect([...limited.docs!].every((d) => open.girder.records[d]!.type === 'journal article')).toBe(true)
    const refused = runStrategy(open.wideband, [
      { id: '1', text: 'noise', limits: [{ kind: 'language', values: ['en'] }] },
    ])[0]!
    expect(refused.docs).toBeUndefined()
    expect(refused.problems[0]!.message).toContain('has no limit by language')
  })

  it('tells the place studied from the place of the authors in Girder & Sound', () => {
    const differ = open.girder.records.filter((r) => r.places[0] && r.places[0] !== r.authorPlaces[0])
    expect(differ.length).toBeGreaterThan(50)
  })
})
