import { demandsOf, leavesOf, type Part } from '../../tree'
import type { CheckContext, Judging } from '../check'

/** The terms of a concept that are in use. */
export const ownTerms = (c: CheckContext, conceptId: string) =>
  c.terms.filter((t) => t.conceptId === conceptId && t.status === 'in use')

/** Is it asked for as a heading, and not as the words of one where there is no vocabulary? */
export const isHeading = ({ at, losses }: Part): boolean =>
  (at.kind === 'heading' || at.kind === 'class') && !losses.some((l) => l.cause.code === 'no-vocabulary')

/** The leaves of a part, and of all else that the line which counts demands of the same concept. */
export const saidOf = (c: Judging, part: Part, concept: string): Part[] => {
  const demanded = c.search.root ? demandsOf(c.search.root) : []
  return [part, ...demanded.filter((d) => c.about.of(d) === concept)].flatMap(leavesOf)
}

/** What the line that counts demands, with the concept of each; `spare`: also lines of concepts that it does not ask for. */
export function demands(c: Judging, spare = false): { part: Part; concept: Judging['concepts'][number] }[] {
  const { root, roots, reached } = c.search
  const own = root ? demandsOf(root) : []
  const rest = spare
    ? roots.flatMap((r, i) => (r && !reached.has(i + 1) && r.line === i + 1 && r.kind !== 'and' ? [r] : []))
    : []
  return [...own, ...rest].flatMap((part) => {
    const id = c.about.of(part)
    const concept = c.concepts.find((k) => k.id === id)
    return concept && !part.whole ? [{ part, concept }] : []
  })
}
