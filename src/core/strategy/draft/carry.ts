import {
  inFields,
  inQuotes,
  lex,
  mapChildren,
  or,
  parse,
  parseSound,
  phrase,
  print,
  walk,
  withoutPlaces,
  word,
  type Expr,
  type LimitKind,
  type LimitValue,
  type Mark,
} from '../../query'
import { renumberText, splice, type Change } from '../lines/references'
import type { DraftLine } from './draft'
import { removeLines } from '../lines/edit'

export interface CarryTarget {
  /** What a heading becomes over there: other labels, none (`[]`: left out), or undefined where it is not settled. */
  heading: (label: string) => readonly string[] | undefined
  hasLimit: (kind: LimitKind) => boolean
  /** Without a vocabulary headings are carried as the words that they are called by. */
  hasVocabulary: boolean
}

export interface Carried {
  lines: (DraftLine & { id: string })[]
  /** Headings without a counterpart; their lines keep them until they are settled. */
  unsettled: string[]
  /** Limits that the other source does not have, with the number of the line here. */
  lostLimits: { line: number; limit: LimitValue }[]
}

/**
 * A strategy for another source: the same lines, headings put into the other vocabulary, or as words where there is none, limits
 * that are not to be had left off. A line that says nothing any more is taken out, with what was joined through it; so is one
 * that only set a limit which is lost: what named it names the line that it limited.
 */
export function carryStrategy(lines: readonly (DraftLine & { id: string })[], target: CarryTarget): Carried {
  const unsettled = new Set<string>()
  const lostLimits: Carried['lostLimits'] = []
  const empty = new Set<string>()
  const carried = lines.map((line, i) => {
    for (const limit of line.limits) if (!target.hasLimit(limit.kind)) lostLimits.push({ line: i + 1, limit })
    const limits = line.limits.filter((l) => target.hasLimit(l.kind))
    if (!target.hasVocabulary) return { ...line, limits, text: withoutHeadings(line.text) }
    const spans = carriedBySpans(line.text, target, unsettled)
    if (spans.whole) return { ...line, limits, text: spans.text }
    // Something has to be left out, or said once instead of twice: that changes more than names.
    const tree = parseSound(line.text)
    if (!tree) return { ...line, limits, text: spans.text }
    const put = settle(tree, target, unsettled)
    if (!put) empty.add(line.id)
    return { ...line, limits, text: put ? print(put) : line.text }
  })
  const doubles = new Set(
    lines.flatMap((l, i) =>
      l.limits.length && !carried[i]!.limits.length && isReference(l.text) ? [l.id] : [],
    ),
  )
  const kept = dropDoubles(dropEmpty(carried, empty), doubles)
  return { lines: kept, unsettled: [...unsettled], lostLimits }
}

/**
 * The text with the names of its headings put into the other vocabulary, everything else letter for letter. `whole` is
 * false where that is not all: a heading has no counterpart and goes, or two become the same.
 */
function carriedBySpans(
  text: string,
  target: CarryTarget,
  unsettled: Set<string>,
): { text: string; whole: boolean } {
  const changes: Change[] = []
  /** What became each label: two names that become the same one are said once. */
  const said = new Map<string, string>()
  let whole = true
  const { marks } = lex(text)
  const put = (name: Extract<Mark, { kind: 'quote' | 'text' }>, prefix: string, from: number): void => {
    const own = name.text.trim()
    const labels = target.heading(own)
    if (!labels) {
      unsettled.add(own)
      return
    }
    if (!labels.length) {
      whole = false
      return
    }
    for (const label of labels) {
      if ((said.get(label) ?? own) !== own) whole = false
      said.set(label, own)
    }
    const [only] = labels
    if (labels.length === 1) {
      if (only !== own) changes.push({ at: name.at, text: inQuotes(only!) })
      return
    }
    const made = labels.map((label) => prefix + inQuotes(label)).join(' OR ')
    changes.push({ at: [from, name.at[1]], text: prefix ? `(${made})` : made })
  }
  marks.forEach((mark, i) => {
    if (mark.kind !== 'heading') return
    const next = marks[i + 1]
    if (next?.kind === 'quote' || next?.kind === 'text') {
      const prefix = `heading${mark.below ? '.below' : ''}${mark.main ? '.main' : ''}: `
      put(next, prefix, mark.at[0])
    }
    // `heading: ("A" OR "B")`: the names in the bracket stand for headings.
    for (let k = i + 2, depth = 1; next?.kind === 'open' && k < marks.length && depth > 0; k++) {
      const inner = marks[k]!
      if (inner.kind === 'open') depth++
      if (inner.kind === 'close') depth--
      if (inner.kind === 'quote' || inner.kind === 'text') put(inner, '', inner.at[0])
    }
  })
  return { text: splice(text, changes), whole }
}

/** The expression with its headings put into the other vocabulary; undefined where nothing is left of it. */
function settle(e: Expr, target: CarryTarget, unsettled: Set<string>): Expr | undefined {
  if (e.kind === 'heading') {
    const labels = target.heading(e.label)
    if (!labels) {
      unsettled.add(e.label)
      return e
    }
    return labels.length ? or(...labels.map((label): Expr => ({ ...e, label }))) : undefined
  }
  if (e.kind === 'or' || e.kind === 'and' || e.kind === 'not') {
    const parts = e.parts.map((p) => settle(p, target, unsettled))
    // Less nothing is nothing less; without its first part a NOT says nothing.
    if (e.kind === 'not' && !parts[0]) return undefined
    const left = e.kind === 'or' ? oncePerHeading(parts) : parts.filter((p) => p !== undefined)
    return left.length > 1 ? { ...e, parts: left } : left[0]
  }
  return mapChildren(e, (part) => settle(part, target, unsettled) ?? part)
}

/** Two headings may become the same one: it is asked for once, with narrower if either asked for that. */
function oncePerHeading(parts: readonly (Expr | undefined)[]): Expr[] {
  const wide = new Set(parts.flatMap((p) => (p?.kind === 'heading' && p.below && !p.main ? [p.label] : [])))
  const said = new Set<string>()
  return parts.filter((p): p is Expr => {
    if (!p) return false
    if (p.kind !== 'heading') return true
    if (!p.below && wide.has(p.label)) return false
    const key = print(p)
    return !said.has(key) && said.add(key) !== undefined
  })
}

/** Takes out lines that say nothing; a join that named them goes on with the others, and goes itself with the last. */
function dropEmpty<T extends { id: string; text: string }>(
  lines: readonly T[],
  empty: ReadonlySet<string>,
): T[] {
  let left = [...lines]
  for (const id of empty) {
    const at = left.findIndex((l) => l.id === id) + 1
    if (!at) continue
    const only = new Set([id])
    for (const [i, line] of left.entries()) {
      const { tree } = parse(line.text)
      // A line that is nothing but a reference to it says nothing either.
      if (i + 1 > at && tree?.kind === 'line' && tree.number === at) only.add(line.id)
    }
    const without = left.map((l) => (only.has(l.id) ? l : { ...l, text: withoutLine(l.text, at) }))
    const removed = removeLines(without, only, true)
    if (removed.ok) left = removed.value
  }
  return left
}

function withoutLine(text: string, number: number): string {
  const tree = parseSound(text)
  if (!tree) return text
  const drop = (e: Expr): Expr => {
    if (e.kind === 'lines') {
      const ranges = e.ranges.flatMap(({ from, to }) =>
        number < from || number > to
          ? [{ from, to }]
          : [
              ...(from < number ? [{ from, to: number - 1 }] : []),
              ...(to > number ? [{ from: number + 1, to }] : []),
            ],
      )
      return ranges.length ? { ...e, ranges } : e
    }
    if (e.kind === 'or' || e.kind === 'and') {
      const parts = e.parts.filter((p) => !(p.kind === 'line' && p.number === number))
      if (!parts.length || parts.length === e.parts.length) return mapChildren(e, drop)
      return parts.length === 1 ? drop(parts[0]!) : { ...e, parts: parts.map(drop) }
    }
    return mapChildren(e, drop)
  }
  const after = drop(tree)
  return after === tree ? text : print(after)
}

const isReference = (text: string): boolean => parse(text).tree?.kind === 'line'

/** Takes out lines that only repeat the one they name; what named them names that one. */
function dropDoubles<T extends { id: string; text: string }>(
  lines: readonly T[],
  doubles: ReadonlySet<string>,
): T[] {
  if (!doubles.size) return [...lines]
  const meant = (number: number): number => {
    const line = lines[number - 1]
    const tree = line && doubles.has(line.id) ? parse(line.text).tree : undefined
    return tree?.kind === 'line' ? meant(tree.number) : number
  }
  const kept = lines.filter((l) => !doubles.has(l.id))
  const place = new Map(kept.map((l, i) => [lines.indexOf(l) + 1, i + 1]))
  return kept.map((l) => {
    const text = renumberText(l.text, (n) => (n > lines.length ? n : place.get(meant(n))))
    return text === l.text ? l : { ...l, text }
  })
}

/** What stands behind a name in brackets says in which sense it is a heading; authors do not write it. */
const QUALIFIER = /\s*\([^)]*\)\s*$/

/** The text with its headings as words in title, abstract and keywords; one without headings, or not understood, as it stands. */
function withoutHeadings(text: string): string {
  const tree = parseSound(text)
  if (!tree || ![...walk(tree)].some((e) => e.kind === 'heading')) return text
  const asWords = (e: Expr): Expr => {
    if (e.kind !== 'heading') return mapChildren(e, asWords)
    const words = e.label.replace(QUALIFIER, '').split(/\s+/)
    return inFields(['text'], words.length > 1 ? phrase(...words) : word(words[0]!))
  }
  return print(asWords(withoutPlaces(tree)))
}
