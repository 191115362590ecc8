import { byName, foldWord, tokens } from '../../base'
import { isBody } from '../names'
import { EARLY, oneType } from '../types'
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
  /** What the rules from version 2 on look at besides. */
  more: More | undefined
}

/** See `Print.more`. */
export interface More {
  /** Is it a version of a work before it was published, or a paper in a series of its institution? */
  early: boolean
  /** Where its first author is a body: the letters that it may be called by. */
  called: readonly string[]
  publisher: string | undefined
  /** Volume and first page, where both are known. */
  place: string | undefined
  /** The first words of the abstract, folded: two copies of one abstract have them in common, also where one is cut. */
  opening: string | undefined
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

function moreOf(record: Rec, volume: string | undefined, page: string | undefined): More {
  const opening = record.abstract && record.abstract.length > 80 ? openingOf(record.abstract) : undefined
  const [first] = record.authors
  return {
    early:
      (record.type !== undefined && EARLY.has(oneType(record.type))) ||
      /\bpre-?prints?\b/i.test(record.journal ?? ''),
    called: first !== undefined && isWhole(first) ? initialsOf(first) : [],
    publisher: record.publisher && wordsOf(record.publisher).join(' '),
    place: volume !== undefined && page !== undefined ? `${volume} ${page}` : undefined,
    opening,
  }
}
/** The first letters of an abstract without what is between them: it is made of every record, and only for finding pairs. */
const openingOf = (abstract: string): string =>
  abstract
    .slice(0, 90)
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '')
    .slice(0, 48)
const isWhole = (name: string): boolean => name.startsWith('{') || isBody(name)
/** The name of a body without braces and commas, and without what stands in brackets behind it. */
const calledOnly = (name: string): string => name.replace(/[{},]|\([^)]*\)/g, ' ')
/** From version 2 on the name of a body is compared whole. */
const familyOrBody = (name: string): string =>
  isWhole(name) ? wordsOf(calledOnly(name)).join('') : familyOf(name)
/** "Institute for Rooms" and "IFR", "IR": the first letters of a body's name, with and without its small words. */
const initialsOf = (name: string): string[] => {
  const words = bareText(calledOnly(name)).split(/\s+/).filter(Boolean)
  const first = (of: readonly string[]): string => of.map((w) => w[0]!.toLowerCase()).join('')
  return [first(words), first(words.filter((w) => /^\p{Lu}/u.test(w)))]
}

/** What is compared of a record by a version of the rules. */
export function printOf(record: Rec, version: number): Print {
  const bare = bareText(record.title).replace(/^\s*\[?retracted(?: article)?[\]:.]*\s*/i, '')
  const [main = bare] = bare.split(/\s*(?:[:?]\s|\.\s+(?=\p{Lu})|\s[–—-]\s)/u)
  const title = wordsOf(bare)
  const mainWords = wordsOf(main)
  const titleText = title.join(' ')
  const [volume, page] = [plainNumber(record.volume), plainNumber(record.pages)]
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
    families: record.authors.map(version >= 2 ? familyOrBody : familyOf).filter(Boolean),
    year: record.year,
    journal: record.journal ? wordsOf(record.journal) : [],
    volume,
    issue: plainNumber(record.issue),
    page,
    kind: KINDS.find(([sign]) => sign.test(record.type ?? ''))?.[1],
    abstract: record.abstract && record.abstract.length > 80 ? record.abstract : undefined,
    more: version >= 2 ? moreOf(record, volume, page) : undefined,
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
