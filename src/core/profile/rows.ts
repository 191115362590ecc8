import { inFields, joined, textSpelledOut, walk, type Expr, type Field } from '../query'
import { formsOf, sameFields } from './forms'
import type { Profile } from './schema'

/** One row of a form: what joins it to those above, the field it is set to, what is typed in it. */
export interface Row {
  readonly join: 'and' | 'or' | 'not' | undefined
  /** Undefined: the usual fields. */
  readonly fields: readonly Field[] | undefined
  readonly of: Expr
}

/** What rows say, read from above: each is joined to all that stands before it. */
export function joinedRows(rows: readonly Row[]): Expr {
  let whole: Expr | undefined
  let parts: Expr[] = []
  let join: Row['join']
  for (const row of rows) {
    const said = row.fields ? inFields([...row.fields], row.of) : row.of
    if (!whole) whole = said
    else {
      parts = join === row.join && parts.length ? [...parts, said] : [whole, said]
      join = row.join
      whole = joined(join ?? 'and', parts)
    }
  }
  return whole!
}

/**
 * An expression as rows that say the same, read from above; undefined where the form cannot say it in one. What is asked of
 * one field stands in one row; of what is joined at most one part may itself need several rows, and that stands first.
 */
export function rowsOf(e: Expr, profile: Profile): Row[] | undefined {
  const { rows } = profile
  const made = rows && chain(e)
  if (!made || made.length > rows.most) return undefined
  const known = made.every(
    (r, i) =>
      (i === 0 || (r.join && rows.joins.includes(r.join))) &&
      (r.fields ? formsOf(profile).field(r.fields) : formsOf(profile).rows.some((f) => !f.fields)),
  )
  return known ? made : undefined
}

function chain(e: Expr): Row[] | undefined {
  const single = rowOf(e)
  if (single) return [single]
  if (e.kind !== 'and' && e.kind !== 'or' && e.kind !== 'not') return undefined
  const parts = e.kind === 'not' ? e.parts : merged(e.kind, e.parts)
  const [only] = parts
  if (parts.length === 1) return chain(only!)
  const singles = parts.map(rowOf)
  const several = parts.findIndex((_, i) => !singles[i])
  if (e.kind === 'not' && several > 0) return undefined
  const first = chain(parts[Math.max(several, 0)]!)
  const rest = singles.filter((_, i) => i !== Math.max(several, 0))
  if (!first || rest.some((r) => !r)) return undefined
  return [...first, ...rest.map((r): Row => ({ ...r!, join: e.kind }))]
}

/** A part that stands in one row; undefined where fields are named inside it. */
function rowOf(e: Expr): Row | undefined {
  const of = e.kind === 'fields' ? e.of : e
  const plain = [...walk(of)].every((p) => p.kind !== 'fields')
  return plain ? { join: undefined, fields: e.kind === 'fields' ? e.fields : undefined, of } : undefined
}

/** Parts that are asked of the same field are asked of it together. */
function merged(kind: 'and' | 'or', parts: readonly Expr[]): Expr[] {
  const by = new Map<string, Expr[]>()
  parts.forEach((p, i) => {
    const row = rowOf(p)
    const key = row ? [...(row.fields ?? ['any'])].sort().join() : `${i}`
    by.set(key, [...(by.get(key) ?? []), p])
  })
  return [...by.values()].map((same) => {
    const [first] = same
    if (same.length === 1) return first!
    const of = same.map((p) => (p.kind === 'fields' ? p.of : p))
    const whole = joined(
      kind,
      of.flatMap((p) => (p.kind === kind ? p.parts : [p])),
    )
    return first!.kind === 'fields' ? inFields(first!.fields, whole) : whole
  })
}

/** Rows as they are read aloud: "Title words: noise", "AND Anywhere: pupil". */
export function rowsText(rows: readonly Row[], profile: Profile, write: (e: Expr) => string): string {
  const { rows: names } = formsOf(profile)
  const nameOf = (fields: Row['fields']): string =>
    names.find((f) =>
      fields ? f.fields && sameFields(f.fields, [...new Set(textSpelledOut(fields))]) : !f.fields,
    )?.name ?? 'Anywhere'
  return rows
    .map((r, i) => `${i && r.join ? `${r.join.toUpperCase()} ` : ''}${nameOf(r.fields)}: ${write(r.of)}`)
    .join('\n')
}

/** The rows of a text, if it is one of rows: their joins, fields and what is typed in each, with where it begins. */
export function rowsIn(
  text: string,
  profile: Profile,
): { join: Row['join']; fields: Row['fields']; typed: string; at: number }[] | undefined {
  const { rows } = formsOf(profile)
  if (!rows.length) return undefined
  const found: { join: Row['join']; fields: Row['fields']; typed: string; at: number }[] = []
  let at = 0
  for (const line of text.split('\n')) {
    if (line.trim()) {
      const [, join, rest = ''] = /^\s*(?:(and|or|not)\s+)?(.*)$/i.exec(line) ?? []
      const field = rows.find((f) => rest.toLowerCase().startsWith(`${f.name.toLowerCase()}:`))
      if (!field) return undefined
      const typed = rest.slice(field.name.length + 1)
      found.push({
        join: join?.toLowerCase() as Row['join'],
        fields: field.fields,
        typed,
        at: at + line.length - typed.length,
      })
    }
    at += line.length + 1
  }
  return found.length ? found : undefined
}
