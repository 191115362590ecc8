import { keptFor } from '../base'
import { textSpelledOut, type Field } from '../query'
import type { Profile, Reach } from './schema'

/** What a form of a database says. */
export type Means =
  | { role: 'field'; fields: readonly Field[]; reach: Reach }
  | { role: 'heading'; below: boolean; main: boolean }
  | { role: 'class'; below: boolean }
  | { role: 'line' }
  | { role: 'lines'; mode: 'any' | 'all' }
  | { role: 'near'; ordered: boolean }
  | { role: 'op'; op: 'and' | 'or' | 'not' }
export type Role = Means['role']

/** One way to write something: what stands before and behind its slot. An operator has no slot: all of it is `before`. */
export interface Form<M extends Means = Means> {
  /** What it is, for whoever is told that two forms collide: "the code of title". */
  readonly name: string
  readonly means: M
  readonly before: string
  readonly after: string
}
type Of<R extends Role> = Form<Extract<Means, { role: R }>>

/**
 * Everything that a database can be told, in one table. Printer and reader are both made of it: what it lacks is not
 * written, and what it holds is read.
 */
export interface FormTable {
  readonly all: readonly Form[]
  readonly fields: readonly Of<'field'>[]
  /** The fields that a row can be set to; empty where queries are typed in a line. `undefined` fields are the usual ones. */
  readonly rows: readonly RowField[]
  /** The form of exactly these fields, several codes at one place included; undefined where there is none. */
  readonly field: (fields: readonly Field[]) => Of<'field'> | undefined
  readonly heading: (below: boolean, main: boolean) => Of<'heading'> | undefined
  readonly class: (below: boolean) => Of<'class'> | undefined
  readonly line: Of<'line'> | undefined
  readonly lines: (mode: 'any' | 'all') => Of<'lines'> | undefined
  readonly near: (ordered: boolean) => Of<'near'> | undefined
  /** The sign of an operator as it is written; undefined where there is none. */
  readonly op: (op: 'and' | 'or' | 'not') => string | undefined
}

const parted = (form: string, slot: string): { before: string; after: string } => {
  const [before = '', after = ''] = form.split(`{${slot}}`)
  return { before, after }
}

/** A field that a row of a form can be set to. */
export interface RowField {
  readonly name: string
  /** Undefined: what the database searches where no field is named. */
  readonly fields: readonly Field[] | undefined
}

/** The text of a form with its slot filled. */
export const filled = (form: Form, text: string): string => form.before + text + form.after

/** The table of a description; made once for each. */
export const formsOf = keptFor((profile: Profile): FormTable => {
  const { headings: h, classes: c, lines, nearness, operators } = profile
  const maybe = <M extends Means>(
    form: string | undefined,
    slot: string,
    name: string,
    means: M,
  ): Form<M>[] => (form === undefined ? [] : [{ name, means, ...parted(form, slot) }])
  const fields = profile.fields.flatMap(({ of, form, reach }) =>
    maybe(form, 'expr', `the code of ${of.join(', ')}`, {
      role: 'field',
      fields: of,
      reach: reach ?? 'unit',
    }),
  )
  const headings = [
    ...maybe(h?.belowMain, 'label', 'headings with narrower as main focus', {
      role: 'heading',
      below: true,
      main: true,
    }),
    ...maybe(h?.below, 'label', 'headings with narrower', { role: 'heading', below: true, main: false }),
    ...maybe(h?.main, 'label', 'headings as main focus', { role: 'heading', below: false, main: true }),
    ...maybe(h?.plain, 'label', 'headings', { role: 'heading', below: false, main: false }),
  ] as Of<'heading'>[]
  const classes = [
    ...maybe(c?.below, 'code', 'classification codes with those below', { role: 'class', below: true }),
    ...maybe(c?.plain, 'code', 'classification codes', { role: 'class', below: false }),
  ] as Of<'class'>[]
  const references = [lines?.reference, ...(lines?.also ?? [])].flatMap((form, i) =>
    maybe(form, 'n', i ? 'another number of a line' : 'the number of a line', { role: 'line' }),
  ) as Of<'line'>[]
  const lists = [
    ...maybe(lines?.anyOf, 'list', 'any of some lines', { role: 'lines', mode: 'any' }),
    ...maybe(lines?.allOf, 'list', 'all of some lines', { role: 'lines', mode: 'all' }),
  ] as Of<'lines'>[]
  const nears = [
    ...maybe(nearness?.ordered, 'n', 'nearness in order', { role: 'near', ordered: true }),
    ...maybe(nearness?.either, 'n', 'nearness', { role: 'near', ordered: false }),
  ] as Of<'near'>[]
  const signs = (['and', 'or', 'not'] as const).flatMap((op) =>
    (operators[op] ?? []).map((sign) => ({
      name: op.toUpperCase(),
      means: { role: 'op', op } as const,
      before: operators.capitals ? sign.toUpperCase() : sign,
      after: '',
    })),
  )
  const several = severalOf(fields, profile.together)
  // Where there are codes to type as well, the line is used and not the rows.
  const rows = profile.fields.length
    ? []
    : (profile.rows?.fields ?? []).map(({ name, of }): RowField => ({
        name,
        fields: of.includes('any') ? undefined : of,
      }))
  const set = rows.flatMap(({ name, fields: of }) =>
    of
      ? maybe(`${name}: {expr}`, 'expr', `the row ${name}`, {
          role: 'field',
          fields: of,
          reach: 'row',
        } as const)
      : [],
  )
  return {
    all: [...classes, ...headings, ...lists, ...references, ...nears, ...signs, ...fields],
    fields,
    rows,
    field: (asked) => {
      const wanted = [...new Set(textSpelledOut(asked))]
      return [...fields, ...set].find((f) => sameFields(f.means.fields, wanted)) ?? several(wanted)
    },
    heading: (below, main) => headings.find((f) => f.means.below === below && f.means.main === main),
    class: (below) => classes.find((f) => f.means.below === below),
    line: references[0],
    lines: (mode) => lists.find((f) => f.means.mode === mode),
    near: (ordered) => nears.find((f) => f.means.ordered === ordered),
    op: (op) => signs.find((s) => s.means.op === op)?.before,
  }
})

/** The same fields in any order; each stands once in both. */
export const sameFields = (a: readonly string[], b: readonly string[]): boolean =>
  a.length === b.length && a.every((x) => b.includes(x))

/** The letters of a code with what stands round them: "[" "hl" "]" of `{expr}[hl]`. */
export interface Coded {
  readonly start: string
  readonly code: string
  readonly end: string
}

/** The code of a field's form; undefined where it has no letters, or several groups of them. */
export function codeOf(form: Of<'field'>): Coded | undefined {
  const literal = form.before.trim() || form.after.trim()
  if (form.before.trim() && form.after.trim() && /[\p{L}\p{N}]/u.test(form.after)) return undefined
  const [, start = '', code, end = ''] =
    /^([^\p{L}\p{N}]*)([\p{L}\p{N}]+)([^\p{L}\p{N}]*)$/u.exec(literal) ?? []
  return code ? { start, code, end } : undefined
}

/** Several codes at one place: `{expr}[hl]` and `{expr}[sm]` as `{expr}[hl,sm]`, where the database takes that. */
function severalOf(
  fields: readonly Of<'field'>[],
  together: string | undefined,
): (wanted: readonly Field[]) => Of<'field'> | undefined {
  if (together === undefined) return () => undefined
  const single = fields.filter((f) => f.means.fields.length === 1)
  return (wanted) => {
    const parts = wanted.map((f) => single.find((s) => s.means.fields[0] === f))
    const coded = parts.map((p) => p && codeOf(p))
    const [first] = parts
    const [code] = coded
    if (!first || !code || parts.length < 2) return undefined
    if (
      coded.some(
        (x, i) =>
          x?.start !== code.start || x.end !== code.end || !parts[i] || behind(parts[i]!) !== behind(first),
      )
    )
      return undefined
    const all = coded.map((x) => x!.code).join(together)
    return {
      name: `the codes of ${wanted.join(', ')}`,
      means: { role: 'field', fields: wanted, reach: first.means.reach },
      before: first.before.replace(code.code, () => all),
      after: first.before.includes(code.code) ? first.after : first.after.replace(code.code, () => all),
    }
  }
}
/** Where the slot stands: before the code, behind it, or inside. */
const behind = (form: Form): string => `${form.before.trim() !== ''} ${form.after.trim() !== ''}`
