import { listed, nonEmpty, plural, thousands } from '../../../base'
import { limitWords, referredLines } from '../../../query'
import { impossibleHits } from '../../lines/bounds'
import { partsWithin, type Part } from '../../tree'
import { withMore } from '../change'
import type { Finding, Rule } from '../check'

const ELEMENT = 'Spelling, syntax and line numbers'

/** A line that cannot be read or run. */
export const brokenLine: Rule = (c) =>
  c.lines
    .filter((l) => l.described === undefined && (!l.tree || (c.searched && !l.docs)))
    .map((l): Finding => ({
      code: 'broken-line',
      kind: 'form',
      element: ELEMENT,
      lineId: l.id,
      about: '',
      message: `Line ${l.number} cannot be run.`,
      why: 'What is wrong with it stands below the sheet; lines that need it cannot be run either.',
      fixes: [],
    }))

/** A reference to a line that is not above: it can mean nothing. */
export const wrongReference: Rule = (c) =>
  c.lines.flatMap((l): Finding[] => {
    const wrong = l.tree ? referredLines(l.tree).filter((n) => n < 1 || n >= l.number) : []
    return wrong.length
      ? [
          {
            code: 'wrong-reference',
            kind: 'form',
            element: ELEMENT,
            lineId: l.id,
            about: wrong.join(),
            message: `Line ${l.number} refers to ${listed(wrong.map((n) => `#${n}`))}, which ${wrong.length === 1 ? 'does' : 'do'} not stand above it.`,
            why: 'A line can only be built on lines that were run before; a number may be mistyped.',
            fixes: [],
          },
        ]
      : []
  })

/** A line that finds nothing; where a part of it does, that part is told and not the line. */
export const deadLine: Rule = (c) =>
  c.lines.flatMap((l): Finding[] => {
    const root = c.search.roots[l.number - 1]
    if (l.hits !== 0) return []
    if (root && [...partsWithin(root)].some((p) => p.kind === 'leaf' && p.docs?.length === 0)) return []
    const limits = nonEmpty(l.limits)
    const below = l.tree ? referredLines(l.tree).map((n) => c.lines[n - 1]) : []
    const had = below.reduce((n, b) => Math.max(n, b?.hits ?? 0), 0)
    const base = {
      ...({ code: 'dead-line', kind: 'form', element: ELEMENT, lineId: l.id, about: '', fixes: [] } as const),
      ...(root ? { above: root } : {}),
    }
    // What it is built on finds something, so it is the limit that leaves nothing, not the spelling.
    if (limits && had)
      return [
        {
          ...base,
          about: 'limit',
          message: `Line ${l.number} finds nothing: the limit to ${listed(limits.map(limitWords))} leaves none of ${thousands(had)}.`,
          why: 'The limit may be set too narrow, or named otherwise than the database has it.',
        },
      ]
    if (below.some((b) => b?.hits === 0))
      return [
        {
          ...base,
          about: 'below',
          message: `Line ${l.number} finds nothing, since a line that it needs finds nothing.`,
          why: 'Mend the line that it is built on; this one follows.',
        },
      ]
    return [
      {
        ...base,
        message: `Line ${l.number} finds nothing.`,
        why: 'Each of its parts may find something, and no record has them all; or a word is misspelled.',
      },
    ]
  })

/** A line that stands last and joins nothing: by its place it counts, and it was only tried, perhaps. */
export const triedLast: Rule = (c) =>
  c.triedLast
    ? [
        {
          code: 'tried-last',
          kind: 'form',
          element: ELEMENT,
          lineId: c.triedLast.id,
          about: '',
          message: `Line ${c.triedLast.number} stands last, so that it counts, and it joins none of the others; line ${c.search.counting} was judged.`,
          why: 'What the search found is what its last line says, unless another is chosen: say which line counts.',
          fixes: [],
        },
      ]
    : []

/** A line before the one that counts that no other needs: it was meant to be joined, perhaps. */
export const unusedLine: Rule = (c) => {
  const used = new Set(c.lines.flatMap((l) => (l.tree ? referredLines(l.tree) : [])))
  const optional = new Set(c.concepts.filter((k) => !k.essential).map((k) => k.id))
  return c.lines.slice(0, Math.max(0, c.search.counting - 1)).flatMap((l): Finding[] => {
    // What joins other lines and was left behind was tried; its lines are asked for elsewhere, or are told themselves.
    if (l.tree && referredLines(l.tree).length) return []
    const root = c.search.roots[l.number - 1]
    const concept = root ? c.about.of(root) : l.conceptId
    if (used.has(l.number) || l.described !== undefined || (concept && optional.has(concept))) return []
    const same = c.lines.find(
      (o) =>
        concept !== undefined &&
        c.search.reached.has(o.number) &&
        o.number > l.number &&
        c.search.roots[o.number - 1]?.kind === 'or' &&
        c.about.of(c.search.roots[o.number - 1]!) === concept,
    )
    return [
      {
        code: 'unused-line',
        kind: 'form',
        element: ELEMENT,
        lineId: l.id,
        about: '',
        message: `No line uses line ${l.number}.`,
        why: 'It counts for nothing; a number may be wrong in a line that joins.',
        fixes:
          same && !isWithin(root, c.search.blockOf(c.search.roots[same.number - 1]!))
            ? withMore(c, same.number, [{ kind: 'line', number: l.number }], `Join it in line ${same.number}`)
            : [],
      },
    ]
  })
}

/** Hits that were typed in, or stood in a history, and that the lines below them make impossible. */
export const countImpossible: Rule = (c) =>
  c.searched
    ? []
    : c.lines.flatMap((line): Finding[] => {
        const said = impossibleHits(line, (n) => (n < line.number ? c.lines[n - 1]?.hits : undefined))
        return said
          ? [
              {
                code: 'count-impossible',
                kind: 'form',
                element: ELEMENT,
                lineId: line.id,
                about: String(line.hits),
                message: `Line ${line.number} has ${plural(line.hits!, 'hit')}; by the lines it is built on it has ${said}.`,
                why: 'A count may be mistyped, or the lines were run at different times.',
                fixes: [],
              },
            ]
          : []
      })

/** A counting line that finds more than the source hands out. */
export const capExceeded: Rule = (c) => {
  const last = c.lines[c.search.counting - 1]
  const { exported, shown } = c.profile.caps
  const most = exported ?? shown
  if (last?.hits === undefined || most === undefined || last.hits <= most) return []
  return [
    {
      code: 'cap',
      kind: 'form',
      element: ELEMENT,
      lineId: last.id,
      about: '',
      message: `Line ${last.number} finds ${thousands(last.hits)}; ${c.profile.name} hands out ${thousands(most)}.`,
      why: `${plural(last.hits - most, 'record')} would never be seen. Split the line by years.`,
      fixes: [],
    },
  ]
}

/** Does the other line find all of it already? */
function isWithin(part: Part | undefined, other: Part | undefined): boolean {
  if (!part?.docs || !other?.docs) return false
  const all = new Set(other.docs)
  return part.docs.every((d) => all.has(d))
}
