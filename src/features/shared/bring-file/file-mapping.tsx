'use client'
import { Select } from 'antd'
import { FIELDS, plainName, type Commas, type OpenNames, type Shape } from '@/core/records'

const FIELD_OPTIONS = [
  { value: '', label: 'kept as it is' },
  { value: 'id', label: 'Number in its source' },
  ...FIELDS.filter((f) => f.form !== 'structure').map((f) => ({ value: f.key, label: f.label })),
]

/** What each column or tag means, to be said otherwise. */
export function Mapping({
  shape,
  set,
  examples = [],
}: {
  shape: Shape
  set: (shape: Shape) => void
  examples?: readonly string[][] | undefined
}) {
  const { table, tags } = shape
  if (!table && !tags) return null
  const rows = table
    ? table.headings.map((name, i) => ({
        name,
        field: table.columns[i] ?? '',
        example: examples[i]?.join(' · '),
        put: (field: string) =>
          set({
            ...shape,
            table: {
              ...table,
              columns: table.headings.map((_, n) => (n === i ? field || undefined : table.columns[n])),
            },
          }),
      }))
    : Object.entries(tags!.fields).map(([name, field]) => ({
        name,
        field,
        example: undefined,
        put: (value: string) =>
          set({ ...shape, tags: { ...tags!, fields: { ...tags!.fields, [name]: value } } }),
      }))
  return (
    <section>
      <h3>{table ? 'What each column is' : 'What each tag is'}</h3>
      <div className="file-mapping">
        {rows.map(({ name, field, example, put }, i) => (
          <label key={`${i} ${name}`}>
            <span title={example}>
              {name || '(no heading)'}
              {example && <small className="sub file-example">{example}</small>}
            </span>
            <Select
              size="small"
              aria-label={`What ${name} is`}
              value={field}
              options={FIELD_OPTIONS}
              onChange={put}
              popupMatchSelectWidth={false}
            />
          </label>
        ))}
      </div>
    </section>
  )
}

/** Which of two readings of a column of names is right, with one cell of it. */
export function AskNames({
  open,
  shape,
  set,
}: {
  open: OpenNames
  shape: Shape
  set: (shape: Shape) => void
}) {
  const table = shape.table!
  const words = (commas: Commas): string => {
    const names = open.readings[commas].map(plainName)
    return `${names.length === 1 ? 'one person' : `${names.length} persons`}: ${names.join(' · ')}`
  }
  return (
    <p className="file-names">
      Who is “{open.cell}”?{' '}
      <Select
        size="small"
        aria-label={`Who is named in ${table.headings[open.column]}`}
        value={table.commas?.[open.column] ?? 'between'}
        options={(['between', 'within'] as const).map((value) => ({ value, label: words(value) }))}
        onChange={(value) =>
          set({ ...shape, table: { ...table, commas: { ...table.commas, [open.column]: value } } })
        }
        popupMatchSelectWidth={false}
      />
    </p>
  )
}
