import { meaningOf, parse, referredLines, walk } from '../../query'
import type { DraftLine } from './draft'
import { renumberText } from '../lines/references'

/** A line of a strategy as redrafting sees it; `drafted` means untouched since it was drafted. */
export interface OwnLine extends DraftLine {
  id: string
  note: string
  drafted: boolean
}

export type RedraftChange =
  | { kind: 'same' | 'added'; line: OwnLine }
  /** Drafted and untouched: the new draft takes its place. */
  | { kind: 'changed'; line: OwnLine; was: string }
  /** Written by hand: it stays, and what would have been drafted is shown beside it. */
  | { kind: 'kept'; line: OwnLine; drafted: string | undefined }
  /** Drafted and untouched, and the plan no longer has it. */
  | { kind: 'gone'; line: OwnLine }

/** What a drafted line is for: the words, headings or join of a concept, the join of all, or a limit. */
function roleOf(line: DraftLine): string {
  const kinds = line.limits.map((l) => l.kind)
  if (kinds.length) return `limit ${kinds.join(' ')}`
  const { tree } = parse(line.text)
  if (!tree) return `text ${line.conceptId ?? ''}`
  // A join by OR of no one concept is one of alternatives.
  if (tree.kind === 'lines') return tree.mode === 'any' ? `any ${line.conceptId ?? ''}` : 'all'
  if (tree.kind === 'line') return `line ${line.conceptId ?? ''}`
  const headings = [...walk(tree)].some((e) => e.kind === 'heading' || e.kind === 'class')
  const words = [...walk(tree)].some((e) => e.kind === 'word' || e.kind === 'phrase')
  return `${headings && !words ? 'headings' : 'text'} ${line.conceptId ?? ''}`
}

/**
 * Draws the strategy anew from the plan. Lines untouched since they were drafted follow the plan; lines written or
 * edited by hand stay as they are, with everything they refer to, and their references follow. Gives the new lines and
 * what happened to each, in order, those that go last.
 */
export function redraft(
  current: readonly OwnLine[],
  drafted: readonly DraftLine[],
  newId: () => string,
): { lines: OwnLine[]; changes: RedraftChange[] } {
  const ids = drafted.map(() => newId())
  const asItIs = new Set(current.filter((l) => !l.drafted).map((l) => l.id))
  // A line that stays may refer to one that follows the plan, and that one in the plan to the first: then it stays too.
  for (;;) {
    const parts = arrange(current, drafted, ids, asItIs)
    const ordered = inOrder(parts)
    if (Array.isArray(ordered)) return describe(current, ordered)
    asItIs.add(ordered.ring)
  }
}

/** What a new line is made of; its references as ids. */
interface Part {
  id: string
  own: OwnLine | undefined
  draft: DraftLine | undefined
  keep: boolean
  refs: string[]
  /** The number that a reference in its text now means; a draft's text counts in the draft, an own one in the present lines. */
  idOf: (number: number) => string | undefined
  /** The same for the text that was drafted for a line that is kept. */
  draftIdOf: (number: number) => string | undefined
}

function refsOf(text: string, idOf: (number: number) => string | undefined): string[] {
  const { tree } = parse(text)
  return tree ? referredLines(tree).flatMap((n) => idOf(n) ?? []) : []
}

function arrange(
  current: readonly OwnLine[],
  drafted: readonly DraftLine[],
  newIds: readonly string[],
  asItIs: ReadonlySet<string>,
): Part[] {
  const left = new Map(current.map((l) => [l.id, l]))
  const idOfOwn = (n: number): string | undefined => current[n - 1]?.id
  const draftIds: string[] = []
  const idOfDraft = (n: number): string | undefined => draftIds[n - 1]
  const part = (id: string, own: OwnLine | undefined, draft: DraftLine | undefined): Part => {
    const keep = own !== undefined && (draft === undefined || asItIs.has(id))
    const idOf = keep ? idOfOwn : idOfDraft
    return { id, own, draft, keep, refs: [], idOf, draftIdOf: idOfDraft }
  }
  const parts = drafted.map((draft, i) => {
    const own = [...left.values()].find((l) => roleOf(l) === roleOf(draft))
    if (own) left.delete(own.id)
    draftIds.push(own?.id ?? newIds[i]!)
    return part(draftIds[i]!, own, draft)
  })
  // Lines that the plan does not know stay if they were made by hand, and so does whatever a line that stays refers to.
  const staying = new Set([...left.keys()].filter((id) => asItIs.has(id)))
  const open = [...parts.filter((p) => p.keep).map((p) => p.own!), ...[...staying].map((id) => left.get(id)!)]
  for (let line = open.pop(); line; line = open.pop())
    for (const id of refsOf(line.text, idOfOwn)) {
      const other = left.get(id)
      if (!other || staying.has(id)) continue
      staying.add(id)
      open.push(other)
    }
  current.forEach((line, at) => {
    if (!staying.has(line.id)) return
    const above = current[at - 1]?.id
    parts.splice(parts.findIndex((p) => p.id === above) + 1, 0, part(line.id, line, undefined))
  })
  for (const p of parts) p.refs = refsOf(p.keep ? p.own!.text : p.draft!.text, p.idOf)
  return parts
}

/**
 * The same order, but that every line stands below what it refers to. Where lines refer to each other in a ring: one
 * of them that follows the plan and has a text of its own to go back to.
 */
function inOrder(parts: readonly Part[]): Part[] | { ring: string } {
  const byId = new Map(parts.map((p) => [p.id, p]))
  const out: Part[] = []
  const state = new Map<string, 'open' | 'placed'>()
  let ring: string | undefined
  const place = (part: Part, path: readonly Part[]): void => {
    if (state.get(part.id) === 'placed' || ring !== undefined) return
    if (state.get(part.id) === 'open') {
      const loop = path.slice(path.findIndex((p) => p.id === part.id))
      ring = loop.find((p) => !p.keep && p.own)?.id
      return
    }
    state.set(part.id, 'open')
    for (const id of part.refs) {
      const below = byId.get(id)
      if (below) place(below, [...path, part])
    }
    state.set(part.id, 'placed')
    out.push(part)
  }
  for (const part of parts) place(part, [])
  return ring === undefined ? out : { ring }
}

function describe(
  current: readonly OwnLine[],
  parts: readonly Part[],
): { lines: OwnLine[]; changes: RedraftChange[] } {
  const numberOf = new Map(parts.map((p, i) => [p.id, i + 1]))
  const changes: RedraftChange[] = []
  const lines = parts.map(({ id, own, draft, keep, idOf, draftIdOf }): OwnLine => {
    const written = (text: string, of: (n: number) => string | undefined): string =>
      renumberText(text, (n) => numberOf.get(of(n) ?? ''))
    const wanted = draft && written(draft.text, draftIdOf)
    const was = own && written(own.text, (n) => current[n - 1]?.id)
    if (keep) {
      const line = { ...own!, text: written(own!.text, idOf) }
      changes.push({ kind: 'kept', line, drafted: wanted === line.text ? undefined : wanted })
      return line
    }
    const line: OwnLine = { ...draft!, id, text: wanted!, note: own?.note ?? '', drafted: true }
    if (was === undefined) changes.push({ kind: 'added', line })
    else changes.push(sameText(was, line.text) ? { kind: 'same', line } : { kind: 'changed', line, was })
    return line
  })
  for (const line of current) if (!numberOf.has(line.id)) changes.push({ kind: 'gone', line })
  return { lines, changes }
}

function sameText(a: string, b: string): boolean {
  const [x, y] = [parse(a).tree, parse(b).tree]
  return x && y ? meaningOf(x) === meaningOf(y) : a === b
}
