import { and, or, referredLines, type Expr } from '../../query'

/** More parts than this no database takes in one query; lines that are built of each other would come to any number. */
const MOST_PARTS = 20_000

/**
 * What a line says with all lines it refers to written out; a reference forward stays as it is, and so does one to a line that
 * would be too much to write. Undefined where the line itself is.
 */
export function writtenOut(number: number, treeOf: (n: number) => Expr | undefined): Expr | undefined {
  /** Each line is written out once, however often it is named; with how many parts that makes. */
  const made = new Map<number, { tree: Expr; parts: number } | undefined>()
  const line = (n: number): { tree: Expr; parts: number } | undefined => {
    if (!made.has(n)) {
      const tree = treeOf(n)
      made.set(n, tree && within(open(tree, n)))
    }
    return made.get(n)
  }
  const within = (of: { tree: Expr; parts: number }) => (of.parts > MOST_PARTS ? undefined : of)
  const joined = (parts: readonly { tree: Expr; parts: number }[], as: (trees: Expr[]) => Expr) => ({
    tree: as(parts.map((p) => p.tree)),
    parts: parts.reduce((n, p) => n + p.parts, 1),
  })
  /** References only go back; one that does not would never end. */
  const open = (e: Expr, from: number): { tree: Expr; parts: number } => {
    const bare = { tree: e, parts: 1 }
    const named = (n: number): { tree: Expr; parts: number } =>
      (n < from ? line(n) : undefined) ?? { tree: { kind: 'line', number: n }, parts: 1 }
    switch (e.kind) {
      case 'line':
        return (e.number < from ? line(e.number) : undefined) ?? bare
      case 'lines':
        return joined(referredLines(e).map(named), (t) => (e.mode === 'any' ? or(...t) : and(...t)))
      case 'and':
      case 'or':
      case 'not':
        return joined(
          e.parts.map((p) => open(p, from)),
          (parts) => ({ ...e, parts }),
        )
      case 'fields':
        return joined([open(e.of, from)], ([of]) => ({ ...e, of: of! }))
      default:
        return bare
    }
  }
  return line(number)?.tree
}
