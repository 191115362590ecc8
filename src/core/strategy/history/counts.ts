const GROUPED = "\\d{1,3}(?:[.,'’\\u00a0\\u202f\\u2009 ]\\d{3})+"
const NUMBER = `${GROUPED}|\\d{1,9}`
const WORDS = '(?:hits?|results?|records?|items?|documents?|references?|found)'

/** A count at the end of a search, and how it is set apart from it. */
export interface Trailing {
  /** Where the search ends. */
  end: number
  /** The count as it stands there. */
  text: string
  /** Other counts that it could be as well: where a group of three may be a number of its own. */
  or: number[]
  /** Set apart by a sign, a word, brackets or a gap; a single space is the weakest. */
  by: 'brackets' | 'sign' | 'word' | 'gap' | 'space'
}

const FORMS: readonly (readonly [Trailing['by'], RegExp])[] = [
  ['brackets', new RegExp(`\\s*[([]\\s*(?:n\\s*=\\s*)?(${NUMBER})\\s*${WORDS}?\\s*[)\\]]\\s*$`, 'iu')],
  ['sign', new RegExp(`(?:\\s*(?:→|=>|=|–|—)\\s*|\\s*:\\s+|\\s+-\\s+)(${NUMBER})\\s*${WORDS}?\\s*$`, 'iu')],
  ['word', new RegExp(`[\\s,;]+(${NUMBER})\\s+${WORDS}\\s*$`, 'iu')],
  ['gap', new RegExp(`(?:\\t|[ \\u00a0]{2,})(${NUMBER})\\s*$`, 'u')],
  ['space', new RegExp(`[ ](${NUMBER})\\s*$`, 'u')],
]

const digits = (text: string): number => Number(text.replace(/\D/g, ''))

/** The count at the end of a line; undefined where there is none. */
export function trailingCount(line: string): Trailing | undefined {
  for (const [by, form] of FORMS) {
    const m = form.exec(line)
    if (!m) continue
    const text = m[1]!
    // "noise 1 204": a group of three behind a space may be the whole count, with a word before it.
    const apart = by === 'space' && /[ \u00a0\u202f\u2009]/.test(text)
    return { end: m.index, text, or: apart ? [digits(text.split(/\s/).at(-1)!)] : [], by }
  }
  return undefined
}

const LANGUAGES = 'english|german|spanish|french|italian|portuguese'
const ONE_LIMIT = new RegExp(
  `^(?:(?:years?|dates?|published|publication years?|languages?|document types?|types?|limits?)\\s*[:=]\\s*)?(?:\\d{4}\\s*(?:-|–|—|\\.\\.|to)\\s*(?:\\d{4}|present|now)?|(?:since|from|after)\\s+\\d{4}|(?:${LANGUAGES})(?:\\s+(?:or|and)\\s+(?:${LANGUAGES}))*(?:\\s+languages?)?|peer[- ]?review(?:ed)?|open access|journal articles?|articles?|reviews?|conference papers?|none|no limits?|-|–|—)$`,
  'i',
)
/** Does a cell read as limits and nothing else? */
export const isLimitWords = (text: string): boolean =>
  text.split(/[;,]/).every((part) => ONE_LIMIT.test(part.trim()))

const LIMIT_LINE =
  /^\s*(?:limit(?:ed|s)?(?:\s+(?:to|by))?|restricted to|refined by|filters?(?:\s+applied)?|filtered by)\s*(?:[:=–—]|\s-\s)\s*(.+)$/i
/** What a line of its own under a search says of its limits: "Limited to: 2015-2025". */
export const limitLine = (text: string): string | undefined => LIMIT_LINE.exec(text)?.[1]?.trim()
