import { inFields, joined, or, referredLines, type Expr } from '../query'

/** More queries than this nobody runs by hand: then the database cannot be asked so. */
const MOST_QUERIES = 60

/**
 * An expression as queries that each fit, whose records together are what was asked: alternatives are parted, and what they
 * are joined with stands in each. Filled as far as they go. Undefined where nothing in it can be parted, or too often.
 */
export function apart(e: Expr, fits: (e: Expr) => boolean): Expr[] | undefined {
  const queries: Expr[] = []
  const put = (e: Expr): boolean => {
    if (fits(e)) return queries.push(e) <= MOST_QUERIES
    const split = alternatives(e)
    if (!split) return false
    for (let from = 0; from < split.count;) {
      const n = most(split.count - from, (k) => fits(split.some(from, from + k)))
      if (!put(split.some(from, from + Math.max(1, n)))) return false
      from += Math.max(1, n)
    }
    return true
  }
  return put(e) ? queries : undefined
}

/**
 * An expression as rows that each fit, the last of which joins those before it by their numbers; the first row gets the
 * number `from`. Undefined where a part that cannot be parted is too long for a row.
 */
export function inLines(e: Expr, fits: (e: Expr) => boolean, from: number): Expr[] | undefined {
  const rows: Expr[] = []
  const add = (row: Expr): Expr => {
    rows.push(row)
    return { kind: 'line', number: from + rows.length - 1 }
  }
  const put = (e: Expr): Expr | undefined => {
    if (fits(e)) return add(e)
    const within = e.kind === 'fields' ? e.of : e
    if (within.kind !== 'and' && within.kind !== 'or' && within.kind !== 'not') return undefined
    const { kind, parts } = within
    const whole = (some: readonly Expr[]): Expr =>
      e.kind === 'fields' ? inFields(e.fields, joined(kind, [...some])) : joined(kind, [...some])
    const lines: Expr[] = []
    for (let i = 0; i < parts.length;) {
      // What is taken away is taken away from the whole: it stands in rows of its own.
      const n = kind === 'not' ? 0 : most(parts.length - i, (k) => fits(whole(parts.slice(i, i + k))))
      const line = n ? add(whole(parts.slice(i, i + n))) : put(whole([parts[i]!]))
      if (!line) return undefined
      lines.push(line)
      i += Math.max(1, n)
    }
    if (lines.length === 1) return lines[0]
    const join = joined(kind, lines)
    return fits(join) ? add(join) : undefined
  }
  return put(e) && rows
}

/** The number that a row gets which is typed behind all lines that an expression names. */
export const nextLine = (e: Expr): number => Math.max(0, ...referredLines(e)) + 1

/** What an expression is any of, two at least, and what it is with some of them alone. */
interface Alternatives {
  readonly count: number
  readonly some: (from: number, to: number) => Expr
}

/** The alternatives of an OR; of what is joined those of the part that has most of them, the rest standing in each. */
function alternatives(e: Expr): Alternatives | undefined {
  switch (e.kind) {
    case 'or':
      return { count: e.parts.length, some: (from, to) => or(...e.parts.slice(from, to)) }
    case 'fields': {
      const inside = alternatives(e.of)
      return inside && { ...inside, some: (from, to) => inFields(e.fields, inside.some(from, to)) }
    }
    case 'and':
    case 'not': {
      const parts = e.kind === 'and' ? e.parts : e.parts.slice(0, 1)
      const [best] = parts
        .map((p, at) => ({ at, inside: alternatives(p) }))
        .filter((c) => c.inside)
        .sort((a, b) => b.inside!.count - a.inside!.count)
      return (
        best && {
          count: best.inside!.count,
          some: (from, to) =>
            joined(
              e.kind,
              e.parts.map((p, i) => (i === best.at ? best.inside!.some(from, to) : p)),
            ),
        }
      )
    }
    default:
      return undefined
  }
}

/** The largest k up to `n` that still fits; 0 where not even one does. Longer never fits where shorter does not. */
function most(n: number, fits: (k: number) => boolean): number {
  let [low, high] = [0, n]
  while (low < high) {
    const middle = Math.ceil((low + high) / 2)
    if (fits(middle)) low = middle
    else high = middle - 1
  }
  return low
}
