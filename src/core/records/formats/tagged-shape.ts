import { emptyByName } from '../../base'
import { doiIn } from '../identifiers'
import { readDate } from '../dates'
import { isLanguageName } from '../../query'
import { fieldOf } from '../fields'
import { tagFormOf, tagIn, type TagForm, type TagShape } from './tagged'

/** What stands under a tag in the first records of a file. */
interface Seen {
  tag: string
  values: string[]
  /** The lines of the values, one by one. */
  lines: string[]
  /** The place of the tag among those of the file. */
  place: number
  /** In how many records, of all. */
  records: number
  /** The most times in one record. */
  most: number
}

const share = (values: readonly string[], test: (v: string) => boolean): number =>
  values.length ? values.filter(test).length / values.length : 0
const middle = (values: readonly string[]): number =>
  [...values].map((v) => v.length).sort((a, b) => a - b)[values.length >> 1] ?? 0
const isName = (v: string): boolean =>
  /^\p{Lu}[\p{L}’'-]+(?: \p{Lu}[\p{L}’'-]+){0,2},? (?:\p{Lu}[\p{L}.-]*[ .]?){1,3}$/u.test(v) ||
  /^(?:\p{Lu}\.[ -]?){1,3}\p{Lu}[\p{L}’'-]+$/u.test(v)
/** Codes of the languages that tagged files are mostly in: of all, "no", "is" and "as" would be languages too. */
const USUAL = new Set(['en', 'de', 'es', 'fr', 'it', 'pt'])
const isLanguage = (v: string): boolean => isLanguageName(v) || USUAL.has(v.trim())

/** What a field's values look like, the surest first; each field is given to the tag that it fits best. */
const LOOKS: readonly (readonly [field: string, fits: (s: Seen, all: number) => number])[] = [
  ['doi', (s) => once(s, (v) => doiIn(v) !== undefined && !/^https?:\/\/(?!(?:dx\.)?doi)/.test(v))],
  ['issn', (s) => share(s.values, (v) => /^\d{4}-?\d{3}[\dXx]$/.test(v) && !/^(?:19|20)\d{6}$/.test(v))],
  ['url', (s) => share(s.values, (v) => /^https?:\/\/\S+$/.test(v))],
  ['abstract', (s) => (s.most === 1 && middle(s.values) > 260 ? 1 : 0)],
  ['year', (s) => share(s.values, isYear)],
  ['language', (s) => share(s.values, isLanguage)],
  ['pages', (s) => share(s.values, (v) => /^[a-z]?\d{1,5} ?[-–] ?[a-z]?\d{1,5}$/i.test(v))],
  ['authors', (s) => share(s.lines, isName) * (s.lines.length > s.records ? 1 : 0.85)],
  ['title', titleLike],
  ['journal', journalLike],
  ['keywords', keywordLike],
  ['id', idLike],
  ['volume', (s) => once(s, (v) => /^\d{1,3}$/.test(v)) * 0.7],
  ['issue', (s) => once(s, (v) => /^\d{1,2}(?:-\d{1,2})?$/.test(v)) * 0.65],
]

function once(s: Seen, test: (v: string) => boolean): number {
  return s.most === 1 ? share(s.values, test) : 0
}
function isYear(v: string): boolean {
  const { year, whole } = readDate(v)
  return year !== undefined && year > 1500 && whole
}
const different = (s: Seen): number => new Set(s.values).size / s.values.length

function titleLike(s: Seen, all: number): number {
  const length = middle(s.values)
  if (s.records < all * 0.9 || length < 25 || length > 260) return 0
  return once(s, (v) => /\s/.test(v)) * (0.7 + 0.3 * different(s))
}
function journalLike(s: Seen, all: number): number {
  const length = middle(s.values)
  if (s.records < all * 0.3 || length < 6 || length > 90) return 0
  return once(s, (v) => /\p{L}{3}/u.test(v) && !isLanguage(v) && !isName(v)) > 0.8 ? 0.7 : 0
}
function keywordLike(s: Seen): number {
  if (s.lines.length > s.records && middle(s.lines) < 60)
    return share(s.lines, (v) => /\p{L}{3}/u.test(v) && !isName(v)) * 0.8
  return share(s.values, (v) => v.split(';').length > 2) * 0.7
}
/** Different in every record, one word; the surer where records begin with it. */
function idLike(s: Seen, all: number): number {
  if (s.records < all || all < 2 || different(s) < 1) return 0
  return once(s, (v) => /^\S{1,24}$/.test(v)) * (s.place === 0 ? 0.9 : 0.65)
}

/** Could a tag be short for the name of a field: its letters in their order, the first at the beginning? */
function shortFor(tag: string, field: string): boolean {
  const name = (fieldOf(field)?.label ?? field).toUpperCase()
  if (tag[0] !== name[0]) return false
  let at = 0
  for (const letter of tag) {
    at = name.indexOf(letter, at) + 1
    if (!at) return false
  }
  return true
}

/**
 * What the tags of a text mean, proposed from what stands under them: a tag whose values are DOIs is the DOI, whatever it
 * is called. Undefined where the text is not tagged. `remembered`: what a person said of a tag before; it goes first.
 */
export function proposeTags(
  text: string,
  remembered: Readonly<Record<string, string>> = {},
): TagShape | undefined {
  const form = tagFormOf(text)
  if (!form) return undefined
  const { seen, begins, ends, records } = look(text, form)
  const fields = emptyByName<string>()
  const given = new Set<string>()
  const free = (s: Seen): boolean => !fields[s.tag] && s.tag !== ends
  for (const s of seen)
    if (Object.hasOwn(remembered, s.tag)) {
      fields[s.tag] = remembered[s.tag]!
      given.add(remembered[s.tag]!)
    }
  for (const [field, fits] of LOOKS) {
    if (given.has(field)) continue
    const ranked = seen
      .filter(free)
      .map((s) => ({ s, score: fits(s, records) + (shortFor(s.tag, field) ? 0.25 : 0) }))
      .filter(({ score }) => score >= 0.6)
      .sort((a, b) => b.score - a.score)
    if (!ranked[0]) continue
    fields[ranked[0].s.tag] = field
    given.add(field)
  }
  // A tag whose meaning is not known stands there too, so that a person can say it.
  for (const s of seen) fields[s.tag] ??= ''
  return { form, ...(begins ? { begins } : {}), ...(ends ? { ends } : {}), fields }
}

function look(text: string, form: TagForm) {
  const rows = text.split(/\r\n?|\n/)
  const tagged = rows.flatMap((r) => tagIn(r, form) ?? [])
  const first = tagged[0]?.tag
  // A tag that is always empty ends records; else empty lines do; else the first tag begins them.
  const empties = [...new Set(tagged.filter((t) => !t.value).map((t) => t.tag))]
  const ends = empties.find((tag) => tagged.filter((t) => t.tag === tag).every((t) => !t.value))
  const blank = /(?:\r\n?|\n)[ \t]*(?:\r\n?|\n)/.test(text.trim())
  const begins = ends === undefined && !blank ? first : undefined
  const seen = new Map<string, Seen>()
  let [records, now] = [0, new Map<string, number>()]
  const finish = (): void => {
    if (!now.size) return
    records++
    for (const [tag, times] of now) {
      const s = seen.get(tag)!
      s.records++
      s.most = Math.max(s.most, times)
    }
    now = new Map()
  }
  let last: Seen | undefined
  for (const row of rows) {
    const found = tagIn(row, form)
    if (!found) {
      if (!row.trim() && ends === undefined && begins === undefined) finish()
      else if (row.trim() && last) {
        last.values[last.values.length - 1] += ` ${row.trim()}`
        last.lines.push(row.trim())
      }
      continue
    }
    if (found.tag === begins) finish()
    if (found.tag === ends) {
      finish()
      continue
    }
    last = seen.get(found.tag)
    if (!last)
      seen.set(
        found.tag,
        (last = { tag: found.tag, values: [], lines: [], place: seen.size, records: 0, most: 0 }),
      )
    last.values.push(found.value)
    last.lines.push(found.value)
    now.set(found.tag, (now.get(found.tag) ?? 0) + 1)
  }
  finish()
  return { seen: [...seen.values()], begins, ends, records }
}
