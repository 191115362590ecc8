import { listed } from '../../base'
import type { FieldsRead, MadeOf, TakenOverRead, WithoutQuery } from '../reads/en'
import { searchesOf, type SlowSearch } from './as-searched'
import type { Deeds } from './deeds'
import { conceptsOf, sameNames } from './plan'
import { finds, foundBy, reached, readLine, refersTo, wordsIn, type SlowLine } from './what-is-found'

const ranLines = (s: SlowSearch): { line: SlowLine; number: number }[] =>
  s.lines.flatMap((line, n) => (s.ran.has(line.id) ? [{ line, number: n + 1 }] : []))
const isHeading = ({ field }: { field: string }): boolean => field.startsWith('heading')
const wordsOf = (line: SlowLine) => wordsIn(readLine(line.text))

const FIELD: Readonly<Record<string, string>> = {
  title: 'the title alone',
  text: 'title, abstract and keywords',
}

/** Where the words of a line are looked for; undefined: it has none. A heading is a word where there is no thesaurus. */
function fieldOf(s: SlowSearch, line: SlowLine, deeds: Deeds): string | undefined {
  const words = wordsOf(line).filter((w) => !isHeading(w) || !deeds.world.indexed.includes(s.id))
  if (!words.length) return undefined
  const usual = deeds.world.usual[s.id] ?? 'all fields that it searches by default'
  const lacks = deeds.world.lacks[s.id] ?? []
  const fields = new Set(words.map((w) => (lacks.includes(w.field) ? usual : (FIELD[w.field] ?? usual))))
  return fields.has(usual) || fields.size > 1 ? usual : [...fields][0]
}

/** Most lines look in these fields, and just these others elsewhere. */
function fieldsSo(s: SlowSearch, read: FieldsRead | undefined, deeds: Deeds): boolean {
  const sets = new Map<string, number[]>()
  for (const { line, number } of ranLines(s)) {
    const field = fieldOf(s, line, deeds)
    if (field !== undefined) sets.set(field, [...(sets.get(field) ?? []), number])
  }
  if (!read) return sets.size === 0
  const most = Math.max(...[...sets.values()].map((l) => l.length))
  return (
    sets.get(read.most)?.length === most &&
    read.elsewhere.length === sets.size - 1 &&
    read.elsewhere.every((e) => JSON.stringify(sets.get(e.fields)) === JSON.stringify(e.lines))
  )
}

/** Names of the concepts of which a line that was run has something. */
const having = (s: SlowSearch, deeds: Deeds, test: (w: { field: string }) => boolean): string[] =>
  conceptsOf(deeds).flatMap((c) =>
    ranLines(s).some(({ line }) => line.conceptId === c.id && wordsOf(line).some(test)) ? [c.name] : [],
  )
/** Told by name where it is not so of every concept that was asked for. */
function conceptsSo(told: string | undefined, own: readonly string[], asked: readonly string[]): boolean {
  if (!own.length || !asked.length || own.length === asked.length) return told === undefined
  return told !== undefined && sameNames(told, own)
}

/** What the lines of a database were made of, as it is said. */
function madeSo(s: SlowSearch, read: MadeOf, deeds: Deeds): boolean {
  const all = ranLines(s).flatMap(({ line }) => wordsOf(line))
  const headings = all.filter(isHeading)
  const told = deeds.world.indexed.includes(s.id) && headings.length > 0
  const below = headings.filter((h) => h.field === 'heading.below').length
  const asked = having(s, deeds, () => true)
  return (
    (read.headings !== undefined) === told &&
    (!read.headings ||
      ((read.headings.narrower === 'untold' ||
        (read.headings.narrower === 'all'
          ? below === headings.length
          : below > 0 && below < headings.length)) &&
        conceptsSo(read.headings.of, having(s, deeds, isHeading), asked))) &&
    !read.codes &&
    fieldsSo(s, read.words?.fields, deeds) &&
    (!read.words ||
      conceptsSo(
        read.words.of,
        having(s, deeds, (w) => !isHeading(w)),
        asked,
      ))
  )
}

/** The line that joins: the last one, below those that only limit one other. */
function joining({ lines, last }: SlowSearch): number {
  let at = last
  while (lines[at]?.limits.length) {
    const below = refersTo(readLine(lines[at]!.text))
    if (below.length !== 1) break
    at = below[0]! - 1
  }
  return at
}

/** How it was joined: concepts by AND in groups of alternatives, in another way, or not at all; undefined: it was not run. */
export function joinOf(search: SlowSearch, deeds: Deeds): string[][] | 'other' | 'none' {
  const at = joining(search)
  const s: SlowSearch = {
    ...search,
    // Whatever concept the line that joins may be said to be of, it joins.
    lines: search.lines.map(({ conceptId, ...l }, n) =>
      n === at || conceptId === undefined ? l : { ...l, conceptId },
    ),
  }
  const line = s.lines[at]
  if (!line || !s.ran.has(line.id) || !refersTo(readLine(line.text)).length) return 'none'
  const below = reached(s.lines, at, true)
  const ofConcept = (id: string): string[] =>
    below.flatMap((k) => (s.lines[k]!.conceptId === id ? [`line ${k + 1}`] : []))
  const concepts = conceptsOf(deeds).filter((c) => ofConcept(c.id).length)
  // Words that stand in a line which joins are of no concept.
  if (below.some((k) => s.lines[k]!.conceptId === undefined && wordsOf(s.lines[k]!).length)) return 'other'
  // A limit within what is joined is no part of a concept.
  if (below.some((k) => k !== at && s.lines[k]!.conceptId === undefined && s.lines[k]!.limits.length))
    return 'other'
  if (concepts.length < 2) return 'other'
  const records = foundBy(s.lines, at, true)
  const has = (record: readonly string[], ids: readonly string[]): boolean =>
    ids.some((id) => ofConcept(id).some((l) => record.includes(l)))
  /** Groups of which each record has one: the smallest, each concept in one of them. */
  const ids = concepts.map((c) => c.id)
  const partition = groupings(ids).find(
    (groups) =>
      groups.length > 1 &&
      records.every((r) => groups.every((g) => has(r, g))) &&
      choices(groups).every((chosen) =>
        finds(s.lines, at, {
          has: (w) => chosen.some((id) => ofConcept(id).includes(w)),
          byConcepts: true,
        }),
      ),
  )
  return partition ?? 'other'
}

/** All ways to part a list into groups, those of single ones first. */
function groupings(list: readonly string[]): string[][][] {
  const [first, ...rest] = list
  if (first === undefined) return [[]]
  const all = groupings(rest).flatMap((groups) => [
    [[first], ...groups],
    ...groups.map((_, n) => groups.map((g, k) => (k === n ? [first, ...g] : g))),
  ])
  return all.sort((a, b) => b.length - a.length)
}
/** One of each group, in all ways. */
const choices = (groups: readonly string[][]): string[][] =>
  groups.reduce<string[][]>((all, g) => all.flatMap((c) => g.map((id) => [...c, id])), [[]])

const named = (deeds: Deeds, groups: readonly (readonly string[])[]): string[] => {
  const name = (id: string): string =>
    conceptsOf(deeds)
      .find((c) => c.id === id)!
      .name.toLowerCase()
  return groups.map((g) => (g.length > 1 ? `(${listed(g.map(name), 'or')})` : name(g[0]!)))
}

/** Groups as they are told, whatever their order. */
const inAnyOrder = (list: readonly string[]): string =>
  [...list]
    .map((g) =>
      g
        .replace(/[()]/g, '')
        .split(/, | or /)
        .sort()
        .join('/'),
    )
    .sort()
    .join(' ')

function joinSo(s: SlowSearch, read: MadeOf, deeds: Deeds): boolean {
  const join = joinOf(s, deeds)
  if (read.join === 'untold') return join === 'none'
  if (read.join === 'alone') return join === 'none'
  // Line by line is never untrue where lines were joined.
  if (read.join === 'by lines') return join !== 'none'
  if (typeof join === 'string') return false
  if (read.join === 'the concepts') return join.every((g) => g.length === 1)
  const told = read.join.concepts.split(/(?:, | and )(?![^(]*\))/)
  return inAnyOrder(told) === inAnyOrder(named(deeds, join))
}

/**
 * What stands between the words of each concept that was joined, what a NOT leaves out aside: nothing but OR; nothing at
 * all, where each has one word; or something else.
 */
function between(s: SlowSearch, deeds: Deeds): 'OR' | 'used' | 'otherwise' {
  const join = joinOf(s, deeds)
  const own = typeof join === 'string' ? [] : join.flat()
  const linesOf = (id: string): string[] =>
    s.lines.flatMap((l, n) => (n !== joining(s) && l.conceptId === id ? [l.text] : []))
  if (own.some((id) => linesOf(id).some((text) => /\bAND\b|\ball\(/.test(text)))) return 'otherwise'
  return own.every((id) => linesOf(id).flatMap((text) => wordsIn(readLine(text))).length === 1)
    ? 'used'
    : 'OR'
}

const byNames = (told: string | undefined, all: readonly SlowSearch[]): SlowSearch[] =>
  told === undefined ? [...all] : all.filter((s) => told.split(/, | and /).includes(s.name))

export function askedWith(read: MadeOf, deeds: Deeds): boolean {
  const own = byNames(read.names, searchesOf(deeds))
  return (
    own.length > 0 &&
    (read.names === undefined ||
      sameNames(
        read.names,
        own.map((s) => s.name),
      )) &&
    own.every(
      (s) =>
        madeSo(s, read, deeds) &&
        joinSo(s, read, deeds) &&
        (read.eachConcept === 'untold'
          ? read.join === 'by lines' || typeof joinOf(s, deeds) === 'string'
          : read.eachConcept === between(s, deeds)),
    )
  )
}

/** Each was asked so; where nothing is said of joining, as some database that is not among these. */
export function askedOtherwise(read: readonly MadeOf[], deeds: Deeds): boolean {
  const all = searchesOf(deeds)
  const others = all.filter((s) => read.every((r) => !byNames(r.names, all).includes(s)))
  const join = (s: SlowSearch): string => JSON.stringify([joinOf(s, deeds), between(s, deeds)])
  // Concepts may be joined by lines in such a way that it is told line by line.
  const alike = (a: SlowSearch, b: SlowSearch): boolean => {
    const joins = [joinOf(a, deeds), joinOf(b, deeds)]
    return join(a) === join(b) || (joins.includes('other') && !joins.includes('none'))
  }
  return read.every((r) => {
    const own = byNames(r.names, all)
    return (
      own.length > 0 &&
      own.every(
        (s) =>
          madeSo(s, r, deeds) &&
          (r.eachConcept === 'untold' || r.eachConcept === between(s, deeds)) &&
          (r.join === 'untold' ? others.some((o) => alike(o, s)) : joinSo(s, r, deeds)),
      )
    )
  })
}

export const noNearness = ({ names }: { names: string }, deeds: Deeds): boolean =>
  sameNames(
    names,
    searchesOf(deeds).flatMap((s) =>
      deeds.world.nearless.includes(s.id) && ranLines(s).some(({ line }) => line.text.includes('NEAR/'))
        ? [s.name]
        : [],
    ),
  )

/** Parts of a text that stand behind a NOT, as they are written; a line as it is written. */
function leftOutIn(s: SlowSearch): string[] {
  const found = ranLines(s).flatMap(({ line }) =>
    [...line.text.matchAll(/ NOT (\([^)]*(?:\([^)]*\))?[^)]*\)|#\d+|"[^"]*"|[^\s()]+)/g)].map(([, part]) => {
      const at = /^#(\d+)$/.exec(part!)
      if (!at) return part!.replace(/^\((.*)\)$/, '$1')
      const text = s.lines[Number(at[1]) - 1]?.text ?? '#'
      return text.includes('#') ? `line ${at[1]}` : text
    }),
  )
  return [...new Set(found)]
}

/** Just this was left out in just these databases, and nothing of it was lost on the way. */
export const leftOut = (
  { sources }: { sources: { name: string; what: string }[] },
  deeds: Deeds,
): boolean => {
  const all = searchesOf(deeds).filter(
    (s) => leftOutIn(s).length && [...s.ran.values()].every((r) => wasSent(r)),
  )
  return (
    sources.length === all.length &&
    all.every((s) => sources.some((t) => t.name === s.name && t.what === listed(leftOutIn(s), 'or')))
  )
}

/** Every word that a run was to leave out stands in what was sent. */
function wasSent(run: object): boolean {
  const { text, sent } = run as { text: string; sent: string }
  const parts = text.split(' NOT ').slice(1)
  const words = parts.flatMap((p) => p.match(/[a-z]+/gi) ?? []).filter((w) => !/^(?:OR|AND|NOT)$/.test(w))
  return words.every((w) => new RegExp(`\\b${w}`, 'i').test(sent))
}

/** Something was done without a query in some database, as it was noted, on that day, and gave as much. */
export const withoutQuery = ({ name, deed, day, gave }: WithoutQuery, deeds: Deeds): boolean =>
  searchesOf(deeds).some(
    (s) =>
      (name === undefined || s.name === name) &&
      s.lines.some((l) => {
        const run = s.ran.get(l.id)
        return (
          run !== undefined &&
          l.described?.trim().replace(/\.$/, '') === deed &&
          run.hits === gave &&
          day.endsWith(run.at.slice(0, 4)) &&
          day.includes(` ${Number(run.at.slice(8, 10))} `)
        )
      }),
  )

/** Lines that took this over, changed so, were run in just these databases. */
export const takenOver = ({ names, what, name, changed }: TakenOverRead, deeds: Deeds): boolean =>
  sameNames(
    names,
    searchesOf(deeds).flatMap((s) =>
      ranLines(s).some(
        ({ line: { takenOver: t } }) =>
          t?.what === what && t.name.trim() === name && t.changed.trim().replace(/\.$/, '') === changed,
      )
        ? [s.name]
        : [],
    ),
  )
