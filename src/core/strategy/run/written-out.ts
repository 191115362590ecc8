import { and, or, referredLines, type Expr } from '../../query'

/** What a line says with all lines it refers to written out; a reference forward stays as it is. */
export function writtenOut(number: number, treeOf: (n: number) => Expr | undefined): Expr | undefined {
  const open = (e: Expr): Expr => {
    // References only go back; one that does not would never end.
    if (e.kind === 'line') return (e.number < number ? writtenOut(e.number, treeOf) : undefined) ?? e
    if (e.kind === 'lines') {
      const parts = referredLines(e).map(
        (n) => (n < number ? writtenOut(n, treeOf) : undefined) ?? ({ kind: 'line', number: n } as const),
      )
      return e.mode === 'any' ? or(...parts) : and(...parts)
    }
    if (e.kind === 'and' || e.kind === 'or' || e.kind === 'not') return { ...e, parts: e.parts.map(open) }
    if (e.kind === 'fields') return { ...e, of: open(e.of) }
    return e
  }
  const tree = treeOf(number)
  return tree && open(tree)
}
