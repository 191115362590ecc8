import { foldLabel, listed, plural } from '../../base'
import { mapChildren, print, walk, withoutPlaces, type Expr, type HeadingRef } from '../../query'
import type { CheckContext, CheckedLine, Remark, Rule } from './check'

const ELEMENT = 'Subject headings'

function eachHeading(c: CheckContext, rule: (line: CheckedLine, e: HeadingRef) => Remark[]): Remark[] {
  return c.lines.flatMap((line) =>
    line.tree ? [...walk(line.tree)].flatMap((e) => (e.kind === 'heading' ? rule(line, e) : [])) : [],
  )
}

const withHeading = (line: CheckedLine, from: HeadingRef, to: HeadingRef): string => {
  const change = (e: Expr): Expr =>
    e.kind === 'heading' && e.label === from.label && e.below === from.below && e.main === from.main
      ? to
      : mapChildren(e, change)
  return print(withoutPlaces(change(line.tree!)))
}

/** A heading that is only an entry term, or that the vocabulary does not have. */
export const headingUnknown: Rule = (c) =>
  eachHeading(c, (line, e) => {
    if (!c.thesaurus || c.thesaurus.byLabel(e.label)) return []
    const [use] = c.thesaurus.byEntryTerm(e.label)
    const like = use ?? c.thesaurus.lookUp(e.label, 1)[0]?.heading
    return [
      {
        code: use ? 'entry-term' : 'heading-unknown',
        element: ELEMENT,
        lineId: line.id,
        about: e.label,
        message: use
          ? `“${e.label}” in line ${line.number} is an entry term; the heading is “${use.label}”.`
          : `There is no heading “${e.label}” in this vocabulary (line ${line.number}).`,
        why: 'Records are indexed with headings only; anything else finds nothing.',
        ...(like
          ? {
              fix: {
                label: `Use “${like.label}”`,
                lineId: line.id,
                text: withHeading(line, e, { ...e, label: like.label }),
              },
            }
          : {}),
      },
    ]
  })

/** A heading taken alone although it has narrower ones that would bring records. */
export const narrowerForgotten: Rule = (c) =>
  eachHeading(c, (line, e) => {
    const heading = c.thesaurus?.byLabel(e.label)
    if (!heading?.narrower.length || e.below) return []
    const alone = c.find({ ...e, below: false }).length
    const below = c.find({ ...e, below: true }).length
    if (c.searched && below <= alone) return []
    return [
      {
        code: 'narrower-forgotten',
        element: ELEMENT,
        lineId: line.id,
        about: e.label,
        message: `“${heading.label}” in line ${line.number} is taken alone; ${c.searched ? `its narrower headings would add ${plural(below - alone, 'record')}` : `${plural(heading.narrower.length, 'narrower heading is', 'narrower headings are')} left out`}.`,
        why: 'Indexers use the narrowest heading that fits; the broader one alone leaves those records out.',
        fix: {
          label: 'Take it with narrower',
          lineId: line.id,
          text: withHeading(line, e, { ...e, below: true }),
        },
      },
    ]
  })

/** As many records as a related heading has to share with the wanted ones to be worth a word. */
const WORTH = 1

/** A heading beside one that is asked for, not below it, that wanted records carry and the line does not. */
export const relatedMissed: Rule = (c) => {
  const asked = new Set<string>()
  for (const line of c.lines)
    if (line.tree)
      for (const e of walk(line.tree))
        if (e.kind === 'heading')
          for (const l of c.thesaurus?.foldedLabels(e.label, e.below) ?? []) asked.add(l)
  const told = new Set<string>()
  return eachHeading(c, (line, e) => {
    const heading = c.thesaurus?.byLabel(e.label)
    if (!heading || !line.docs) return []
    const missed = c.thesaurus!.all(heading.related).filter((r) => {
      const folded = foldLabel(r.label)
      if (asked.has(folded) || told.has(folded)) return false
      const has = new Set(line.docs)
      const brings = [...c.index.headingDocs([folded], false)].filter((d) => c.wanted.has(d) && !has.has(d))
      if (brings.length < WORTH) return false
      told.add(folded)
      return true
    })
    if (!missed.length) return []
    return [
      {
        code: 'related-missed',
        element: ELEMENT,
        lineId: line.id,
        about: missed.map((m) => m.label).join(', '),
        message: `Beside “${heading.label}”, not below it: ${listed(missed.map((m) => `“${m.label}”`))}. Wanted records carry ${missed.length === 1 ? 'it' : 'them'}, and line ${line.number} misses them.`,
        why: 'A related heading is not taken along by “with narrower”.',
        fix: {
          label: `Add ${missed.length === 1 ? 'it' : 'them'} to line ${line.number}`,
          lineId: line.id,
          text: print({
            kind: 'or',
            parts: [
              ...(line.tree!.kind === 'or' ? line.tree!.parts : [line.tree!]).map(withoutPlaces),
              ...missed.map((m): Expr => ({ kind: 'heading', label: m.label, below: false, main: false })),
            ],
          }),
        },
      },
    ]
  })
}
