import { print as plainPrint, type Expr } from '../query'
import { adapt, type PrintOptions } from './adapt'
import { lossWords, type Loss } from './loss'
import type { Profile } from './schema'
import { write } from './write'

export interface Printed {
  /** What is to be typed; several lines where it was too long for one. */
  text: string
  losses: Loss[]
  /** The expression that `text` says. */
  said: Expr
}

/**
 * Writes an expression in a database's own syntax. What the database cannot say is rewritten, and every rewrite is
 * named in `losses`; nothing is dropped without a word. A query that is too long is split over lines, never cut.
 */
export function printFor(e: Expr, profile: Profile, options: PrintOptions = {}): Printed {
  const adapted = adapt(e, profile, options)
  const { tree } = adapted
  const seen = new Set<string>()
  const losses = adapted.losses.filter((l) => {
    const key = [JSON.stringify(l.cause), l.direction, l.was].join('\n')
    return !seen.has(key) && seen.add(key)
  })
  const text = write(tree, profile)
  const most = profile.caps.longestQuery
  if (most === undefined || text.length <= most) return { text, losses, said: tree }
  const parts = tree.kind === 'and' || tree.kind === 'or' ? tree.parts : undefined
  const loss = (is: string, rows: boolean): Loss => {
    const cause = { code: 'too-long', most, length: text.length, rows } as const
    return { cause, ...lossWords(cause, profile.name), direction: 'changed', was: plainPrint(e), is }
  }
  if (!parts) return { text, losses: [...losses, loss(text, false)], said: tree }
  const rows = parts.map((p) => write(p, profile))
  // Where lines are kept the last row joins the ones before it; the person puts in the numbers they were given.
  const { lines } = profile
  if (lines && lines.kept !== 'never' && (tree.kind === 'and' || tree.kind === 'or')) {
    const joined: Expr = { kind: tree.kind, parts: rows.map((_, i) => ({ kind: 'line', number: i + 1 })) }
    rows.push(write(joined, profile))
  }
  const split = rows.join('\n')
  return {
    text: split,
    losses: [...losses, loss(split, true)],
    said: tree,
  }
}
