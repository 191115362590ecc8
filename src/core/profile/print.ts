import { print as plainPrint, type Expr } from '../query'
import { adapt, type PrintOptions } from './adapt'
import { formsOf } from './forms'
import { lossWords, type Loss, type LossCause } from './loss'
import { apart, inLines, nextLine } from './pack'
import { joinedRows, rowsOf, rowsText } from './rows'
import type { Profile } from './schema'
import { write } from './write'

export interface Query {
  readonly text: string
  /** What `text` says. */
  readonly tree: Expr
}

export interface Printed {
  /** What is to be typed; several lines where it was too long for one, or where a form has rows. */
  text: string
  losses: Loss[]
  /** The expression that `text` says. */
  said: Expr
  /** What is asked one after the other: one query, where it could be asked in one; none, where it cannot be asked. */
  queries: readonly Query[]
}

/**
 * Writes an expression in a database's own syntax. What the database cannot say is rewritten, and every rewrite is
 * named in `losses`; nothing is dropped without a word. A query that is too long, or that a form with rows cannot ask in
 * one, is parted and never cut: into lines of which the last joins the others, where lines are kept; else into queries
 * whose records together are what was asked.
 */
export function printFor(e: Expr, profile: Profile, options: PrintOptions = {}): Printed {
  const adapted = adapt(e, profile, options)
  const seen = new Set<string>()
  const losses = adapted.losses.filter((l) => {
    const key = [JSON.stringify(l.cause), l.direction, l.was].join('\n')
    return !seen.has(key) && seen.add(key)
  })
  const { tree } = adapted
  const whole = queryOf(tree, profile)
  if (fits(tree, profile)) return { text: whole.text, losses, said: tree, queries: [whole] }
  const { how, queries } = parted(tree, profile)
  const said = queries.length ? queries : [whole]
  const text = said.map((q) => q.text).join(formsOf(profile).rows.length ? '\n\n' : '\n')
  const most = profile.caps.longestQuery
  const cause: LossCause =
    most !== undefined && whole.text.length > most
      ? { code: 'too-long', most, length: whole.text.length, how }
      : { code: 'rows-cannot', how }
  const loss = {
    cause,
    ...lossWords(cause, profile.name),
    direction: 'changed' as const,
    was: plainPrint(e),
    is: text,
  }
  return { text, losses: [...losses, loss], said: tree, queries }
}

function parted(tree: Expr, profile: Profile): { how: 'lines' | 'apart' | 'not'; queries: Query[] } {
  const fit = (e: Expr): boolean => fits(e, profile)
  const { lines } = profile
  const lined = lines && lines.kept !== 'never' ? inLines(tree, fit, nextLine(tree)) : undefined
  const parts = lined ?? apart(tree, fit)
  // What is too long can still be read; rows that a form does not have cannot be filled in.
  if (!parts) return { how: 'not', queries: formsOf(profile).rows.length ? [] : [queryOf(tree, profile)] }
  return { how: lined ? 'lines' : 'apart', queries: parts.map((p) => queryOf(p, profile)) }
}

/** Can this be asked in one query? */
function fits(tree: Expr, profile: Profile): boolean {
  const most = profile.caps.longestQuery ?? Infinity
  if (!formsOf(profile).rows.length) return most === Infinity || write(tree, profile).length <= most
  const rows = rowsOf(tree, profile)
  return rows !== undefined && rows.every((r) => write(r.of, profile).length <= most)
}

function queryOf(tree: Expr, profile: Profile): Query {
  const rows = formsOf(profile).rows.length ? rowsOf(tree, profile) : undefined
  return rows
    ? { text: rowsText(rows, profile, (e) => write(e, profile)), tree: joinedRows(rows) }
    : { text: write(tree, profile), tree }
}
