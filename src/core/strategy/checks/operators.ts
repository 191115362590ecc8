import { listed, plural } from '../../base'
import { mapChildren, parse, print, walk, withoutPlaces, type Expr } from '../../query'
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

const OPERATORS = ['and', 'or', 'not'] as const

/** An operator in small letters, where the source counts only capitals: it is searched as a word. */
export const smallOperators: Rule = (c) => {
  if (!c.profile.operators.capitals) return []
  const signs = new Map(
    OPERATORS.flatMap((op) => (c.profile.operators[op] ?? []).map((s) => [s.toLowerCase(), op])),
  )
  const operatorOf = (e: Expr): (typeof OPERATORS)[number] | undefined =>
    e.kind === 'word'
      ? signs.get(e.text.toLowerCase())
      : e.kind === 'phrase' && e.words.length === 1
        ? signs.get(e.words[0]!.toLowerCase())
        : undefined
  const joined = (e: Expr): Expr => {
    const inner = mapChildren(e, joined)
    if (inner.kind !== 'and') return inner
    const rest = inner.parts.filter((p) => !operatorOf(p))
    const said = new Set(inner.parts.flatMap((p) => operatorOf(p) ?? []))
    const [op] = said
    if (!op || said.size > 1 || rest.length < 2) return inner
    return { kind: op, parts: rest }
  }
  return c.lines.flatMap((line): Remark[] => {
    if (!line.tree) return []
    const small = [...walk(line.tree)].filter((e) => operatorOf(e))
    if (!small.length) return []
    const names = [...new Set(small.map((e) => print(withoutPlaces(e)).replace(/"/g, '')))]
    const fixed = print(joined(withoutPlaces(line.tree)))
    return [
      {
        code: 'small-operator',
        element: ELEMENT,
        lineId: line.id,
        about: names.join(),
        message: `${listed(names)} in line ${line.number} ${names.length === 1 ? 'is searched as a word' : 'are searched as words'}: ${c.profile.name} takes operators in capitals only.`,
        why: 'The line finds only records that have the word itself.',
        ...(fixed === print(withoutPlaces(line.tree))
          ? {}
          : { fix: { label: `Join with ${names[0]!.toUpperCase()}`, lineId: line.id, text: fixed } }),
      },
    ]
  })
}

const READS = { all: 'all of them', phrase: 'a phrase', any: 'any of them' }

/** Words that nothing joins: a phrase in one database, all of them or any in the next. */
export const wordsSideBySide: Rule = (c) =>
  c.lines.flatMap((line): Remark[] => {
    const { tree, problems } = parse(line.text)
    if (!tree || line.described !== undefined || !problems.some((p) => p.code === 'side-by-side')) return []
    return [
      {
        code: 'side-by-side',
        element: ELEMENT,
        lineId: line.id,
        about: '',
        message: `Nothing joins some words of line ${line.number}; ${c.profile.name} would read that as ${READS[c.profile.sideBySide]}.`,
        why: 'Luvren asks for all of them everywhere; write AND, or put a phrase in quotation marks.',
        fix: { label: 'Write AND', lineId: line.id, text: print(withoutPlaces(tree)) },
      },
    ]
  })
