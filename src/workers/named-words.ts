import { foldLabel, tokens } from '@/core/base'
import type { OpenStandin } from '@/standins'

/** Fewer records that give it as a keyword say nothing of whether authors call a thing so. */
const LEAST = 3

const keywordsOf = new WeakMap<OpenStandin['records'], ReadonlySet<string>>()

/** Author keywords of at least three records of a source, folded; gathered once for its records. */
export function keywordsIn({ records }: Pick<OpenStandin, 'records'>): ReadonlySet<string> {
  let known = keywordsOf.get(records)
  if (!known) {
    const counts = new Map<string, number>()
    for (const { keywords } of records)
      for (const key of new Set(keywords.map(foldLabel))) counts.set(key, (counts.get(key) ?? 0) + 1)
    known = new Set([...counts].flatMap(([key, n]) => (n >= LEAST ? [key] : [])))
    keywordsOf.set(records, known)
  }
  return known
}

/** Is this what something is called: a heading, an entry term, or an author keyword of at least three records? */
export const isName = (folded: string, sources: readonly OpenStandin[]): boolean =>
  sources.some(
    (s) =>
      keywordsIn(s).has(folded) ||
      s.thesaurus?.byLabel(folded) !== undefined ||
      Boolean(s.thesaurus?.byEntryTerm(folded).length),
  )

/** As many words as the longest name that is looked for in a title. */
const LONGEST = 3

/** Runs of one to three words of a text, the longest first, folded. */
export function runsOf(text: string): string[] {
  const words = tokens(text).map((t) => t.text)
  const found: string[] = []
  for (let n = LONGEST; n; n--)
    for (let i = 0; i + n <= words.length; i++) found.push(words.slice(i, i + n).join(' '))
  return [...new Set(found)]
}

/** What one record calls its matter, folded: its author keywords, its headings, and what leads to these. */
export function namesOf({ records, thesaurus }: OpenStandin, doc: number): string[] {
  const { keywords, headings } = records[doc]!
  const entries = headings.flatMap((h) => thesaurus?.byLabel(h.label)?.entryTerms ?? [])
  return [...keywords, ...headings.map((h) => h.label), ...entries].map(foldLabel)
}
