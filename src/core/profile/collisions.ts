import { hasErrors, keptFor } from '../base'
import {
  isNearOperand,
  near,
  or,
  phrase,
  textSpelledOut,
  walk,
  withoutPlaces,
  word,
  type Expr,
  type Field,
} from '../query'
import { formsOf, type Form } from './forms'
import { printFor } from './print'
import { marksOf } from './marks'
import { readFrom } from './read'
import type { Profile } from './schema'

/** Two forms of a description that a reader cannot tell apart. */
export interface Collision {
  readonly one: string
  readonly other: string
  /** A query in which they cannot be told apart, as it would be sent. */
  readonly text: string
}

/** A tree with its fields in order and its ranges in lines, so that two that say the same look the same. */
export const inOrder = (e: Expr): string =>
  JSON.stringify(withoutPlaces(e), (key, value: unknown) => {
    if (key === 'fields') return [...new Set(textSpelledOut(value as Field[]))].sort()
    if (!value || typeof value !== 'object' || Array.isArray(value)) return value
    return Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
  })

/** What an expression, rewritten for a database, is read as there; undefined where it comes back as it was written. */
export function readOtherwise(
  e: Expr,
  profile: Profile,
): { text: string; tree: Expr; as: Expr | undefined } | undefined {
  for (const { text, tree } of printFor(e, profile).queries) {
    const back = readFrom(text, profile)
    if (!back.tree || hasErrors(back.problems) || inOrder(back.tree) !== inOrder(tree))
      return { text, tree, as: back.tree }
  }
  return undefined
}

/**
 * The forms of a description that collide, found by writing and reading each form beside each other: at most five. A
 * description without any writes nothing that it would read otherwise.
 */
export const collisionsOf = keptFor((described: Profile): readonly Collision[] => {
  // What is parted because it is too long no longer stands side by side: here everything must.
  const profile: Profile = described.caps.longestQuery ? { ...described, caps: {} } : described
  const found: Collision[] = []
  const seen = new Set<string>()
  const note = (e: Expr): void => {
    const wrong = readOtherwise(e, profile)
    if (!wrong) return
    const [one, other] = namesOf(wrong.text, wrong.tree, profile)
    const key = [one, other].sort().join('\n')
    const text = wrong.text.length > 120 ? `${wrong.text.slice(0, 120)} …` : wrong.text
    if (!seen.has(key)) found.push({ one, other, text })
    seen.add(key)
  }
  const { alone, units, operators } = probesOf(profile)
  for (const e of alone) note(e)
  for (const kind of operators)
    for (const unit of units) {
      if (found.length >= 5) return found
      // One row with the unit on both sides of every other: only where it fails are the pairs looked at.
      const row: Expr = { kind, parts: units.flatMap((other) => [unit, other]).concat(unit) }
      if (!readOtherwise(row, profile)) continue
      for (const other of units) {
        note({ kind, parts: [unit, other] })
        note({ kind, parts: [unit, other, unit] })
        note({ kind, parts: [other, unit, other] })
      }
      if (!found.length) note(row)
    }
  return found.slice(0, 5)
})

function probesOf(profile: Profile): {
  alone: Expr[]
  units: Expr[]
  operators: ('and' | 'or' | 'not')[]
} {
  const { headings, classes, lines, operators } = profile
  const words = [
    word('noise'),
    word('nois*'),
    word('no?se'),
    word('nois*2'),
    word('*ing'),
    phrase('sound', 'field'),
  ]
  const loose: Expr = { kind: 'phrase', words: ['sound', 'field'], loose: true }
  const group = or(word('noise'), word('sound'))
  const joins = [near(3, word('noise'), word('sound')), near(3, group, word('room*'), true)]
  const inside = [...words, loose, group, ...joins]
  const fields = profile.fields.flatMap((f) =>
    inside.map((of): Expr => ({ kind: 'fields', fields: f.of, of })),
  )
  const named: Expr[] = (['Reading', 'Sound and light', 'Noise (sound)'] as const).flatMap((label) =>
    [false, true].flatMap((below) =>
      [false, true].map((main): Expr => ({ kind: 'heading', label, below, main })),
    ),
  )
  const codes = [false, true].map((below): Expr => ({ kind: 'class', code: 'B4.2', below }))
  const numbers: Expr[] = [1, 12].map((number) => ({ kind: 'line', number }))
  const lists = (['any', 'all'] as const).flatMap((mode): Expr[] => [
    {
      kind: 'lines',
      mode,
      ranges: [
        { from: 1, to: 1 },
        { from: 3, to: 5 },
      ],
    },
    {
      kind: 'lines',
      mode,
      ranges: [
        { from: 2, to: 4 },
        { from: 7, to: 7 },
      ],
    },
  ])
  const others = [
    ...(headings ? named : []),
    ...(classes ? codes : []),
    ...(lines ? [...numbers, ...lists] : []),
  ]
  const byLength = [...profile.fields].sort((a, b) => a.form.length - b.form.length)
  const ends = [...new Set([byLength[0], byLength.at(-1)])].flatMap((f) => f ?? [])
  return {
    alone: [...inside, ...fields, ...others, ...words.filter(isNearOperand).map((w) => near(2, w, loose))],
    units: [
      ...words,
      // Fields are written alike: the shortest and the longest code stand for the rest beside others.
      ...ends.map((f): Expr => ({ kind: 'fields', fields: f.of, of: word('noise') })),
      ...others.filter((e) => e.kind !== 'heading' || e.label === 'Reading'),
    ],
    operators: ['and', 'or', ...(operators.not ? (['not'] as const) : [])],
  }
}

/** The form that was meant and the one it was taken for. */
function namesOf(text: string, tree: Expr, profile: Profile): [string, string] {
  const forms = formsOf(profile)
  const meant = new Set<Form>()
  for (const e of walk(tree)) {
    if (e.kind === 'fields') add(forms.field(e.fields))
    else if (e.kind === 'heading') add(forms.heading(e.below, e.main))
    else if (e.kind === 'class') add(forms.class(e.below))
    else if (e.kind === 'line') add(forms.line)
    else if (e.kind === 'lines') add(forms.lines(e.mode))
    else if (e.kind === 'near') add(forms.near(e.ordered))
    else if (e.kind === 'and' || e.kind === 'or' || e.kind === 'not')
      for (const f of forms.all) if (f.means.role === 'op' && f.means.op === e.kind) add(f)
  }
  function add(form: Form | undefined): void {
    if (form) meant.add(form)
  }
  const read = new Set(marksOf(text, profile, []).flatMap((m) => m.form ?? []))
  const lost = [...meant].find((f) => !read.has(f))
  const taken = [...read].find((f) => !meant.has(f))
  const one = lost ?? [...meant].find((f) => f !== taken)
  return [
    one?.name ?? 'words',
    taken?.name ?? (one && /[*?]/.test(JSON.stringify(tree)) ? 'a truncation sign' : 'words side by side'),
  ]
}
