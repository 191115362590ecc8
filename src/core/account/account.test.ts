import { describe, expect, it } from 'vitest'
import { builtDemo } from '../../standins/built-demo.fixture'
import { STANDINS } from '../../standins'
import { PROFILES } from '../../standins/profiles'
import { gather } from '../records'
import { tell } from '../figures'
import { fold, worksOf, type Review } from '../review'
import { lineKeys, reachedBy } from '../strategy'
import {
  blocksOf,
  courseFigures,
  draftAccount,
  FACT_NAMES,
  inlinesOf,
  nameInText,
  paragraph,
  resolved,
  inlineWords,
  resolveFact,
  searchedWords,
  toMarkdown,
  verbatim,
  type FactContext,
  reportingItems,
} from '.'

const packed = builtDemo()
const review = fold(packed.entries).review
const blockOf = (digest: string): unknown => JSON.parse(new TextDecoder().decode(packed.blobs.get(digest)))
const toldOf = (r: Review) =>
  tell(
    r,
    worksOf(r, (i) => gather(i, blockOf)),
  )
const { works } = toldOf(review).ruled.works
const contextOf = (r: Review): FactContext => ({
  review: r,
  figures: toldOf(r).figures,
  source: (id) => ({
    release: 'release of September 2026',
    hasVocabulary: ['fernhollow', 'girder', 'mindmere'].includes(
      r.sources.find((s) => s.id === id)?.profileId ?? '',
    ),
    short: STANDINS.find((x) => x.id === r.sources.find((s) => s.id === id)?.profileId)?.short,
    vocabularyTitle: 'Fernhollow Thesaurus',
    profile: PROFILES[r.sources.find((s) => s.id === id)?.profileId ?? ''],
  }),
})
const context = contextOf(review)
const words = (ref: string): string => resolveFact(context, ref).text
const textOf = (c: FactContext): string =>
  draftAccount(c)
    .flatMap((p) => [...inlinesOf(p)].map((n) => inlineWords(c, n)))
    .join('')

describe('the account of the demo review', () => {
  it('holds no number that was typed: every figure of the searches is a fact', () => {
    for (const passage of draftAccount(context))
      for (const node of inlinesOf(passage))
        if (node.type === 'text')
          // A person's own words, the name of the table, and the width of an interval are no figures of the record.
          expect(node.text.replace(/revised in 2016|\b5 to 12\b|Table 1|95 % interval/g, '')).not.toMatch(
            /\d/,
          )
  })

  it('does not say of a plan that it was done', () => {
    const text = (r: Review): string => textOf(contextOf(r))
    expect(text(review)).toContain('We searched five databases (Table 1): ')
    const none = { ...review, runs: [] }
    expect(text(none)).toContain('We plan to search five databases: ')
    expect(text(none)).not.toContain('We searched')
    const four = { ...review, runs: review.runs.filter((r) => r.sourceId !== 'demo-quayside') }
    expect(text(four)).toContain('We searched four databases (Table 1): ')
    expect(text(four)).toContain(
      'We plan to search Quayside Library Search as well, which has not been done yet.',
    )
  })

  it('says when a source was searched, and when again', () => {
    expect(searchedWords([])).toBe('')
    expect(searchedWords(['2026-04-15', '2026-04-15'])).toBe('on 15 April 2026')
    expect(searchedWords(['2026-11-19', '2026-04-16', '2026-04-15', '2026-11-17'])).toBe(
      'between 15 and 16 April 2026 and again between 17 and 19 November 2026',
    )
    expect(textOf(context)).toContain(
      'All were searched between 15 and 21 April 2026 and again between 17 and 23 November 2026',
    )
  })

  it('knows every fact that it names, and where it comes from', () => {
    for (const node of inlinesOf({ content: draftAccount(context) })) {
      if (node.type !== 'fact') continue
      expect(FACT_NAMES).toContain(node.attrs.ref.replace('^', '').split(':')[0])
      const fact = resolveFact(context, node.attrs.ref)
      expect(fact.missing, node.attrs.ref).toBe(false)
      expect(fact.from.length).toBeGreaterThan(5)
    }
  })

  it('keeps a figure with the text that was run once its line asks something else (law 4)', () => {
    const [first, ...rest] = review.strategies['demo-fernhollow']!
    const changed = contextOf({
      ...review,
      strategies: {
        ...review.strategies,
        'demo-fernhollow': [{ ...first!, text: 'text: rooms' }, ...rest],
      },
    })
    const ref = `hits.line:demo-fernhollow/${first!.id}`
    expect(resolveFact(changed, ref)).toEqual(resolveFact(contextOf(review), ref))
    expect(textOf(changed)).toBe(textOf(contextOf(review)))
    // A line that nobody ever ran has none.
    const bare = { ...first!, id: 'new', text: 'text: rooms' }
    const strategies = { ...review.strategies, 'demo-fernhollow': [bare, first!, ...rest] }
    const more = contextOf({ ...review, strategies })
    expect(resolveFact(more, 'hits.line:demo-fernhollow/new').missing).toBe(true)
  })

  it('speaks in the voice that was chosen', () => {
    const voiced = (voice: Review['account']['voice']): string =>
      textOf(contextOf({ ...review, account: { ...review.account, voice } }))
    expect(voiced('passive')).not.toMatch(/\b(we|I|our|my)\b/i)
    expect(voiced('I')).not.toMatch(/\b(we|our)\b/i)
    expect(voiced('we')).toContain('We divided the question into setting')
  })

  it('begins every sentence with a capital, in every voice', () => {
    for (const voice of ['we', 'I', 'passive'] as const)
      for (const runs of [review.runs, []])
        expect(textOf(contextOf({ ...review, runs, account: { voice, edited: {} } }))).not.toMatch(
          /(?:^|[a-z)”][.?] )[a-z0-9]/,
        )
  })

  it('says in which fields words were looked for as the source has them', () => {
    const text = textOf(context)
    expect(text).toContain(
      'In Fernhollow, Girder & Sound and Mindmere, for each concept, headings of the thesaurus (some with, some without their narrower ones) and words in title, abstract and keywords were joined with OR, and the concepts then with AND.',
    )
    expect(text).toContain(
      'Wideband was asked with words alone, in title, abstract and keywords; Quayside with words alone, in all fields that it searches by default (title, abstract,',
    )
  })

  it('says what was left out with NOT, once the line has been run', () => {
    const first = review.strategies['demo-fernhollow']![0]!
    const changed = { ...first, text: `${first.text} NOT hearing` }
    const strategies = { ...review.strategies, 'demo-fernhollow': [changed] }
    expect(textOf(contextOf({ ...review, strategies }))).not.toContain('With NOT')
    const key = lineKeys([changed]).get(first.id)!
    const reached = reachedBy([changed], first.id)
    const run = { ...review.runs.findLast((r) => r.lineId === first.id)!, key, reached }
    expect(textOf(contextOf({ ...review, strategies, runs: [...review.runs, run] }))).toContain(
      'left out, with NOT, records that match hearing in Fernhollow',
    )
  })

  it('names a filter that a line took over, once for all databases, and says what was changed of it', () => {
    const filter = (changed: string) => ({ what: 'filter' as const, name: 'Trials in schools', changed })
    const strategies = Object.fromEntries(
      Object.entries(review.strategies).map(([id, lines]) => [
        id,
        lines.map((l, n) =>
          n ? l : { ...l, takenOver: filter(id === 'demo-girder' ? 'one word less' : '') },
        ),
      ]),
    )
    const c = contextOf({ ...review, strategies })
    const text = textOf(c)
    expect(text).toMatch(
      /(?:Taken over in|In) Fernhollow, Mindmere, [^.]* a filter(?: was taken over)?: Trials in schools, unchanged\./,
    )
    expect(text).toMatch(/a filter(?: was taken over)?: Trials in schools, changed in this: one word less\./)
    expect(reportingItems(c).find((i) => i.number === '10')?.evidence).toBe('Trials in schools')
    expect(reportingItems(contextOf(review)).find((i) => i.number === '10')?.notUsed).toBe(true)
  })

  it("takes a person's own words as they are, whatever signs and pronouns they hold", () => {
    const own = 'we lack readers of *other* scripts {so far}'
    const [limit, ...limits] = review.limits
    const [criterion, ...criteria] = review.criteria
    const asked = 'Did we hear *noise* {at all}?'
    const text = textOf(
      contextOf({
        ...review,
        limits: [{ ...limit!, reason: own }, ...limits],
        criteria: [{ ...criterion!, text: asked }, ...criteria],
        account: { voice: 'I', edited: {} },
      }),
    )
    expect(text).toContain(`, because ${own}`)
    expect(text).toContain(asked)
    expect(paragraph(`*${verbatim('a*b')}* ${verbatim('{c}')}`).content).toEqual([
      { type: 'text', text: 'a*b', marks: [{ type: 'italic' }] },
      { type: 'text', text: ' ' },
      { type: 'text', text: '{c}' },
    ])
  })

  it('writes the name of a concept small in a sentence, but not an acronym or a name', () => {
    expect(nameInText('Setting', 'In which settings?')).toBe('setting')
    expect(nameInText('ADHD and reading', 'How?')).toBe('ADHD and reading')
    expect(nameInText('German pupils', 'How do German pupils read?')).toBe('German pupils')
    expect(nameInText('', '')).toBe('')
  })

  it('leaves an edited passage as it is, with its facts still bound', () => {
    const content = [
      {
        type: 'paragraph',
        content: [
          { type: 'text', text: 'In all ' },
          { type: 'fact', attrs: { ref: 'works' } },
        ],
      },
    ]
    const edited = draftAccount(
      contextOf({ ...review, account: { voice: 'we', edited: { screened: content } } }),
    ).find((p) => p.id === 'screened')!
    expect(edited.edited).toBe(true)
    const tree = { title: 'T', blocks: blocksOf(edited.content) }
    expect(toMarkdown(resolved(tree, words))).toContain(`In all ${works.length} works`)
  })

  it('says nothing about what has not been done', () => {
    const empty = fold(packed.entries.slice(0, 1)).review
    expect(
      draftAccount({ ...context, review: empty, figures: toldOf(empty).figures }).every(
        (p) => p.content.length === 0,
      ),
    ).toBe(true)
    expect(resolveFact(context, 'no.such').missing).toBe(true)
  })

  it('counts and writes nothing of a source that was taken out of the plan', () => {
    const without = { ...review, sources: review.sources.filter((s) => s.id !== 'demo-girder') }
    const figure = (r: Review, stage: string): number =>
      courseFigures(toldOf(r).figures).find((f) => f.stage === stage)!.value
    const last = review.runs.findLast((r) => r.sourceId === 'demo-girder')!
    expect(figure(without, 'searches')).toBe(figure(review, 'searches') - last.hits)
    const own = review.terms.filter((t) => t.sourceId === 'demo-girder' && t.status === 'in use').length
    expect(own).toBeGreaterThan(0)
    expect(figure(without, 'terms')).toBe(figure(review, 'terms') - own)
    const text = textOf(contextOf(without))
    expect(text).not.toContain('Girder')
    expect(text).toContain(`all ${figure(without, 'terms')} terms are listed`)
    expect(resolveFact(contextOf(without), 'databases.searched').text).toBe('four databases')
  })

  it('gives the course its figures', () => {
    const figures = courseFigures(toldOf(review).figures)
    expect(figures.map((f) => f.stage)).toEqual([
      'question',
      'terms',
      'searches',
      'records',
      'selection',
      'methods',
    ])
    expect(figures[3]!.value).toBe(works.length)
  })
})
