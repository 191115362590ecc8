import type { Profile } from '../../profile'
import { mapChildren, parseSound, print, withoutPlaces, type Expr, type LimitValue } from '../../query'
import type { Remark } from '../checks'
import type { PlanTerm } from '../draft/draft'
import { finalNumber, type LineLike } from '../lines/keys'

export interface StepLine extends LineLike {
  conceptId?: string | undefined
}

export interface StepConcept {
  id: string
  letter: string
  name: string
  essential: boolean
}

/** A word or heading that good records have and the plan has not. */
export interface Offered {
  conceptId: string
  kind: 'text' | 'heading'
  /** Plain notation, or the heading's label. */
  text: string
}

/** What the makers of steps look at. */
export interface StepContext {
  concepts: readonly StepConcept[]
  lines: readonly StepLine[]
  profile: Profile
  /** Planned limits. */
  limits: readonly LimitValue[]
  /** Planned terms in use that can be asked here. */
  terms: readonly PlanTerm[]
  offers: readonly Offered[]
  /** Remarks that would bring or save records, with their changes. */
  remarks?: readonly Pick<Remark, 'code' | 'why' | 'conceptId' | 'fixes' | 'gain'>[]
}

/** One thing that could be done, with the strategy as it would stand then. New lines have ids that begin with "new-". */
export interface Step {
  code: string
  direction: 'fewer' | 'more'
  label: string
  why: string
  conceptId?: string | undefined
  lines: StepLine[]
}

export type StepMaker = (context: StepContext) => Step[]

/** What a line says; undefined where it says nothing, or where part of it is not understood and would be lost in a change. */
export const treeOf = (line: StepLine): Expr | undefined =>
  line.described === undefined ? parseSound(line.text) : undefined

/** The strategy with one line's text changed; undefined where nothing changes. */
export function withText(
  lines: readonly StepLine[],
  change: (line: StepLine, tree: Expr) => Expr | undefined,
): StepLine[] | undefined {
  let changed = false
  const after = lines.map((line) => {
    const tree = treeOf(line)
    const next = tree && change(line, withoutPlaces(tree))
    if (!next) return line
    const text = print(next)
    if (text === print(tree)) return line
    changed = true
    return { ...line, text }
  })
  return changed ? after : undefined
}

/** The lines that join concepts with AND, by number: those whose parts are lines of more than one concept. */
export function joiningLines(lines: readonly StepLine[]): { number: number; tree: Expr; parts: number[] }[] {
  return lines.flatMap((line, i) => {
    const tree = treeOf(line)
    if (!tree) return []
    const parts =
      tree.kind === 'lines' && tree.mode === 'all'
        ? tree.ranges.flatMap((r) => Array.from({ length: r.to - r.from + 1 }, (_, k) => r.from + k))
        : tree.kind === 'and' && tree.parts.every((p) => p.kind === 'line')
          ? tree.parts.map((p) => (p.kind === 'line' ? p.number : 0))
          : []
    return parts.length > 1 ? [{ number: i + 1, tree, parts }] : []
  })
}

/** A new line behind the last one that has a text. */
export function appended(
  lines: readonly StepLine[],
  text: string,
  limits: readonly LimitValue[],
): StepLine[] {
  const at = finalNumber(lines)
  return [...lines.slice(0, at), { id: `new-${at + 1}`, text, limits }, ...lines.slice(at)]
}

/** The same change on all lines of one concept after the other; `{c}` in the label stands for the concept. */
export function perConcept(
  { lines, concepts }: StepContext,
  change: (e: Expr) => Expr,
  about: Pick<Step, 'code' | 'direction' | 'label' | 'why'>,
): Step[] {
  return concepts.flatMap((c): Step[] => {
    const after = withText(lines, (line, tree) => (line.conceptId === c.id ? change(tree) : undefined))
    if (!after) return []
    return [
      {
        ...about,
        label: about.label.replace('{c}', `${c.letter}, ${c.name},`),
        conceptId: c.id,
        lines: after,
      },
    ]
  })
}

/** A change on all headings of an expression. */
export const onHeadings = (change: (h: Extract<Expr, { kind: 'heading' }>) => Expr): ((e: Expr) => Expr) => {
  const go = (e: Expr): Expr => (e.kind === 'heading' ? change(e) : mapChildren(e, go))
  return go
}
