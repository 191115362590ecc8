/** What the page of a thesaurus shows for one heading, as it was pasted. */
export interface HeadingPage {
  label: string
  scopeNote?: string
  broader: string[]
  narrower: string[]
  related: string[]
  usedFor: string[]
  /** Lines that went into none of these: buttons, counts, anything that nobody knows. Shown, never dropped unsaid. */
  unread: string[]
}

type Part = 'label' | 'scopeNote' | 'broader' | 'narrower' | 'related' | 'usedFor'

/** What a part is called: the relations of ISO 25964-1 in words and in their signs, with or without a colon. */
const NAMES: readonly [RegExp, Part][] = [
  [/^(?:headings?|subject headings?|preferred terms?|descriptors?|terms?|labels?)$/i, 'label'],
  [/^(?:scope notes?|notes?|definitions?|description|meaning|SN)$/i, 'scopeNote'],
  [/^(?:broader(?: terms?| headings?| concepts?)?|BT\d*)$/i, 'broader'],
  [/^(?:narrower(?: terms?| headings?| concepts?)?|NT\d*)$/i, 'narrower'],
  [/^(?:related(?: terms?| headings?| concepts?)?|see also|RT)$/i, 'related'],
  [
    /^(?:use[ds] (?:for|instead of)|entry terms?|non-preferred terms?|synonyms?|alternative (?:terms?|labels?)|UF)$/i,
    'usedFor',
  ],
]
const partCalled = (name: string): Part | undefined => NAMES.find(([words]) => words.test(name.trim()))?.[1]

/** The name of a part and what stands behind it in the same line; undefined: the line begins none. */
function beginning(line: string): { part: Part; rest: string } | undefined {
  const alone = partCalled(line.replace(/\s*(?::|\(\d+\))\s*$/, ''))
  if (alone) return { part: alone, rest: '' }
  const colon = /^([^:]{2,30}):\s+(.+)$/.exec(line)
  const called = colon && partCalled(colon[1]!)
  if (called) return { part: called, rest: colon[2]! }
  const sign = /^(SN|BT\d*|NT\d*|RT|UF)\s+(.+)$/.exec(line)
  return sign ? { part: partCalled(sign[1]!)!, rest: sign[2]! } : undefined
}

/** Headings of one line: parted by semicolons, strokes or points in the middle; a count in brackets is no part of a name. */
const itemsIn = (line: string): string[] =>
  line
    .split(/\s*[;|·•]\s*|\t+/)
    .map((item) =>
      item
        .replace(/^[-–*▸▾+□☐]+\s+/, '')
        .replace(/\s*\(\d[\d,. ]*\)$/, '')
        .trim(),
    )
    .filter((item) => /\p{L}/u.test(item))

/**
 * Reads what a page shows for a heading: its name first, or behind "Heading:"; then its parts, each under its name, in one
 * line or one item a line. Undefined where no part is named, or there is no name before the first.
 */
export function readHeadingPage(pasted: string): HeadingPage | undefined {
  const page: HeadingPage = { label: '', broader: [], narrower: [], related: [], usedFor: [], unread: [] }
  const notes: string[] = []
  let part: Part | undefined
  let parts = 0
  const put = (to: Part, text: string): void => {
    if (!text) return
    if (to === 'label') {
      if (page.label) page.unread.push(text)
      else page.label = text
    } else if (to === 'scopeNote') notes.push(text)
    else page[to].push(...itemsIn(text).filter((item) => !page[to].includes(item)))
  }
  for (const raw of pasted.split(/\r\n|\r|\n/)) {
    const line = raw.trim().replace(/[^\S\t]+/g, ' ')
    if (!line) continue
    const found = beginning(line)
    // The name comes first, whatever it is.
    if (!page.label && (!found || (found.part !== 'label' && !found.rest && !parts))) {
      page.label = line
      continue
    }
    if (found) {
      part = found.part
      if (part !== 'label') parts++
      put(part, found.rest)
    } else if (part === undefined || part === 'label') {
      if (page.label) page.unread.push(line)
    } else put(part, line)
  }
  if (!page.label || !parts) return undefined
  return notes.length ? { ...page, scopeNote: notes.join(' ') } : page
}
