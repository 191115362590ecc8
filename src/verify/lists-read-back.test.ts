/**
 * The lists of works that a package hands to people, read back from each of its files by readers that share nothing with
 * what wrote them, and held against the rulings of the journal, work by work.
 */
import { existsSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { unzipSync } from 'fflate'
import mammoth from 'mammoth'
import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'

const DEMO = path.join(import.meta.dirname, '../../public/data/demo.luvren.zip')
const there = existsSync(DEMO)
const files = there ? unzipSync(new Uint8Array(readFileSync(DEMO))) : {}
const text = (name: string): string => new TextDecoder().decode(files[`data/${name}`])

interface Named {
  /** The address of the work, or its title where it has none, in small letters and without signs. */
  work: string
  reason?: string | undefined
}
const bare = (words: string): string =>
  words
    .replace(/<[^>]*>/g, '')
    .replace(/&amp;|\\&/g, '&')
    .replace(/\\[a-z]+\{|[{}\\*_]/g, '')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()

/** What people ruled on full texts, by record, straight from the journal: nothing is undone in the demo. */
function ruled(): Map<string, Named & { verdict: string }> {
  const entries = text('journal.jsonl')
    .trimEnd()
    .split('\n')
    .map((l) => JSON.parse(l) as { kind: string; payload: Record<string, string> })
  expect(entries.some((e) => e.kind === 'undo')).toBe(false)
  const questions = new Map(
    entries
      .filter((e) => e.kind === 'criterion.set')
      .map((e) => [e.payload['id'], e.payload['short'] ?? e.payload['text']]),
  )
  const works = new Map<string, string>()
  const table = Papa.parse<Record<string, string>>(text('records/works.csv'), {
    header: true,
    skipEmptyLines: true,
  })
  for (const row of table.data)
    for (const record of row['Records']!.split(' ')) works.set(record, bare(row['DOI'] || row['Title']!))
  const found = new Map<string, Named & { verdict: string }>()
  for (const { kind, payload } of entries)
    if (kind === 'ruling.set' && payload['pass'] === 'close') {
      const { recordId, verdict, criterionId, reason } = payload
      found.set(works.get(recordId!)!, {
        work: works.get(recordId!)!,
        verdict: verdict!,
        reason: reason ?? questions.get(criterionId),
      })
    }
  return found
}
const truth = there ? ruled() : new Map<string, Named & { verdict: string }>()
const of = (verdict: string): Named[] =>
  [...truth.values()]
    .filter((r) => r.verdict === verdict)
    .map(({ work, reason }) => (verdict === 'out' ? { work, reason: bare(reason!) } : { work }))

/** Which work a reference is of: every work of the review is tried, so that one that was not ruled on shows. */
function workOf(reference: string): string {
  const doi = /10\.5555\/[\w.\-/]+\w/.exec(reference.replace(/\\/g, ''))?.[0]
  if (doi) return bare(doi)
  const words = bare(reference)
  const titled = [...truth.keys()].filter((w) => words.includes(w))
  return titled.length === 1 ? titled[0]! : `unknown: ${words}`
}
const row = (reference: string, reason?: string): Named => ({
  work: workOf(reference),
  // A mark behind a reason says that it is none of the questions.
  ...(reason === undefined ? {} : { reason: bare(reason).replace(/ (?:textit )?a$/, '') }),
})
const between = (whole: string, from: RegExp, to: RegExp): string => {
  const start = whole.search(from)
  const rest = whole.slice(start + 20)
  expect(start, String(from)).toBeGreaterThan(0)
  return rest.slice(0, rest.search(to))
}
const cells = (html: string): string[][] =>
  [...html.matchAll(/<tr>(.*?)<\/tr>/gs)].map((r) =>
    [...r[1]!.matchAll(/<td>(.*?)<\/td>/gs)].map((c) => c[1]!),
  )
const paragraphs = (html: string): string[] => [...html.matchAll(/<p[^>]*>(.*?)<\/p>/gs)].map((p) => p[1]!)
const cited = (lines: readonly string[]): Named[] => lines.filter((l) => /\(\d{4}/.test(l)).map((l) => row(l))

/** What each file says was set aside, with its reason, and what it says was included. */
const FORMATS: Record<string, () => Promise<{ out: Named[]; included: Named[] }>> = {
  Markdown: async () => {
    const md = text('account/section.md')
    return {
      out: between(md, /^## Appendix E\./m, /^## /m)
        .split('\n')
        .filter((l) => /^\| .*\(\d{4}/.test(l))
        .map((l) => row(...(l.split(' | ').map((c) => c.replace(/\|/g, '')) as [string, string]))),
      included: cited(between(md, /^## Appendix F\./m, /^## /m).split('\n\n')),
    }
  },
  HTML: async () => {
    const html = text('index.html')
    return {
      out: cells(between(html, /<h\d[^>]*>Appendix E\./, /<h\d/))
        .filter((c) => c.length === 2)
        .map((c) => row(c[0]!, c[1]!)),
      included: cited(paragraphs(between(html, /<h\d[^>]*>Appendix F\./, /<h\d/))),
    }
  },
  LaTeX: async () => {
    const tex = text('account/section.tex')
    return {
      out: between(tex, /\\section\*\{Appendix E\./, /\\section/)
        .split(/\\\\\s*\n|\\endhead\n/)
        .filter((l) => /\(\d{4}/.test(l))
        .map((l) => row(...(l.split(/(?<!\\) ?& ?/) as [string, string]))),
      included: cited(between(tex, /\\section\*\{Appendix F\./, /\\section/).split('\n\n')),
    }
  },
  Word: async () => {
    const { value } = await mammoth.convertToHtml({
      buffer: Buffer.from(files['data/account/section.docx']!),
    })
    const plain = value
      .replace(/<\/?(?:a|em|strong|sup)\b[^>]*>/g, '')
      .replace(/<td>\s*<p>(.*?)<\/p>\s*<\/td>/gs, '<td>$1</td>')
    return {
      out: cells(between(plain, /<h\d[^>]*>Appendix E\./, /<h\d/))
        .filter((c) => c.length === 2 && /\(\d{4}/.test(c[0]!))
        .map((c) => row(c[0]!, c[1]!)),
      included: cited(paragraphs(between(plain, /<h\d[^>]*>Appendix F\./, /<h\d/))),
    }
  },
  CSV: async () => {
    const table = Papa.parse<Record<string, string>>(text('records/works.csv'), {
      header: true,
      skipEmptyLines: true,
    })
    const read = table.data.filter((r) => truth.has(bare(r['DOI'] || r['Title']!)))
    const named = (place: string, r: Record<string, string>): Named =>
      place === 'included'
        ? { work: bare(r['DOI'] || r['Title']!) }
        : { work: bare(r['DOI'] || r['Title']!), reason: bare(r['Reason']!) }
    return {
      out: read.filter((r) => r['Place in the flow'] === 'out').map((r) => named('set aside', r)),
      included: table.data
        .filter((r) => r['Place in the flow'] === 'included')
        .map((r) => named('included', r)),
    }
  },
}
const sorted = (list: readonly Named[]): string[] => list.map((n) => JSON.stringify(n)).sort()

describe.runIf(there)('the lists of works that a package hands to people', () => {
  it('are of works on whose full text people ruled, some out and some in', () => {
    expect(of('out').length).toBeGreaterThan(20)
    expect(of('in').length).toBeGreaterThan(20)
  })
  it.each(Object.keys(FORMATS))(
    'name in %s each work set aside beside its own reason, each work included, and no other',
    async (format) => {
      const { out, included } = await FORMATS[format]!()
      expect(sorted(out)).toEqual(sorted(of('out')))
      expect(sorted(included)).toEqual(sorted(of('in')))
      expect(out.filter((o) => included.some((i) => i.work === o.work))).toEqual([])
    },
  )
})
