import { foldLabel, tokens } from '../../base'
import {
  CHANCE_ONE_IN_TWENTY,
  CHANCE_ONE_IN_A_THOUSAND,
  evaluate,
  logLikelihood,
  overRepresented,
  type DocSet,
  type Index,
} from '../../engine'
import { inFields, phrase, print, word, type Expr } from '../../query'

export type HarvestKind = 'heading' | 'keyword' | 'words'

/** What a record offers for harvesting. */
export interface HarvestRecord {
  title: string
  abstract?: string | undefined
  keywords: readonly string[]
  headings: readonly { label: string; main: boolean }[]
}

/** How often something stands in the good records of one source, and in the rest of its records. */
export interface HarvestCount {
  kind: HarvestKind
  /** A heading's label, or plain notation. */
  text: string
  good: number
  rest: number
  docs: DocSet
}

export interface SourceHarvest {
  sourceId: string
  /** Good records here, and those of them whose work no earlier source had: words are counted once a work. */
  goods: number
  fresh: number
  size: number
  counts: HarvestCount[]
}

/** Words that hold sentences together, and those with which abstracts report: neither begins nor ends a harvest. */
const IDLE = new Set(
  `a an the and or not nor but of in on at to for from by with within without between among into about against over
   under after before during as if then than that this these those which who whom whose what when where while how is
   are was were be been being has have had having do does did can could may might will would shall should must it its
   they their them there he she his her we our us i you your all each both few more most other some such only own same
   so too very one two three four five six seven eight nine ten first second no none did not also however although
   because since until per via vs et al study studies paper article results result method methods conclusion
   conclusions background aim aims objective objectives data analysis effect effects significant significantly showed
   shown show found find suggest suggests based used using use new higher lower compared increased decreased rose fell
   differ differed was were`.split(/\s+/),
)
const MOST_PHRASES = 600

/**
 * Counts what stands in the good records of one source: headings, author keywords, and runs of one to three words of
 * title and abstract that neither begin nor end with an idle word. What stands in one good record only is left out
 * where there are four or more. Headings are counted in all of `good`, words in `fresh`: the good records of works
 * that no other source has shown already, so that a work in four sources does not count four times.
 */
export function harvestSource(
  sourceId: string,
  index: Index,
  record: (doc: number) => HarvestRecord,
  good: DocSet,
  fresh: DocSet = good,
): SourceHarvest {
  const least = good.length >= 4 ? 2 : 1
  const headings = new Map<string, string>()
  const keywords = new Map<string, { text: string; good: number }>()
  const runs = new Map<string, number>()
  for (const doc of good) {
    const r = record(doc)
    for (const h of r.headings) headings.set(foldLabel(h.label), h.label)
    for (const key of new Set(r.keywords.map(foldLabel))) {
      const known = keywords.get(key)
      if (known) known.good++
      else if (key) keywords.set(key, { text: key, good: 1 })
    }
    for (const run of runsOf(r)) runs.set(run, (runs.get(run) ?? 0) + 1)
  }
  const mark = new Uint8Array(index.size)
  for (const doc of good) mark[doc] = 1
  for (const doc of fresh) mark[doc] = 2
  const counts: HarvestCount[] = []
  const count = (kind: HarvestKind, text: string, docs: DocSet): void => {
    let among = 0
    let counted = 0
    for (const doc of docs) {
      if (mark[doc]) among++
      if (kind === 'heading' ? mark[doc] : mark[doc] === 2) counted++
    }
    if (among >= least) counts.push({ kind, text, good: counted, rest: docs.length - among, docs })
  }
  for (const [folded, label] of headings) count('heading', label, index.headingDocs([folded], false))
  for (const { text, good: n } of keywords.values())
    if (n >= least) count('keyword', plainOf(text), evaluate(index, inFields(['text'], exprOf(text))).docs)
  const frequent = [...runs]
    .filter(([run, n]) => n >= least && !keywords.has(run))
    .sort((a, b) => b[1] - a[1] || b[0].length - a[0].length)
    .slice(0, MOST_PHRASES)
  for (const [run] of frequent)
    count('words', plainOf(run), evaluate(index, inFields(['text'], exprOf(run))).docs)
  return { sourceId, goods: good.length, fresh: fresh.length, size: index.size, counts }
}

const exprOf = (folded: string): Expr => {
  const words = folded.split(' ')
  return words.length === 1 ? word(words[0]!) : phrase(...words)
}
const plainOf = (folded: string): string => print(exprOf(folded))

function runsOf(record: HarvestRecord): Set<string> {
  const found = new Set<string>()
  for (const sentence of [record.title, ...(record.abstract ?? '').split(/[.;:!?()]\s/)]) {
    const words = tokens(sentence).map((t) => t.text)
    words.forEach((first, i) => {
      if (IDLE.has(first) || first.length < 3 || /^\d/.test(first)) return
      for (let n = 1; n <= 3 && i + n <= words.length; n++) {
        const last = words[i + n - 1]!
        // "and" within a run joins two ideas; only "of" and the like hold one together.
        if (n === 3 && IDLE.has(words[i + 1]!) && words[i + 1] !== 'of') continue
        if (!IDLE.has(last) && last.length > 2 && !/^\d/.test(last))
          found.add(words.slice(i, i + n).join(' '))
      }
    })
  }
  return found
}

export interface Harvested {
  kind: HarvestKind
  text: string
  /** The source whose heading it is; absent for words, which serve every source. */
  sourceId?: string
  /** In how many of the good records it stands, over all sources, and of how many. */
  good: number
  goods: number
  rest: number
  rests: number
  g2: number
}

/** What stands in more than this part of the other records tells nothing apart, however surprising it is. */
const TOO_COMMON = 0.15

/**
 * What is over-represented in the good records against the rest, most surprising first: G² above what chance gives
 * once in a thousand times. Headings are counted in their own source, words over all sources together. Of two runs of
 * words in the same good records only the longer stays.
 */
export function rankHarvest(sources: readonly SourceHarvest[], most = 40): Harvested[] {
  const pooled = new Map<string, Harvested>()
  const goods = sources.reduce((n, s) => n + s.fresh, 0)
  const rests = sources.reduce((n, s) => n + s.size - s.goods, 0)
  for (const s of sources)
    for (const c of s.counts) {
      const own = c.kind === 'heading'
      const key = own ? `${s.sourceId}/${c.text}` : c.text
      const known = pooled.get(key)
      if (known) {
        known.good += c.good
        known.rest += c.rest
        if (c.kind === 'keyword') known.kind = 'keyword'
      } else
        pooled.set(key, {
          kind: c.kind,
          text: c.text,
          ...(own ? { sourceId: s.sourceId } : {}),
          good: c.good,
          goods: own ? s.goods : goods,
          rest: c.rest,
          rests: own ? s.size - s.goods : rests,
          g2: 0,
        })
    }
  const ranked = [...pooled.values()]
    .map((h) => ({ ...h, g2: logLikelihood(h.good, h.goods, h.rest, h.rests) }))
    .filter(
      (h) =>
        h.g2 >= (h.kind === 'words' ? CHANCE_ONE_IN_A_THOUSAND : CHANCE_ONE_IN_TWENTY) &&
        overRepresented(h.good, h.goods, h.rest, h.rests) &&
        h.rest < TOO_COMMON * h.rests,
    )
    .sort((a, b) => b.g2 - a.g2 || (a.text < b.text ? -1 : 1))
  return withoutParts(ranked).slice(0, most)
}

function withoutParts(ranked: readonly Harvested[]): Harvested[] {
  const bare = (h: Harvested): string => ` ${foldLabel(h.text)} `
  const words = ranked.filter((h) => h.kind !== 'heading')
  return ranked.filter(
    (h) =>
      h.kind === 'heading' ||
      !words.some(
        (o) =>
          o !== h &&
          o.good === h.good &&
          o.rest >= h.rest * 0.8 &&
          bare(o).length > bare(h).length &&
          bare(o).includes(bare(h)),
      ),
  )
}
