import { or, parse, parseSound, print, type Expr } from '../../query'
import { termExpression, type PlanTerm } from './draft'
import type { LineLike } from '../lines/keys'
import { isFormOf, unitsOf, type Unit } from './units'

export interface Unused<T> {
  term: T
  /** A source whose strategy has lines, but none with this term. */
  sourceId: string
}

export interface Unplanned {
  sourceId: string
  /** The first line that has it. */
  lineId: string
  number: number
  kind: 'text' | 'heading' | 'class'
  /** Plain notation, or the label or code. */
  text: string
}

/**
 * The plan beside what the lines say: terms in use that no line of a source has, and words or headings in lines that
 * the plan does not know. A source without lines is not compared. With or without narrower, and as main focus, is the
 * same heading here; a text word serves every source, a heading its own. Where a source has no sign for any ending, a planned
 * word with one is there in its forms.
 */
export function planAgainstRun<T extends PlanTerm>(
  terms: readonly T[],
  strategies: Readonly<Record<string, readonly LineLike[]>>,
  of: (sourceId: string) => { hasVocabulary: boolean; truncates: boolean },
): { unused: Unused<T>[]; unplanned: Unplanned[] } {
  const unused: Unused<T>[] = []
  const unplanned: Unplanned[] = []
  const units = terms
    .filter((t) => t.status === 'in use')
    .map((term) => {
      const e = termExpression(term)
      return { term, units: e ? unitsOf(e) : [] }
    })
  for (const [sourceId, lines] of Object.entries(strategies)) {
    if (!lines.length) continue
    const { hasVocabulary, truncates } = of(sourceId)
    const said = new Map<string, Unplanned & { unit: Unit }>()
    lines.forEach((line, i) => {
      const { tree } = parse(line.text)
      for (const u of tree ? unitsOf(tree) : [])
        if (!said.has(u.key))
          said.set(u.key, { sourceId, lineId: line.id, number: i + 1, kind: u.kind, text: u.text, unit: u })
    })
    const planned = new Set<string>()
    for (const { term, units: own } of units) {
      const everywhere = term.kind === 'text' || term.kind === 'named'
      if (!everywhere && (term.sourceId !== sourceId || !hasVocabulary)) continue
      const forms = (u: Unit): string[] =>
        truncates ? [] : [...said].flatMap(([key, { unit }]) => (isFormOf(unit, u) ? [key] : []))
      for (const u of own) for (const key of [u.key, ...forms(u)]) planned.add(key)
      if (own.length && !own.every((u) => said.has(u.key) || forms(u).length)) unused.push({ term, sourceId })
    }
    for (const [key, { unit: _, ...there }] of said) if (!planned.has(key)) unplanned.push(there)
  }
  return { unused, unplanned }
}

/**
 * Where a planned term would be put: the first line of its concept that has words (or headings) of its own, with the
 * term joined to them by OR. Undefined where the concept has no such line; then it has to be drafted.
 */
export function placeTerm(
  term: PlanTerm,
  lines: readonly (LineLike & { conceptId?: string | undefined })[],
): { lineId: string; text: string } | undefined {
  const e = termExpression(term)
  if (!e) return undefined
  const isHeading = (x: Expr): boolean => x.kind === 'heading' || x.kind === 'class'
  const partsOf = (x: Expr): Expr[] => (x.kind === 'or' ? x.parts : [x])
  for (const line of lines) {
    const tree = line.conceptId === term.conceptId ? parseSound(line.text) : undefined
    if (!tree) continue
    if (term.kind === 'heading' || term.kind === 'class') {
      if (partsOf(tree).every(isHeading)) return { lineId: line.id, text: print(or(...partsOf(tree), e)) }
    } else if (term.kind === 'text' && tree.kind === 'fields' && tree.fields.includes('text'))
      return { lineId: line.id, text: print({ ...tree, of: or(...partsOf(tree.of), e) }) }
    else if (
      term.kind === 'named' &&
      tree.kind !== 'line' &&
      tree.kind !== 'lines' &&
      !partsOf(tree).every(isHeading)
    )
      return { lineId: line.id, text: print(or(...partsOf(tree), e)) }
  }
  return undefined
}

/**
 * The concept that an expression most likely stands for: the one whose planned terms it says most of. Undefined where
 * it says none, or as many of two concepts.
 */
export function likelyConcept(e: Expr, terms: readonly PlanTerm[]): string | undefined {
  const said = new Set(unitsOf(e).map((u) => u.key))
  const count = new Map<string, number>()
  for (const term of terms) {
    const own = termExpression(term)
    const hits = own ? unitsOf(own).filter((u) => said.has(u.key)).length : 0
    if (hits) count.set(term.conceptId, (count.get(term.conceptId) ?? 0) + hits)
  }
  const [first, second] = [...count].sort((a, b) => b[1] - a[1])
  return first && first[1] !== second?.[1] ? first[0] : undefined
}
