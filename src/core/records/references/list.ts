import { byName } from '../../base'
import { toCsl, type CslItem } from '../formats/csl'
import { inferType } from '../types'
import { holdsSession, hintsFor, type Hint } from './hints'
import type { Rec } from '../record'

/** The styles that references can be set in, by the name of each in the CSL repository. */
export const STYLES = { apa: 'APA, 7th edition', vancouver: 'Vancouver', harvard1: 'Harvard' } as const
export type StyleId = keyof typeof STYLES

/** What makes references out of items: a style processor that was given a style and its language. */
export interface StyleEngine {
  /**
   * The HTML of each item's entry with the place that the item has in what was given, in the order of the style, and
   * whether entries hang. A list by itself: what was asked for before leaves nothing in it.
   */
  bibliography: (items: readonly CslItem[]) => { entries: { at: number; html: string }[]; hanging: boolean }
}

export interface Reference {
  /** The place of its record in what was given. */
  at: number
  /** As the style has it; only `<i>`, `<b>`, `<sup>`, `<sub>`, `<span>` and `<a>` stand in it. */
  html: string
  text: string
  hints: Hint[]
}

const ENTITIES: Readonly<Record<string, string>> = byName({
  amp: '&',
  lt: '<',
  gt: '>',
  quot: '"',
  nbsp: '\u00a0',
  '#38': '&',
  '#60': '<',
  '#62': '>',
})

/** A text of HTML with its entities as signs. */
export const unescaped = (html: string): string =>
  html.replace(/&(#?\w+);/g, (whole, name: string) => ENTITIES[name] ?? whole)

/** A reference without its tags. */
export const plainReference = (html: string): string =>
  unescaped(html.replace(/<[^>]+>/g, ''))
    .replace(/\s+/g, ' ')
    .trim()

/**
 * Only the tags for italics, bold, raised and lowered stay, without attributes. Those that a style puts around its parts go;
 * every other sign that could begin or end a tag is text.
 */
export const safeHtml = (html: string): string =>
  html
    .replace(/<\/?(?:i|b|sup|sub)>|<\/?(?:div|span|a)\b[^<>]*>|[<>]/gi, (found) =>
      found === '<'
        ? '&lt;'
        : found === '>'
          ? '&gt;'
          : /^<\/?(?:div|span|a)\b/i.test(found)
            ? ''
            : found.toLowerCase(),
    )
    .trim()

/** References to records, sorted as the style has it, each with what wants a human eye. */
export function referenceList(records: readonly Rec[], engine: StyleEngine): Reference[] {
  return engine.bibliography(records.map(forReferences)).entries.map(({ at, html }) => {
    const safe = safeHtml(html)
    return { at, html: safe, text: plainReference(safe), hints: hintsFor(records[at]!) }
  })
}

const IN_PRESS =
  /\b(?:in press|forthcoming|accepted|im druck|en prensa|sous presse|à paraître|in corso di stampa|no prelo)\b/i

/** Of a date that the record keeps as it was read: a range, a season, or that it is in press. */
function dateKept({ extra, year }: Rec): object | undefined {
  const kept = ['issued', 'date', 'year', 'PY', 'Y1', 'DA'].flatMap((name) => extra[name] ?? [])
  for (const text of kept) {
    const range = /^(\d{4})\s*[/–-]\s*(\d{4})$/.exec(text.trim())
    if (range && Number(range[1]) < Number(range[2]))
      return { 'date-parts': [[Number(range[1])], [Number(range[2])]] }
    if (!text.startsWith('{')) continue
    try {
      return JSON.parse(text) as object
    } catch {
      // It is no date of CSL: what else the record says counts.
    }
  }
  const press = year === undefined ? kept.map((t) => IN_PRESS.exec(t)?.[0]).find(Boolean) : undefined
  return press === undefined ? undefined : { literal: press.toLowerCase() }
}

/** An item without what is not the work's: an address with a session, the program's fields. */
function forReferences(r: Rec): CslItem {
  const {
    custom: _custom,
    abstract: _abstract,
    note: _note,
    keyword: _keyword,
    ...item
  } = toCsl({ ...r, type: r.type ?? inferType(r) })
  const date = dateKept(r)
  if (date) item.issued = date
  if (typeof item.URL === 'string' && (holdsSession(item.URL) || !/^https?:\/\//i.test(item.URL)))
    delete item.URL
  // A title that comes with its mark at the end gets no second one from the style.
  if (typeof item.title === 'string') item.title = escapedTags(item.title.trim().replace(/(?<!\.\.)\.$/, ''))
  return item as CslItem
}

/** Only the tags that CSL knows are tags; others are text. */
const escapedTags = (text: string): string => text.replace(/<(?!\/?(?:i|b|sup|sub)>)/g, '&lt;')
