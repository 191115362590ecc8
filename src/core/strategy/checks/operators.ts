import { plural } from '../../base'
import { parse, print, walk, withoutPlaces } from '../../query'
import type { Remark, Rule } from './check'

const ELEMENT = 'Boolean and proximity operators'

/** Operators mixed on one level without brackets: databases read such a line differently. */
export const mixedOperators: Rule = (c) =>
  c.lines.flatMap((line): Remark[] => {
    const { tree, problems } = parse(line.text)
    const mixed = problems.find((p) => p.code === 'mixed')
    if (!mixed || !tree) return []
    return [
      {
        code: 'mixed-operators',
        element: ELEMENT,
        lineId: line.id,
        about: '',
        message: `Line ${line.number} mixes operators without brackets.`,
        why: 'Some databases read it from left to right, others by rank; with brackets all read the same.',
        fix: { label: 'Add the brackets', lineId: line.id, text: print(withoutPlaces(tree)) },
      },
    ]
  })

/** A NOT that throws away wanted records: those that speak of both things. */
export const notLosesWanted: Rule = (c) =>
  c.lines.flatMap((line): Remark[] => {
    if (!line.tree) return []
    return [...walk(line.tree)].flatMap((e): Remark[] => {
      if (e.kind !== 'not') return []
      const [first, ...rest] = e.parts
      const kept = new Set(c.find(e))
      const lost = [...c.find(first!)].filter((d) => !kept.has(d) && c.wanted.has(d))
      if (!lost.length) return []
      return [
        {
          code: 'not-loses',
          element: ELEMENT,
          lineId: line.id,
          about: print(withoutPlaces(e)),
          message: `NOT in line ${line.number} throws away ${plural(lost.length, 'wanted record')} that ${lost.length === 1 ? 'speaks' : 'speak'} of both.`,
          why: 'x NOT y loses every record that speaks of both; ask for what is wanted instead.',
          ...(e === line.tree
            ? {
                fix: {
                  label: `Leave out NOT ${rest.map(print).join(' NOT ')}`,
                  lineId: line.id,
                  text: print(withoutPlaces(first!)),
                },
              }
            : {}),
        },
      ]
    })
  })

const NARROW = 1
const WIDE = 15

/** A distance at which nearness is hardly more than a phrase, or hardly less than AND (common practice). */
export const nearnessExtreme: Rule = (c) =>
  c.lines.flatMap((line): Remark[] =>
    line.tree
      ? [...walk(line.tree)].flatMap((e): Remark[] => {
          if (e.kind !== 'near' || (e.distance > NARROW && e.distance < WIDE)) return []
          const wide = e.distance >= WIDE
          return [
            {
              code: wide ? 'near-wide' : 'near-narrow',
              element: ELEMENT,
              lineId: line.id,
              about: print(withoutPlaces(e)),
              message: `${print(withoutPlaces(e))} in line ${line.number} is ${wide ? 'hardly less than AND' : 'hardly more than a phrase'}.`,
              why: wide
                ? 'Words that far apart stand in different sentences; three to eight between is usual.'
                : 'An article or an adjective between the two is missed; three to eight between is usual.',
            },
          ]
        })
      : [],
  )
