import { byName, foldWord, tokens } from '../../base'
import { doiIn } from '../identifiers'
import type { Rec } from '../record'

/** What a record says of another, or of its own kind, so that it can never be the same work. */
export type Special = 'retraction' | 'correction' | 'comment' | 'reply'

/** A record as it is compared: everything folded, nothing that only printing changes. */
export interface Print {
  doi: string | undefined
  /** The words of the title, and of its part before the subtitle. */
  title: readonly string[]
  main: readonly string[]
  /** The same as texts, and how often each letter stands in the title. */
  titleText: string
  mainText: string
  letters: Uint8Array
  special: Special | undefined
  /** "Part II", as a number. */
  part: number | undefined
  /** A title that many have: "Editorial", "Book review". */
  generic: boolean
  /** Family names, in order. */
  families: readonly string[]
  year: number | undefined
  journal: readonly string[]
  volume: string | undefined
  issue: string | undefined
  /** The first page, without leading zeros. */
  page: string | undefined
  kind: 'journal' | 'conference' | 'thesis' | 'book' | undefined
  abstract: string | undefined
}

const ENTITIES: Readonly<Record<string, string>> = byName({
  amp: '&',
  lt: '<',
  gt: '>',
  quot: '"',
  apos: "'",
  nbsp: ' ',
})

/** A text without what a format put into it: HTML tags and entities, LaTeX commands and braces. */
export function bareText(text: string): string {
  return text
    .replace(/<\/?[a-z][^<>]*>/gi, '')
    .replace(/&(?:#(\d+)|#x([0-9a-f]+)|([a-z]+));/gi, (whole, dec: string, hex: string, name: string) => {
      if (name) return ENTITIES[name.toLowerCase()] ?? whole
      const code = dec ? Number(dec) : parseInt(hex, 16)
      return code > 0 && code <= 0x10ffff ? String.fromCodePoint(code) : ' '
    })
    .replace(/\\["'`^~=.uvHck]\s*\{?\\?([a-z])\}?/gi, '$1')
    .replace(/\\(?:emph|text\w*|mathrm|mathit|textit|textbf)\s*\{/g, '{')
    .replace(/\\([a-z]{1,2})\b\s*/gi, (_, letters: string) => LETTERS[letters] ?? letters)
    .replace(/[{}$\\]/g, '')
}
const LETTERS: Readonly<Record<string, string>> = byName({
  ss: 'ß',
  ae: 'æ',
  oe: 'œ',
  o: 'ø',
  l: 'ł',
  aa: 'å',
  AA: 'Å',
  O: 'Ø',
})

/** Letters that are written in two ways (ä, ae) made one; only for comparing two texts that went through it both. */
const oneWay = (word: string): string => word.replace(/([aou])e/g, '$1').replace(/ss/g, 's')

const wordsOf = (text: string): string[] => tokens(bareText(text)).map((t) => oneWay(t.text))

const SPECIALS: [RegExp, Special][] = [
  [/^(?:retraction|notice of retraction|retraction note)\b/i, 'retraction'],
  [/^(?:correction|corrigendum|erratum|corrections?|addendum)\b/i, 'correction'],
  [/^(?:comment|commentary|a comment)s? (?:on|to)\b/i, 'comment'],
  [/^(?:reply|response|rejoinder|authors?[’'] (?:reply|response))\b/i, 'reply'],
]
const GENERIC =
  /^(?:editorial|guest editorial|editors? notes?|from the editors?|book reviews?|reviews?|introduction|introduction to the special issue|foreword|preface|contents|index|news|announcements?|in this issue|letters? to the editor)$/
const ROMAN: Readonly<Record<string, number>> = byName({ i: 1, ii: 2, iii: 3, iv: 4, v: 5, vi: 6 })

function partOf(title: string): number | undefined {
  const found =
    /\b(?:part|study|paper)\s+(\d+|[ivx]+)\b/i.exec(title) ?? /\b([ivx]{1,3}|\d)\s*[:.]?\s*$/i.exec(title)
  const word = found?.[1]?.toLowerCase()
  return word === undefined ? undefined : (ROMAN[word] ?? (/^\d+$/.test(word) ? Number(word) : undefined))
}

const KINDS: [RegExp, Print['kind']][] = [
  [/thesis|dissertation/i, 'thesis'],
  [/conference|proceeding|meeting/i, 'conference'],
  [/journal|article|magazine/i, 'journal'],
  [/book|chapter/i, 'book'],
]

const plainNumber = (text: string | undefined): string | undefined => {
  const found = text && /[a-z]*\d+/i.exec(text.normalize('NFKC'))?.[0]
  return found ? found.toLowerCase().replace(/^([a-z]*)0+(?=\d)/, '$1') : undefined
}

/** What is compared of a record. */
export function printOf(record: Rec): Print {
  const bare = bareText(record.title).replace(/^\s*\[?retracted(?: article)?[\]:.]*\s*/i, '')
  const [main = bare] = bare.split(/\s*(?:[:?]\s|\.\s+(?=\p{Lu})|\s[–—-]\s)/u)
  const title = wordsOf(bare)
  const mainWords = wordsOf(main)
  const titleText = title.join(' ')
  return {
    doi: record.doi ? doiIn(record.doi) : undefined,
    title,
    main: mainWords,
    titleText,
    mainText: mainWords.join(' '),
    letters: lettersOf(titleText),
    special: record.notice?.kind ?? SPECIALS.find(([sign]) => sign.test(bare))?.[1],
    part: partOf(bare),
    generic: GENERIC.test(title.join(' ')),
    families: record.authors.map(familyOf).filter(Boolean),
    year: record.year,
    journal: record.journal ? wordsOf(record.journal) : [],
    volume: plainNumber(record.volume),
    issue: plainNumber(record.issue),
    page: plainNumber(record.pages),
    kind: KINDS.find(([sign]) => sign.test(record.type ?? ''))?.[1],
    abstract: record.abstract && record.abstract.length > 80 ? record.abstract : undefined,
  }
}

/** How often each letter stands in a text, letters beyond the alphabet by their rest. */
function lettersOf(text: string): Uint8Array {
  const counts = new Uint8Array(32)
  for (let i = 0; i < text.length; i++) counts[text.charCodeAt(i) & 31]!++
  return counts
}

/** "Ahola, R." and "R. Ahola" → "ahola"; without a comma the last word that is no initial. */
function familyOf(name: string): string {
  const bare = bareText(name)
  const [family, given] = bare.split(',')
  if (given !== undefined) return wordsOf(family!).join('')
  const words = bare.split(/\s+/).filter((w) => w && !/^(?:\p{Lu}\.?-?)+$/u.test(w))
  return oneWay(foldWord((words.at(-1) ?? bare).replace(/[^\p{L}’'-]/gu, ''))).replace(/[’'-]/g, '')
}
