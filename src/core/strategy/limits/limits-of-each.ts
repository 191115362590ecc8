import { meaningOf, numbersIn, parse, sameLimit, walk, type Expr, type LimitValue } from '../../query'
import type { LineLike } from '../lines/keys'
import { Diagrams, TooLarge } from './diagrams'

/**
 * For each line the limits that hold for everything it finds. A limit holds where no record could be found that is
 * outside of it, whatever words, headings and limits records have: so `(#1 OR #2) NOT #1` has the limits of #2. Words and
 * limits are taken for independent of each other, which is right for all records that there could be; a limit is said of
 * no line that does not reach it.
 *
 * Where nothing is taken away by NOT this is what each join says by itself, and that is quick. A strategy too entangled to
 * be reckoned is read so too: then a limit that holds may go unsaid, and none is said that does not hold.
 */
export function limitsOfEach(lines: readonly LineLike[]): LimitValue[][] {
  const trees = lines.map((line) => parse(line.text).tree)
  const joined: LimitValue[][] = []
  const reached: LimitValue[][] = []
  const takesAway: boolean[] = []
  lines.forEach((line, i) => {
    const tree = trees[i]
    const below = tree ? linesIn(tree).filter((n) => n >= 1 && n <= i) : []
    const parts = tree ? inForce(tree, (n) => (n >= 1 && n <= i ? joined[n - 1]! : [])) : []
    // Each once: lines that are built of the two before them would have twice as many with each line.
    joined.push(different([...parts, ...line.limits]))
    reached.push(different([...below.flatMap((n) => reached[n - 1]!), ...line.limits]))
    takesAway.push(
      (tree !== undefined && [...walk(tree)].some((e) => e.kind === 'not')) ||
        below.some((n) => takesAway[n - 1]!),
    )
  })
  if (!takesAway.some((takes, i) => takes && reached[i]!.length > joined[i]!.length)) return joined
  const reckoned = reckon(lines, trees)
  return joined.map((own, i) => {
    const more = takesAway[i] ? reached[i]!.filter((l) => !own.some((o) => sameLimit(o, l))) : []
    return [...own, ...different(more).filter((l) => reckoned?.(i, l))]
  })
}

const different = (limits: readonly LimitValue[]): LimitValue[] =>
  limits.filter((l, i) => limits.findIndex((o) => sameLimit(o, l)) === i)

/** AND is limited by each of its parts; OR only by what limits every part; what is left after NOT as its first part. */
function inForce(e: Expr, ofLine: (number: number) => readonly LimitValue[]): LimitValue[] {
  const parts = (list: readonly Expr[]): LimitValue[][] => list.map((p) => inForce(p, ofLine))
  switch (e.kind) {
    case 'line':
      return [...ofLine(e.number)]
    case 'lines': {
      const lists = numbersIn(e.ranges).map(ofLine)
      return e.mode === 'all' ? lists.flat() : inAll(lists)
    }
    case 'and':
      return parts(e.parts).flat()
    case 'or':
      return inAll(parts(e.parts))
    case 'not':
      return inForce(e.parts[0]!, ofLine)
    case 'fields':
      return inForce(e.of, ofLine)
    default:
      return []
  }
}

function inAll(lists: readonly (readonly LimitValue[])[]): LimitValue[] {
  const [first = [], ...rest] = lists
  return first.filter((l) => rest.every((list) => list.some((x) => sameLimit(x, l))))
}

const linesIn = (tree: Expr): number[] =>
  [...walk(tree)].flatMap((e) =>
    e.kind === 'line' ? [e.number] : e.kind === 'lines' ? numbersIn(e.ranges) : [],
  )

/** Tells of a line and a limit whether all that the line finds is within it; undefined where that is too much to reckon. */
function reckon(
  lines: readonly LineLike[],
  trees: readonly (Expr | undefined)[],
): ((i: number, limit: LimitValue) => boolean) | undefined {
  const of = new Diagrams()
  const kinds: LimitValue[] = []
  const limitSign = (limit: LimitValue): number => {
    const known = kinds.findIndex((k) => sameLimit(k, limit))
    return of.sign(`limit ${known < 0 ? kinds.push(limit) - 1 : known}`)
  }
  const found: number[] = []
  const line = (n: number, i: number): number => (n >= 1 && n <= i ? found[n - 1]! : of.sign(`line ${n}`))
  const said = (e: Expr, i: number, fields: string): number => {
    const parts = (list: readonly Expr[]): number[] => list.map((p) => said(p, i, fields))
    switch (e.kind) {
      case 'line':
        return line(e.number, i)
      case 'lines': {
        const numbers = numbersIn(e.ranges).map((n) => line(n, i))
        return e.mode === 'all' ? numbers.reduce(of.and) : numbers.reduce(of.or)
      }
      case 'and':
        return parts(e.parts).reduce(of.and)
      case 'or':
        return parts(e.parts).reduce(of.or)
      case 'not':
        return parts(e.parts).reduce(of.less)
      case 'fields':
        return said(e.of, i, `${fields} ${e.fields.join(',')}`)
      default:
        return of.sign(`${fields} ${meaningOf(e)}`)
    }
  }
  try {
    lines.forEach((l, i) => {
      const tree = trees[i]
      const own = tree ? said(tree, i, '') : of.sign(`unread ${l.id}`)
      found.push(l.limits.map(limitSign).reduce(of.and, own))
    })
    return (i, limit) =>
      // Of a line that can find nothing everything is true: nothing is said of it.
      found[i] !== Diagrams.NEVER && of.less(found[i]!, limitSign(limit)) === Diagrams.NEVER
  } catch (error) {
    if (error instanceof TooLarge) return undefined
    throw error
  }
}
