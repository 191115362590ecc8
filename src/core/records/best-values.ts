import { emptyByName } from '../base'
import { FIELDS, textOf, type Field } from './fields'
import type { Rec } from './record'
import { EARLY, oneType } from './types'

/** A value of a work with the records that give it. */
export interface ValueFrom {
  text: string
  /** Names of the records that have it, in their order. */
  from: string[]
}

export interface BestValue {
  field: Field
  /** The value that is shown, and whose it is. */
  best: ValueFrom
  /** The others, in the order of their records. */
  others: ValueFrom[]
}

const capitals = (text: string): boolean => {
  const letters = text.replace(/[^\p{L}]/gu, '')
  return letters.length > 8 && letters === letters.toUpperCase() && letters !== letters.toLowerCase()
}

/** How much is to be said for a value of a field; of two that are worth the same, that of the earlier record is taken. */
function worth(key: keyof Rec, text: string): number {
  switch (key) {
    case 'title':
      return (
        (capitals(text) ? 0 : 1000) + Math.min(text.length, 400) + (/[\\{}]|&[a-z]+;/.test(text) ? -300 : 0)
      )
    case 'authors':
    case 'editors':
      // Given names in full say more than initials, and more names more than few.
      return (capitals(text) ? 0 : 1000) + text.length
    case 'abstract':
    case 'fulltext':
      return text.length
    case 'journal':
      return (capitals(text) ? 0 : 500) + (/\p{L}\.(?:\s|$)/u.test(text) ? 0 : 300) + text.length
    case 'pages':
      return /–/.test(text) ? 2 : 1
    case 'keywords':
    case 'headings':
    case 'references':
      return text.length
    default:
      return 0
  }
}

/** What tells where and when a work was published: of two versions, the published one says it. */
const PUBLISHED: ReadonlySet<keyof Rec> = new Set<keyof Rec>([
  'journal',
  'year',
  'issued',
  'doi',
  'type',
  'publisher',
  'url',
  'number',
  'shortJournal',
])
/** What is taken off a value for whose it is: one that was concluded stands behind one that was said. */
const less = (key: keyof Rec, record: Rec): number =>
  (record.inferred?.includes(key) ? 5000 : 0) +
  (PUBLISHED.has(key) && record.type !== undefined && EARLY.has(oneType(record.type)) ? 10_000 : 0)

/**
 * The best value of every field over the records of a work, with whose it is, and what the others say. `chosen` names, by
 * field, the record whose value a person chose; one that has none there any more does not count.
 */
export function bestValues(
  records: readonly { id: string; record: Rec }[],
  chosen: Readonly<Record<string, string>> = {},
): BestValue[] {
  return FIELDS.flatMap((field) => {
    // It says something of the value of another field, and goes with that.
    if (field.key === 'inferred') return []
    const values: ValueFrom[] = []
    const recordOf = (value: ValueFrom): Rec => records.find(({ id }) => id === value.from[0])!.record
    const worthOf = (value: ValueFrom): number =>
      worth(field.key, value.text) - less(field.key, recordOf(value))
    for (const { id, record } of records) {
      const text = textOf(record, field)
      if (text === undefined) continue
      const known = values.find((v) => v.text === text)
      if (known) known.from.push(id)
      else values.push({ text, from: [id] })
    }
    if (!values.length) return []
    const own = values.find((v) => v.from.includes(chosen[field.key] ?? ''))
    const best = own ?? values.reduce((a, b) => (worthOf(b) > worthOf(a) ? b : a))
    return [{ field, best, others: values.filter((v) => v !== best) }]
  })
}

/** A record of the best values, under the name of the first; what was not understood is that of all, in their order. */
export function bestRecord(
  records: readonly { id: string; record: Rec }[],
  chosen: Readonly<Record<string, string>> = {},
): Rec {
  const first = records[0]!.record
  if (records.length === 1) return first
  const whole = { ...first } as Rec & Record<string, unknown>
  for (const { field, best } of bestValues(records, chosen)) {
    const of = records.find(({ id }) => best.from.includes(id))!
    ;(whole as Record<string, unknown>)[field.key] = of.record[field.key]
    if (field.key !== 'type') continue
    delete whole.inferred
    if (of.record.inferred?.includes('type')) whole.inferred = of.record.inferred
  }
  whole.extra = emptyByName()
  for (const { record } of records)
    for (const [tag, values] of Object.entries(record.extra))
      for (const value of values)
        if (!whole.extra[tag]?.includes(value)) (whole.extra[tag] ??= []).push(value)
  return whole
}
