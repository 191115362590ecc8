import { listed } from '../../base'
import { wordForms, EMPTY } from '../../engine'
import {
  inFields,
  isMasked,
  mapChildren,
  maskStem,
  or,
  parse,
  print,
  walk,
  withoutPlaces,
  type Expr,
} from '../../query'
import { adviseStem, variantsOf } from '../words'
import type { CheckedLine, CheckContext, Remark, Rule } from './check'

const ELEMENT = 'Text words'

/** The line with one word or phrase replaced by several joined with OR. */
function withMore(line: CheckedLine, at: Expr, more: readonly string[]): string {
  const key = print(withoutPlaces(at))
  const change = (e: Expr): Expr => {
    if (e.kind === 'or' && e.parts.some((p) => print(withoutPlaces(p)) === key))
      return { ...e, parts: [...e.parts, ...more.map((m) => parse(m).tree!)] }
    if (print(withoutPlaces(e)) === key) return or(e, ...more.map((m) => parse(m).tree!))
    return mapChildren(e, change)
  }
  return print(withoutPlaces(change(line.tree!)))
}

const wordsOf = (line: CheckedLine): Expr[] =>
  line.tree ? [...walk(line.tree)].filter((e) => e.kind === 'word' || e.kind === 'phrase') : []

const said = (c: CheckContext): Set<string> =>
  new Set(c.lines.flatMap((l) => wordsOf(l).map((e) => print(withoutPlaces(e)).toLowerCase())))

/** A spelling of the other side of the ocean, or a closed or open form, that occurs and is not asked for. */
export const spellingMissing: Rule = (c) => {
  const all = said(c)
  const isWord = (w: string): boolean => !c.searched || c.index.termsFor(w).length > 0
  return c.lines.flatMap((line) =>
    wordsOf(line).flatMap((e): Remark[] => {
      const found = c.find(inFields(['text'], e))
      const missing = variantsOf(withoutPlaces(e), c.pairs, isWord)
        .filter((v) =>
          ['British spelling', 'American spelling', 'closed', 'open or hyphenated'].includes(v.kind),
        )
        .filter((v) => {
          if (all.has(v.text.toLowerCase())) return false
          // Where the records lie outside nothing tells what it would bring; a known spelling is worth a look.
          if (!c.searched) return v.kind === 'British spelling' || v.kind === 'American spelling'
          const brings = c.find(inFields(['text'], parse(v.text).tree!))
          const has = new Set(found)
          return [...brings].some((d) => !has.has(d))
        })
      if (!missing.length) return []
      const own = print(withoutPlaces(e))
      return [
        {
          code: 'spelling-missing',
          element: ELEMENT,
          lineId: line.id,
          about: own,
          message: `${own} in line ${line.number} is also written ${listed(missing.map((m) => m.text))}.`,
          why: 'Authors on either side of the ocean, and printers, spell it differently.',
          fix: {
            label: `Add ${missing.map((m) => m.text).join(', ')}`,
            lineId: line.id,
            text: withMore(
              line,
              e,
              missing.map((m) => m.text),
            ),
          },
        },
      ]
    }),
  )
}

/** A stem that takes in other words: cut too short. */
export const stemTooShort: Rule = (c) =>
  c.lines.flatMap((line) =>
    wordsOf(line).flatMap((e): Remark[] => {
      if (e.kind !== 'word' || !isMasked(e.text)) return []
      const { tooShort } = adviseStem(e.text, (mask) =>
        wordForms(
          c.index,
          mask,
          c.wanted.size ? Uint32Array.from([...c.wanted].sort((a, b) => a - b)) : EMPTY,
        ),
      )
      if (!tooShort) return []
      return [
        {
          code: 'stem-too-short',
          element: ELEMENT,
          lineId: line.id,
          about: e.text,
          message: `${e.text} in line ${line.number} also matches ${listed(tooShort.drops.slice(0, 3).map((d) => `“${d}”`))}.`,
          why: 'A stem cut too short brings in other words.',
        },
      ]
    }),
  )

/** A stem inside quotes where the source takes signs in quotes as they stand: it finds nothing more. */
export const stemDeadInQuotes: Rule = (c) =>
  c.profile.quotes.signs
    ? []
    : c.lines.flatMap((line) =>
        wordsOf(line).flatMap((e): Remark[] => {
          if (e.kind !== 'phrase' || !e.words.some(isMasked)) return []
          return [
            {
              code: 'stem-in-quotes',
              element: ELEMENT,
              lineId: line.id,
              about: print(withoutPlaces(e)),
              message: `${print(withoutPlaces(e))} in line ${line.number}: ${c.profile.name} takes no signs inside quotes.`,
              why: 'The stem is dead there; write out the forms that matter, joined with OR.',
            },
          ]
        }),
      )

/** A truncated word with fewer letters than the source wants. */
export const stemBelowLeast: Rule = (c) => {
  const least = c.profile.truncation.shortestStem
  return c.lines.flatMap((line) =>
    wordsOf(line).flatMap((e): Remark[] => {
      if (e.kind !== 'word' || !isMasked(e.text) || maskStem(e.text).length >= least) return []
      return [
        {
          code: 'stem-below-least',
          element: ELEMENT,
          lineId: line.id,
          about: e.text,
          message: `${e.text} in line ${line.number} has fewer than the ${least} letters that ${c.profile.name} wants before a sign.`,
          why: 'It finds nothing there.',
        },
      ]
    }),
  )
}
