import { listed, nonEmpty, plural, thousands } from '../../base'
import { limitWords, numbersIn, referredLines, walk } from '../../query'
import { impossibleHits } from '../lines/bounds'
import { finalLine } from '../lines/keys'
import type { Remark, Rule } from './check'

const ELEMENT = 'Spelling, syntax and line numbers'

/** A line that cannot be read or run. */
export const brokenLine: Rule = (c) =>
  c.lines
    .filter((l) => l.described === undefined && (!l.tree || (c.searched && !l.docs)))
    .map((l): Remark => ({
      code: 'broken-line',
      element: ELEMENT,
      lineId: l.id,
      about: '',
      message: `Line ${l.number} cannot be run.`,
      why: 'What is wrong with it stands below the sheet; lines that need it cannot be run either.',
    }))

/** A reference to a line that is not above: it can mean nothing. */
export const wrongReference: Rule = (c) =>
  c.lines.flatMap((l): Remark[] => {
    const wrong = l.tree ? referredLines(l.tree).filter((n) => n < 1 || n >= l.number) : []
    return wrong.length
      ? [
          {
            code: 'wrong-reference',
            element: ELEMENT,
            lineId: l.id,
            about: wrong.join(),
            message: `Line ${l.number} refers to ${listed(wrong.map((n) => `#${n}`))}, which ${wrong.length === 1 ? 'does' : 'do'} not stand above it.`,
            why: 'A line can only be built on lines that were run before; a number may be mistyped.',
          },
        ]
      : []
  })

/** A line that finds nothing. */
export const deadLine: Rule = (c) =>
  c.lines
    .filter((l) => l.hits === 0)
    .map((l): Remark => {
      const limits = nonEmpty(l.limits)
      const below = l.tree ? referredLines(l.tree).map((n) => c.lines[n - 1]) : []
      const had = below.reduce((n, b) => Math.max(n, b?.hits ?? 0), 0)
      const base = { code: 'dead-line', element: ELEMENT, lineId: l.id, about: '' } as const
      // What it is built on finds something, so it is the limit that leaves nothing, not the spelling.
      if (limits && had)
        return {
          ...base,
          about: 'limit',
          message: `Line ${l.number} finds nothing: the limit to ${listed(limits.map(limitWords))} leaves none of ${thousands(had)}.`,
          why: 'The limit may be set too narrow, or named otherwise than the database has it.',
        }
      if (below.some((b) => b?.hits === 0))
        return {
          ...base,
          about: 'below',
          message: `Line ${l.number} finds nothing, since a line that it needs finds nothing.`,
          why: 'Mend the line that it is built on; this one follows.',
        }
      return {
        ...base,
        message: `Line ${l.number} finds nothing.`,
        why: 'A word may be misspelled, or a heading may not be used; joined with AND it empties everything.',
      }
    })

/** A line that no other needs, though it is not the last: it was meant to be joined, perhaps. */
export const unusedLine: Rule = (c) => {
  const used = new Set(c.lines.flatMap((l) => (l.tree ? referredLines(l.tree) : [])))
  const optional = new Set(c.concepts.filter((k) => !k.essential).map((k) => k.id))
  return c.lines
    .slice(0, -1)
    .filter(
      (l) => !used.has(l.number) && l.described === undefined && !(l.conceptId && optional.has(l.conceptId)),
    )
    .map((l): Remark => ({
      code: 'unused-line',
      element: ELEMENT,
      lineId: l.id,
      about: '',
      message: `No line uses line ${l.number}.`,
      why: 'It was run and counts for nothing; a number may be wrong in a line that joins.',
    }))
}

/** A line joined with OR that adds nothing to the others. */
export const addsNothing: Rule = (c) =>
  c.lines.flatMap((line): Remark[] => {
    if (line.tree?.kind !== 'lines' || line.tree.mode !== 'any') return []
    const parts = numbersIn(line.tree.ranges)
    if (parts.length < 2) return []
    return parts.flatMap((n): Remark[] => {
      const own = c.lines[n - 1]
      if (!own?.docs?.length) return []
      const others = new Set(parts.filter((m) => m !== n).flatMap((m) => [...(c.lines[m - 1]?.docs ?? [])]))
      if (own.docs.some((d) => !others.has(d))) return []
      return [
        {
          code: 'adds-nothing',
          element: ELEMENT,
          lineId: own.id,
          about: String(line.id),
          message: `Line ${n} adds nothing to line ${line.number}: the others find all of it.`,
          why: 'It does no harm; but a stranger will ask why it is there.',
        },
      ]
    })
  })

/** Hits that were typed in, or stood in a history, and that the lines below them make impossible. */
export const countImpossible: Rule = (c) =>
  c.searched
    ? []
    : c.lines.flatMap((line): Remark[] => {
        const said = impossibleHits(line, (n) => (n < line.number ? c.lines[n - 1]?.hits : undefined))
        return said
          ? [
              {
                code: 'count-impossible',
                element: ELEMENT,
                lineId: line.id,
                about: String(line.hits),
                message: `Line ${line.number} has ${plural(line.hits!, 'hit')}; by the lines it is built on it has ${said}.`,
                why: 'A count may be mistyped, or the lines were run at different times.',
              },
            ]
          : []
      })

/** A field that the source does not have. */
export const fieldMissing: Rule = (c) =>
  c.lines.flatMap((line): Remark[] => {
    const lost = line.losses.filter((l) => l.cause.code === 'field-missing' || l.cause.code === 'field-wider')
    if (!lost.length || !line.tree) return []
    const fields = nonEmpty([
      ...new Set([...walk(line.tree)].flatMap((e) => (e.kind === 'fields' ? e.fields : []))),
    ])
    // A name without a field in the line: what is lost is the place where the database would look for it.
    const what = fields
      ? `has no field for ${listed(fields)} (line ${line.number}); it`
      : `reads line ${line.number} otherwise: it`
    return [
      {
        code: 'field-missing',
        element: ELEMENT,
        lineId: line.id,
        about: fields?.join(',') ?? '',
        message: `${c.profile.name} ${what} searches its own fields instead.`,
        why: 'The line finds more than was meant there; the count is not to be compared with others.',
      },
    ]
  })

/** A last line that finds more than the source hands out. */
export const capExceeded: Rule = (c) => {
  const last = finalLine(c.lines)
  const { exported, shown } = c.profile.caps
  const most = exported ?? shown
  if (last?.hits === undefined || most === undefined || last.hits <= most) return []
  return [
    {
      code: 'cap',
      element: ELEMENT,
      lineId: last.id,
      about: '',
      message: `Line ${last.number} finds ${thousands(last.hits)}; ${c.profile.name} hands out ${thousands(most)}.`,
      why: `${plural(last.hits - most, 'record')} would never be seen. Split the line by years.`,
    },
  ]
}
