import { unzipSync } from 'fflate'
import Papa from 'papaparse'
import { inlineWords, READS, sentencesIn, toldInText, type FactContext } from '../../core/account'
import { plural } from '../../core/base'
import { judgedWorks, termYields } from '../../core/figures'
import type { OpenedReview } from '../../core/handed'
import { reasonWords } from '../../core/selection'
import { sourceFactsOf } from '../../standins/source-facts'
import { checked, type Check } from '../report'
import { readHtml, readLatex, readMarkdown, readWord, type Listed, type ReadBack } from './lists'

const ABOUT = 'Text read back'
const bare = (words: string): string =>
  words
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()

/** What files for people say of works and of what was done, read from them again and held against the journal by work. */
export function checkText(bytes: Uint8Array, opened: OpenedReview): Check {
  const files = unzipSync(bytes)
  const text = (name: string): string | undefined => {
    const own = files[`data/${name}`]
    return own && new TextDecoder().decode(own)
  }
  const docx = files['data/account/section.docx']
  const word = docx && new TextDecoder().decode(unzipSync(docx)['word/document.xml'])
  const [md, html, tex, csv] = [
    'account/section.md',
    'index.html',
    'account/section.tex',
    'records/works.csv',
  ].map(text)
  const read: [string, ReadBack][] = [
    ...(md === undefined ? [] : [['section.md', readMarkdown(md)] as [string, ReadBack]]),
    ...(html === undefined ? [] : [['index.html', readHtml(html)] as [string, ReadBack]]),
    ...(tex === undefined ? [] : [['section.tex', readLatex(tex)] as [string, ReadBack]]),
    ...(word === undefined ? [] : [['section.docx', readWord(word)] as [string, ReadBack]]),
  ]
  if (!read.length && csv === undefined) return checked(ABOUT, 'no files for people were packed', [])
  const { review, told, entries } = opened
  const context: FactContext = {
    review,
    figures: told.figures,
    entries,
    source: sourceFactsOf(review),
    // By these it is told which words most works hold.
    yields: termYields(review, opened.works.works),
  }
  const faults = read.flatMap(([name, back]) => [
    ...listFaults(name, back, opened),
    ...sentenceFaults(name, back.paragraphs, context),
  ])
  const listed = read.reduce((n, [, b]) => n + (b.out?.length ?? 0) + (b.included?.length ?? 0), 0)
  return checked(
    ABOUT,
    `${plural(read.length + (csv === undefined ? 0 : 1), 'file')}, ${plural(listed, 'reference')} in them, and every sentence whose meaning is known`,
    [...faults, ...(csv === undefined ? [] : csvFaults(csv, opened))],
  )
}

/** Works by what a reference has of them: the address, else the title. */
function workOf(reference: string, { works: { works } }: OpenedReview): string | undefined {
  const words = ` ${bare(reference)} `
  const doi = /10\.\d{4,}\/[^\s]+[^\s.,;)]/.exec(reference)?.[0]?.toLowerCase()
  // An address that no work has is another work’s, whatever the title says.
  if (doi) return works.find((w) => w.record.doi?.toLowerCase() === doi)?.id
  const titled = works.filter((w) => words.includes(` ${bare(w.record.title)} `))
  // Of titles that hold each other, the longest is meant.
  const longest = Math.max(...titled.map((w) => w.record.title.length))
  const found = titled.filter((w) => w.record.title.length === longest)
  return found.length === 1 ? found[0]!.id : undefined
}

function listFaults(name: string, { out, included }: ReadBack, opened: OpenedReview): string[] {
  const { review, told } = opened
  const judged = judgedWorks(review, told.ruled)
  const reasons = new Map(judged.excluded.map((w) => [w.id, w.reason]))
  const against = (what: string, list: readonly Listed[], truth: readonly string[]): string[] => {
    const ids = list.map((l) => workOf(l.reference, opened))
    const there = new Set(ids)
    return [
      ...list.flatMap(({ reference, reason }, n): string[] => {
        const id = ids[n]
        if (id === undefined) return [`${name}: no work of the review is “${reference.slice(0, 80)}”.`]
        if (!truth.includes(id))
          return [`${name}: “${reference.slice(0, 80)}” stands among works ${what}, and was not.`]
        const key = reasons.get(id)
        if (reason === undefined || key === undefined || key === 'none') return []
        return bare(reason).startsWith(bare(reasonWords(review, key)))
          ? []
          : [`${name}: “${reference.slice(0, 60)}” stands beside another reason than its own: “${reason}”.`]
      }),
      ...(truth.some((id) => !there.has(id))
        ? [
            `${name}: ${plural(truth.filter((id) => !there.has(id)).length, 'work')} ${what} ${truth.length === 1 ? 'is' : 'are'} not in its list.`,
          ]
        : []),
    ]
  }
  return [
    ...(out
      ? against(
          'set aside',
          out,
          judged.excluded.map((w) => w.id),
        )
      : []),
    ...(included ? against('included', included, judged.included) : []),
  ]
}

/** Places of works in the table of all works, by their records. */
function csvFaults(csv: string, { review, told }: OpenedReview): string[] {
  const { data } = Papa.parse<Record<string, string>>(csv.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: true,
  })
  const judged = judgedWorks(review, told.ruled)
  const out = new Set(judged.excluded.map((w) => w.id))
  const included = new Set(judged.included)
  const byRecord = new Map(
    told.ruled.works.works.flatMap((w) => [w.id, ...(w.records ?? [])].map((r) => [r, w.id] as const)),
  )
  return data.flatMap((row): string[] => {
    const id = (row['Records'] ?? '').split(' ').flatMap((r) => byRecord.get(r) ?? [])[0]
    const place = row['Place in the flow']
    if (id === undefined || place === undefined) return []
    const wrong = (place === 'out') !== out.has(id) || (place === 'included') !== included.has(id)
    return wrong ? [`works.csv: “${(row['Title'] ?? '').slice(0, 80)}” stands as ${place}.`] : []
  })
}

/** What names something in words that could be anything: it is read only where it names what is there. */
const NAMING: ReadonlySet<string> = new Set([
  ...['way-gone', 'ways-at-once', 'way-planned', 'chosen', 'to-search-besides', 'no-nearness'],
  ...['asked-with', 'asked-otherwise', 'without-query', 'taken-over', 'searched-on', 'together'],
  ...['stemmed', 'searched-before'],
])

/** Sentences that can be taken apart, and say another thing than the record has to tell of the same. */
function sentenceFaults(name: string, paragraphs: readonly string[], context: FactContext): string[] {
  const meant = new Map<string, Set<string>>()
  // Terms may be named in the order of the plan, where nobody counted how many works hold each.
  for (const c of [context, { ...context, yields: undefined }])
    for (const { tells, content } of toldInText(c)) {
      const words = content
        .map((n) => inlineWords(c, n))
        .join('')
        .replace(/\s+/g, ' ')
        .trim()
      const own = meant.get(tells) ?? new Set()
      meant.set(tells, own.add(JSON.stringify(READS[tells](words))))
    }
  const names = Object.keys(READS) as (keyof typeof READS)[]
  const { review } = context
  const sources = review.sources.flatMap((s) => [s.name, context.source(s.id)?.short ?? s.name])
  return paragraphs.flatMap(sentencesIn).flatMap((sentence): string[] => {
    const taken = names.filter((n) => READS[n](sentence) !== undefined)
    const [only] = taken
    if (taken.length !== 1 || meant.get(only!)?.has(JSON.stringify(READS[only!](sentence)))) return []
    if (NAMING.has(only!) && !sources.some((s) => sentence.includes(s))) return []
    return [`${name} says “${sentence}”, which the journal does not bear out.`]
  })
}
