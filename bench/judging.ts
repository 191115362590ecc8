// Judging over 100,000 records: the known-item board and the yield of 300 terms, with progress and a stop; facets and
// words in context of a line at 15,000 records. Beside them, for scale and in the same run: finding the 300 terms alone.
import { performance } from 'node:perf_hooks'
import { buildIndex, evaluate, Scanned, wordsInContext } from '../src/core/engine'
import { inFields, parse } from '../src/core/query'
import { emptyRecord, facetIndex, toDocument, type Rec } from '../src/core/records'
import { spellingPairs, type PlanTerm, type RunCache } from '../src/core/strategy'
import { profileOf, STANDINS, type OpenStandin } from '../src/standins'
import { drawWorks } from '../src/standins/corpus/corpus'
import { Random } from '../src/standins/corpus/random'
import { JudgeDesk, type PlannedLine } from '../src/workers/judge-desk'
import type { OpenSources } from '../src/workers/open-sources'
import { SearchDesk } from '../src/workers/search-desk'

const SIZE = Number(process.env.RECORDS ?? 100_000)
const TERMS = 300
const pool = drawWorks(4000, 'bench', { year: 2026, month: 6 }).map((w) => w.prose)

function recordsOf(size: number): Rec[] {
  const random = new Random('judging texts')
  return Array.from({ length: size }, (_, n) => {
    const [a, b] = [random.pick(pool), random.pick(pool)]
    return {
      ...emptyRecord(`r${n}`, a.title),
      abstract: `${a.abstract} ${b.abstract}`,
      keywords: a.title.split(' ').slice(0, 3),
      headings: [{ label: `Heading ${n % 240}`, main: n % 3 === 0 }],
      year: 1990 + (n % 36),
      language: n % 9 ? 'en' : 'de',
      type: n % 4 ? 'journal article' : 'conference paper',
      places: [`Place ${n % 40}`],
    }
  })
}

function sourceOf(size: number): OpenSources {
  const records = recordsOf(size)
  const info = STANDINS.find((s) => s.id === 'mindmere')!
  const source: OpenStandin = {
    info,
    profile: profileOf(info),
    release: '',
    records,
    thesaurus: undefined,
    index: buildIndex(records.map(toDocument)),
    options: {},
  }
  const facets = facetIndex(records)
  const cache: RunCache = new Map()
  return {
    source: () => Promise.resolve(source),
    cache: () => cache,
    facets: () => Promise.resolve(facets),
    spellings: () => Promise.resolve(spellingPairs({}, {})),
  } as unknown as OpenSources
}

async function timed<T>(what: () => Promise<T> | T): Promise<[T, number]> {
  const start = performance.now()
  const value = await what()
  return [value, performance.now() - start]
}

async function main(): Promise<void> {
  const sources = sourceOf(SIZE)
  const source = await sources.source('')
  const vocabulary = source.index.words.terms
  const random = new Random('judging terms')
  const words = [
    ...new Set(
      Array.from(
        { length: TERMS * 3 },
        () =>
          random
            .pick(pool)
            .title.toLowerCase()
            .match(/\p{L}{4,}/gu) ?? [],
      ).flat(),
    ),
  ]
  const terms: (PlanTerm & { id: string })[] = words.slice(0, TERMS).map((w, i) => ({
    id: `t${i}`,
    conceptId: 'abc'[i % 3]!,
    sourceId: 'all',
    kind: 'text',
    expression: i % 3 ? w : i % 2 ? `${w.slice(0, 5)}*` : `${w} NEAR/5 ${words[(i + 7) % words.length]}`,
    withNarrower: false,
    mainFocus: false,
    status: 'in use',
  }))
  const concepts = ['a', 'b', 'c'].map((id) => ({ id, letter: id.toUpperCase(), name: id, essential: true }))
  const blocks = concepts.map(({ id }) => terms.filter((t) => t.conceptId === id).map((t) => t.expression))
  const lines: PlannedLine[] = [
    ...blocks.map((b, i) => ({
      id: `l${i}`,
      text: `text: (${b.map((x) => (x.includes('NEAR') ? `(${x})` : x)).join(' OR ')})`,
      limits: [],
      conceptId: concepts[i]!.id,
    })),
    { id: 'l3', text: 'all(#1-#3)', limits: [] },
  ]
  const judged = {
    known: Array.from({ length: 40 }, (_, i) => ({ id: `k${i}`, recordId: `r${i * 97}` })),
    in: Array.from({ length: 500 }, (_, i) => `r${i * 11}`),
    out: Array.from({ length: 1500 }, (_, i) => `r${i * 13 + 1}`),
  }
  const plan = { concepts, terms, limits: [] }
  const desk = new JudgeDesk(sources)
  const whole = { key: '', sourceId: 's', lines, plan, judged }

  const [, alone] = await timed(() =>
    terms.reduce(
      (n, t) => n + evaluate(source.index, inFields(['text'], parse(t.expression).tree!), {}).docs.length,
      0,
    ),
  )
  let asked = 0
  const [judgement, first] = await timed(() =>
    desk.judge(whole, () => {
      asked++
      return true
    }),
  )
  const [, again] = await timed(() => desk.judge(whole))
  const [stopped, stop] = await timed(() =>
    desk.judge({ ...whole, lines: [{ ...lines[0]!, text: `${lines[0]!.text} NOT zebra` }] }, () => false),
  )
  if (!judgement || judgement.yields.length !== TERMS || judgement.board.length !== 40 || stopped)
    throw new Error('The judgement is not whole')
  console.log(
    `${SIZE} records, ${vocabulary.length} different words, ${TERMS} terms, 40 known items, ${judgement.remarks.length} remarks`,
  )
  console.log(
    `board, yields and remarks ${(first / 1000).toFixed(2)} s (asked ${asked} times whether to go on), again ${(again / 1000).toFixed(2)} s; finding the terms alone ${(alone / 1000).toFixed(2)} s (ratio ${(first / alone).toFixed(2)}); stopped after ${stop.toFixed(0)} ms`,
  )

  const small = sourceOf(15_000)
  const search = new SearchDesk(small)
  const wide: PlannedLine[] = [{ id: 'w', text: 'text: (noise OR school* OR study OR pupil*)', limits: [] }]
  await search.peek('', wide, 'w', 'newest', {})
  const peeks: number[] = []
  for (const chosen of [
    {},
    { year: ['2020'] },
    { heading: ['Heading 3', 'Heading 4'] },
    { language: ['de'] },
  ]) {
    const [, ms] = await timed(() => search.peek('', wide, 'w', 'newest', chosen))
    peeks.push(ms)
  }
  const { hits, records } = await search.peek('', wide, 'w', 'newest', {})
  const trees = terms.slice(0, 40).flatMap((t) => parse(t.expression).tree ?? [])
  const [shown, context] = await timed(() =>
    records.slice(0, 20).flatMap((r) => {
      const scanned = new Scanned(toDocument(r))
      return wordsInContext(
        trees.flatMap((t) => scanned.hits(t)).filter((h) => h.field === 'abstract'),
        () => r.abstract ?? '',
      )
    }),
  )
  console.log(
    `a line with ${hits} of 15,000 records: records and facets ${peeks.map((p) => p.toFixed(0)).join(', ')} ms; words in context of the 20 shown, 40 terms, ${shown.length} places: ${context.toFixed(0)} ms`,
  )
}

main().catch((error: unknown) => {
  console.error(error)
  process.exitCode = 1
})
