import { inPattern, listed } from '../../base'
import { placeOf, shownBy, type Example } from './examples'

/** What rows show that nobody said anything about: a form by its place, with the rows it was seen in. */
export interface Inferred {
  at: string
  form: string
  seen: number[]
  /** What cannot be known from rows alone, for a person to look at; absent where they leave no choice. */
  doubt?: string
}

interface Code {
  /** As it is written, without what it is put to: "[q1]", "ti:". */
  sign: string
  form: string
  seen: number[]
}

const WORD = '[\\p{L}\\p{N}]'
/** Codes as they stand beside words, a bracket or a phrase: behind in brackets or between dots, before with a sign or in brackets. */
const SHAPES: readonly [RegExp, (sign: string, bracket: boolean) => string][] = [
  [
    new RegExp(`(?<=[\\p{L}\\p{N}")\\]*]) ?(\\[${WORD}{1,12}\\]|<${WORD}{1,12}>|\\{${WORD}{1,12}\\})`, 'gu'),
    behind,
  ],
  [new RegExp(`(?<=[\\p{L}\\p{N}")*])(\\.${WORD}{1,8}\\.)(?=[\\s)]|$)`, 'gu'), behind],
  [new RegExp(`(?<![\\p{L}\\p{N}:=/.])(\\p{L}${WORD}{0,15}(?:[:=/] ?))(?=["(\\p{L}])`, 'gu'), before],
  [new RegExp(`(?<![\\p{L}\\p{N}")*])(\\[${WORD}{1,12}\\]|<${WORD}{1,12}>)(?=["(\\p{L}])`, 'gu'), before],
]
function behind(sign: string): string {
  return `{expr}${sign}`
}
function before(sign: string, bracket: boolean): string {
  return bracket ? `${sign}({expr})` : `${sign}{expr}`
}

/** Codes that stand in rows, each with the form that its places show. */
function codesIn(rows: readonly Example[]): Code[] {
  const found = new Map<
    string,
    { sign: string; make: (typeof SHAPES)[number][1]; brackets: boolean[]; seen: number[] }
  >()
  for (const { text, at } of rows)
    for (const [shape, make] of SHAPES)
      for (const m of text.matchAll(shape)) {
        const sign = m[1]!
        const key = `${make === behind ? 'behind' : 'before'} ${sign}`
        const own = found.get(key) ?? { sign, make, brackets: [], seen: [] }
        own.brackets.push(text[m.index + m[0].length] === '(')
        if (own.seen.at(-1) !== at) own.seen.push(at)
        found.set(key, own)
      }
  return [...found.values()].map(({ sign, make, brackets, seen }) => ({
    sign: sign.trim(),
    // A code that always stands before a bracket may need it.
    form: make(sign, brackets.every(Boolean)),
    seen,
  }))
}

interface Stands {
  form: string
  /** A bracket of words follows it. */
  bracket: boolean
  /** Two signs stand before it, and one of them may belong to the word. */
  signs: boolean
}

/** How a code stands in a text: behind what it is put to, or before it. */
function formsOfCode(text: string, code: string): Stands[] {
  const c = inPattern(code)
  const behindIt = new RegExp(
    `[\\p{L}\\p{N}")*$+^!%\\]]( in |[^\\s\\p{L}\\p{N}()"*]{1,2})${c}([^\\s\\p{L}\\p{N}()",*]{0,2})(?=[\\s)]|$)`,
    'gu',
  )
  const beforeIt = new RegExp(`(?<![^\\s(])${c}( |[:=/,;>]{1,2} ?|\\(|\\[)(?=["(\\p{L}])`, 'gu')
  return [
    ...[...text.matchAll(behindIt)].map((m) => ({
      form: `{expr}${m[1]}${code}${m[2]}`,
      bracket: false,
      signs: /^(\S)(?!\1)\S$/u.test(m[1]!),
    })),
    ...[...text.matchAll(beforeIt)].map((m) => {
      const close = { '(': ')', '[': ']' }[m[1]!] ?? ''
      return {
        form: `${code}${m[1]}{expr}${close}`,
        bracket: text[m.index + m[0].length] === '(',
        signs: false,
      }
    }),
  ]
}

/** Lines joined with a word or a sign, and nothing else: "#1 AND #2", "row 3 & row 5"; bare numbers with a word that is known. */
const REFERENCES =
  /^\(?([^\s\d()"]{1,6} ?|)\d{1,3}([^\s\d()"]{0,4})(?:\s+(?:and|or|not|[^\s\p{L}\p{N}()"]{1,3})\s+\1\d{1,3}\2)+\)?$/iu
const ENDING = /\p{L}{3,}([*$+^!%#~]{1,2})(?=[\s)"\]}>.[<{,]|$)/gu
const SAID = /^(\S+(?: \S+)?)\s+(?:is|means|stands for|searches)\s+(.+)$/iu

/** Rows that say what a code is, "q1 is the title", apart from those that are examples. */
export function saidOfCodes(rows: readonly Example[]): { said: Example[]; examples: Example[] } {
  const said = rows.filter(
    (e) => !e.shows && SAID.test(e.text) && shownBy(SAID.exec(e.text)![2]!) !== undefined,
  )
  return { said, examples: rows.filter((e) => !said.includes(e)) }
}

/**
 * What rows of a strategy show of themselves: how lines are named, NOT, the sign for any ending; and of codes what a row says of
 * them. Codes of which nobody says anything are asked about.
 */
export function inferredFrom(
  rows: readonly Example[],
  said: readonly Example[],
): { forms: Inferred[]; unknown: Code[] } {
  const forms: Inferred[] = []
  const seenIn = (test: (text: string) => boolean): number[] =>
    rows.filter((e) => test(e.text)).map((e) => e.at)
  const named = rows.flatMap((e) => {
    const m = REFERENCES.exec(e.text)
    return m ? [{ form: `${m[1]}{n}${m[2]}`, at: e.at }] : []
  })
  const ways = [...new Set(named.map((n) => n.form))]
  if (ways.length)
    forms.push({
      at: 'lines.reference',
      form: ways[0]!,
      seen: named.map((n) => n.at),
      ...(ways.length > 1 ? { doubt: `Lines are named in two ways: ${listed(ways)}` } : {}),
    })
  const not = seenIn((t) => /\sNOT\s/.test(t))
  if (not.length) forms.push({ at: 'operators.not', form: 'NOT', seen: not })
  const endings = new Map<string, Set<number>>()
  for (const { text, at } of rows)
    for (const m of text.matchAll(ENDING)) endings.set(m[1]!, (endings.get(m[1]!) ?? new Set()).add(at))
  const [ending] = [...endings]
  if (ending)
    forms.push({
      at: 'truncation.any',
      form: ending[0],
      seen: [...ending[1]],
      doubt:
        endings.size > 1
          ? `Several signs stand behind words (${listed([...endings.keys()])}): which is for any ending?`
          : `${ending[0]} stands behind words: is it the sign for any ending?`,
    })
  const codes = codesIn(rows)
  const told = new Set<string>()
  for (const { text, at } of said) {
    const [, what = '', of = ''] = SAID.exec(text)!
    const shows = shownBy(of)
    const code = /[\p{L}\p{N}]+/u.exec(what)?.[0]
    if (shows?.part !== 'field' || code === undefined) continue
    const places = rows.flatMap((e) => formsOfCode(e.text, code).map((f) => ({ ...f, at: e.at })))
    const [first] = places
    if (!first) continue
    told.add(code.toLowerCase())
    const kinds = [...new Set(places.map((f) => f.form))]
    forms.push({
      at: placeOf(shows),
      form: first.form,
      seen: [at, ...new Set(places.map((f) => f.at))],
      ...(kinds.length > 1
        ? { doubt: `It stands in several ways: ${listed(kinds)}` }
        : first.signs
          ? { doubt: `Two signs stand before ${code}: does one of them belong to the word?` }
          : places.every((f) => f.bracket)
            ? { doubt: `A bracket follows ${code} each time: does it need one?` }
            : {}),
    })
  }
  const letters = (sign: string): string => sign.replace(/[^\p{L}\p{N}]/gu, '').toLowerCase()
  return { forms, unknown: codes.filter((c) => !told.has(letters(c.sign))) }
}
