import {
  inFields,
  joined,
  lineRef,
  mapChildren,
  numbersIn,
  parse,
  meaningOf,
  print,
  walk,
  withoutPlaces,
  type Expr,
} from '../../query'
import { toRanges } from '../lines/references'
import type { Part } from '../tree'
import type { Fix, Judging } from './check'

/** An expression as it is shown and compared: its words in plain notation. The text of a line is printed as it was typed. */
export const plain = (e: Expr): string => meaningOf(e)

/**
 * What is offered in words, as an expression; undefined where it cannot be read. What a source takes for keywords is looked for
 * wherever authors write.
 */
export function readPlain(text: string): Expr | undefined {
  const { tree, problems } = parse(text)
  if (!tree || problems.some((p) => p.severity === 'error')) return undefined
  const e = withoutPlaces(tree)
  return e.kind === 'fields' && e.fields.join() === 'keywords' ? inFields(['text'], e.of) : e
}

/** The tree with one of its own nodes replaced; an OR that takes the place of a part of an OR becomes part of it. */
export function put(tree: Expr, node: Expr, by: Expr): Expr {
  if (tree === node) return by
  const changed = mapChildren(tree, (part) => put(part, node, by))
  if (changed.kind !== 'or' || by.kind !== 'or' || !changed.parts.includes(by)) return changed
  return { ...changed, parts: changed.parts.flatMap((p) => (p === by ? by.parts : [p])) }
}

const LEAVES: readonly Expr['kind'][] = ['word', 'phrase', 'near', 'heading', 'class']

/** The change of a line that puts `by` where `at` stands; a word or heading wherever the line says it. */
export function fixAt(c: Judging, line: number, at: Expr, by: Expr, label: string): Fix[] {
  const own = c.lines[line - 1]
  if (!own?.tree) return []
  const said = LEAVES.includes(at.kind) ? plain(at) : undefined
  const nodes = [...walk(own.tree)].filter((e) => e === at || (e.kind === at.kind && plain(e) === said))
  const tree = nodes.reduce((all, node) => put(all, node, by), own.tree)
  return [{ label, lineId: own.id, text: print(tree) }]
}

/** What stands where a part joins others, with some of these left out; undefined where nothing would be left. */
export function leftOut(joining: Part, gone: readonly Part[]): Expr | undefined {
  const { at, parts } = joining
  const kept = parts.flatMap((p, i) => (gone.includes(p) ? [] : [i]))
  if (!kept.length || kept.length === parts.length) return undefined
  if (at.kind === 'lines') {
    const numbers = numbersIn(at.ranges)
    if (numbers.length !== parts.length) return undefined
    const left = kept.map((i) => numbers[i]!)
    return left.length === 1 ? lineRef(left[0]!) : { ...at, ranges: toRanges(left) }
  }
  if (at.kind !== 'or' && at.kind !== 'and' && at.kind !== 'not') return undefined
  if (at.kind === 'not' && kept[0] !== 0) return undefined
  return joined(
    at.kind,
    kept.map((i) => at.parts[i]!),
  )
}

/** The expressions that stand for the parts of what joins them: parts of the line, or references to other lines. */
export function writtenParts({ at, parts }: Part): Expr[] | undefined {
  if (at.kind === 'lines') {
    const numbers = numbersIn(at.ranges)
    return numbers.length === parts.length ? numbers.map(lineRef) : undefined
  }
  return at.kind === 'or' || at.kind === 'and' || at.kind === 'not' ? at.parts : undefined
}

/** A line with words joined to its own by OR, among those in title, abstract and keywords where there are such. */
export function withWords(c: Judging, line: number, words: readonly Expr[], label: string): Fix[] {
  const own = c.lines[line - 1]
  if (own?.tree?.kind !== 'fields' || !own.tree.fields.includes('text'))
    return withMore(c, line, [inFields(['text'], joined('or', [...words]))], label)
  const parts = own.tree.of.kind === 'or' ? own.tree.of.parts : [own.tree.of]
  return [{ label, lineId: own.id, text: print({ ...own.tree, of: joined('or', [...parts, ...words]) }) }]
}

/** A line with an expression joined to it by OR. */
export function withMore(c: Judging, line: number, more: readonly Expr[], label: string): Fix[] {
  const own = c.lines[line - 1]
  if (!own?.tree) return []
  const parts = own.tree.kind === 'or' ? own.tree.parts : [own.tree]
  return [{ label, lineId: own.id, text: print(joined('or', [...parts, ...more])) }]
}
