import { listed } from '../../../base'
import { isMasked, mapChildren, walk, withoutPlaces, type Expr, print } from '../../../query'
import { plain } from '../change'
import type { CheckedLine, Finding, Fix, Rule } from '../check'

const ELEMENT = 'Boolean and proximity operators'

const whole = (line: CheckedLine, label: string, tree: Expr): Fix => ({
  label,
  lineId: line.id,
  text: print(tree),
})

/** Operators mixed on one level without brackets: databases read such a line differently. */
export const mixedOperators: Rule = (c) =>
  c.lines.flatMap((line): Finding[] => {
    if (!line.tree || !line.problems.some((p) => p.code === 'mixed')) return []
    return [
      {
        code: 'mixed-operators',
        kind: 'form',
        element: ELEMENT,
        lineId: line.id,
        about: '',
        message: `Line ${line.number} mixes operators without brackets.`,
        why: 'Some databases read it from left to right, others by rank; with brackets all read the same.',
        fixes: [whole(line, 'Add the brackets as it is read now', line.tree)],
        owns: [c.search.roots[line.number - 1] ?? []].flat(),
      },
    ]
  })

const NARROW = 1
const WIDE = 15

/** A distance at which nearness is hardly more than a phrase, or hardly less than AND (common practice). */
export const nearnessExtreme: Rule = (c) =>
  [...c.search.all()].flatMap((part): Finding[] => {
    const { at, line } = part
    if (at.kind !== 'near' || part.kind !== 'leaf' || (at.distance > NARROW && at.distance < WIDE)) return []
    // Where there is no nearness it is sent as AND, whatever the distance.
    if (part.losses.some((l) => l.cause.code === 'no-nearness')) return []
    const wide = at.distance >= WIDE
    return [
      {
        code: wide ? 'near-wide' : 'near-narrow',
        kind: 'form',
        element: ELEMENT,
        lineId: c.lines[line - 1]!.id,
        about: plain(at),
        message: `${plain(at)} in line ${line} is ${wide ? 'hardly less than AND' : 'hardly more than a phrase'}.`,
        why: wide
          ? 'Words that far apart stand in different sentences; three to eight between is usual.'
          : 'An article or an adjective between the two is missed; three to eight between is usual.',
        fixes: [],
      },
    ]
  })

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
  return c.lines.flatMap((line): Finding[] => {
    if (!line.tree) return []
    const small = [...walk(line.tree)].filter((e) => operatorOf(e))
    if (!small.length) return []
    const names = [...new Set(small.map((e) => plain(e).replace(/"/g, '')))]
    const fixed = joined(withoutPlaces(line.tree))
    return [
      {
        code: 'small-operator',
        kind: 'form',
        element: ELEMENT,
        lineId: line.id,
        about: names.join(),
        message: `${listed(names)} in line ${line.number} ${names.length === 1 ? 'is searched as a word' : 'are searched as words'}: ${c.profile.name} takes operators in capitals only.`,
        why: 'The line finds only records that have the word itself.',
        fixes:
          plain(fixed) === plain(line.tree)
            ? []
            : [whole(line, `Join with ${names[0]!.toUpperCase()}`, fixed)],
      },
    ]
  })
}

const READS = { all: 'all of them', phrase: 'a phrase', any: 'any of them' }

/** Words that nothing joins: a phrase in one database, all of them or any in the next. */
export const wordsSideBySide: Rule = (c) =>
  c.lines.flatMap((line): Finding[] => {
    const { tree, problems } = line
    if (!tree || line.described !== undefined || !problems.some((p) => p.code === 'side-by-side')) return []
    const asPhrase = phrased(tree)
    return [
      {
        code: 'side-by-side',
        kind: 'form',
        element: ELEMENT,
        lineId: line.id,
        about: '',
        message: `Nothing joins some words of line ${line.number}; ${c.profile.name} would read that as ${READS[c.profile.sideBySide]}.`,
        why: 'Luvren asks for all of them everywhere; write AND, or put a phrase in quotation marks.',
        fixes: [
          ...(asPhrase ? [whole(line, 'Put them in quotation marks', asPhrase)] : []),
          whole(line, 'Write AND', tree),
        ],
      },
    ]
  })

/** The line with words that nothing joined as a phrase; undefined where something else stands among them. */
function phrased(tree: Expr): Expr | undefined {
  let found = 0
  const change = (e: Expr): Expr => {
    if (e.kind !== 'and') return mapChildren(e, change)
    const words = e.parts.flatMap((p) => (p.kind === 'word' && !isMasked(p.text) ? [p.text] : []))
    if (words.length !== e.parts.length) return mapChildren(e, change)
    found++
    return { kind: 'phrase', words }
  }
  const changed = change(tree)
  return found === 1 ? changed : undefined
}
