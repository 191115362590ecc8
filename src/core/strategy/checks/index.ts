import { drain, hasErrors } from '../../base'
import { finalNumber } from '../lines/keys'
import { referredLines } from '../../query'
import { ConceptEvidence, partsWithin, SearchTree, type Part } from '../tree'
import {
  REMARK_CLASSES,
  remarkKey,
  type CheckContext,
  type Finding,
  type Judging,
  type Remark,
} from './check'
import { RULES } from './rules'

export { alikeRemarks, type AlikeRemarks } from './alike'
export {
  ELEMENTS,
  REMARK_CLASSES,
  remarkKey,
  type CheckContext,
  type CheckedLine,
  type Element,
  type Fix,
  type Judging,
  type Remark,
  type RemarkClass,
  type Rule,
} from './check'
export { RULES } from './rules'

/** The search that these lines build, with what its parts are about. */
export function judging(context: CheckContext): Judging {
  const { find, lossesOf, limited, searched, index, lines } = context
  const last = finalNumber(lines)
  const counting = lines.find((l) => l.id === context.countingId)?.number ?? joinedLast(lines, last)
  const search = new SearchTree(lines, counting, {
    size: index.size,
    ask: (said) => ({ docs: searched ? find(said) : undefined, losses: lossesOf(said) }),
    limited,
  })
  // A line keeps the letter of a concept that has left the plan: it is of none then.
  const planned = new Set(context.concepts.map((k) => k.id))
  const about = new ConceptEvidence(context, context.thesaurus, (line) => {
    const id = context.lines[line - 1]?.conceptId
    return id !== undefined && planned.has(id) ? id : undefined
  })
  const triedLast = counting === last || context.countingId ? undefined : lines[last - 1]
  return { ...context, search, about, triedLast }
}

/**
 * The line that is judged where nobody chose one: the last that joins others. One that stands behind it and joins nothing was
 * tried, as a rule. Where no line joins any, the last one.
 */
function joinedLast(lines: CheckContext['lines'], last: number): number {
  const own = lines[last - 1]?.tree
  if (!own || referredLines(own).length) return last
  const used = new Set(lines.flatMap((l) => (l.tree ? referredLines(l.tree) : [])))
  const end = lines.findLast((l) => l.tree && !used.has(l.number) && referredLines(l.tree).length)
  return end?.number ?? last
}

/**
 * What a librarian would remark on a strategy: faults of form, then loss and noise by what they cost, then what could be tidied.
 * No lines, no remarks on lines. A remark explains its parts: no other speaks of what follows from them. A change is only
 * offered for a line that is understood whole, for of another it would drop what it does not know.
 */
export const checkStrategy = (context: CheckContext): Remark[] => drain(checkInSteps(judging(context)))

/** The same, one rule after the other, so that the caller may go on to something else or stop. */
export function* checkInSteps(c: Judging): Generator<undefined, Remark[]> {
  const sound = new Set(c.lines.flatMap((l) => (l.tree && !hasErrors(l.problems) ? [l.id] : [])))
  const owned = new Map<Part, Finding>()
  const found = new Map<string, Finding>()
  for (const rule of RULES) {
    yield undefined
    for (const finding of rule(c)) {
      const { owns = [], above } = finding
      if (above && [...partsWithin(above)].some((p) => owned.has(p))) continue
      // Two rules that explain the same part say one thing: the first of them is the cause.
      if (owns.length && owns.every((p) => owned.has(p))) continue
      for (const part of owns) owned.set(part, finding)
      const key = remarkKey(finding)
      if (!found.has(key)) found.set(key, finding)
    }
  }
  return [...found.values()]
    .map(({ owns: _owns, above: _above, ...remark }): Remark => ({
      ...remark,
      fixes: remark.fixes.filter((f) => sound.has(f.lineId)),
    }))
    .sort(
      (a, b) =>
        REMARK_CLASSES.indexOf(a.kind) - REMARK_CLASSES.indexOf(b.kind) ||
        (a.kind === 'gain'
          ? (b.gain?.wanted ?? 0) - (a.gain?.wanted ?? 0) || (b.gain?.hits ?? 0) - (a.gain?.hits ?? 0)
          : 0),
    )
}
