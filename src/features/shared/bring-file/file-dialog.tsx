'use client'
import { Button, Input, Modal, Select } from 'antd'
import { useState } from 'react'
import {
  ENCODING_WORDS,
  FIELDS,
  FORMAT_WORDS,
  lackOf,
  plainName,
  whereFrom,
  whoAndWhen,
  type Commas,
  type Encoding,
  type FormatId,
  type OpenNames,
  type Shape,
} from '@/core/records'
import type { SourceChosen } from '@/core/doing'
import { useSession, useStore } from '@/store/provider'
import { Title } from '@/ui/marked'
import { useAsked } from '@/store/use-asked'
import { longDesk, type FileExamined, type FileHow } from '@/workers'
import { OTHER_WAYS, type OtherKind } from '../other-ways'
import { partsOf, type Place, type Target } from './bring-file'

const options = <T extends string>(words: Readonly<Record<T, string>>) =>
  (Object.keys(words) as T[]).map((value) => ({ value, label: words[value] }))
const FIELD_OPTIONS = [
  { value: '', label: 'kept as it is' },
  { value: 'id', label: 'Number in its source' },
  ...FIELDS.filter((f) => f.form !== 'structure').map((f) => ({ value: f.key, label: f.label })),
]

const NEW = 'new '
const NEW_DATABASE = `${NEW}database`
/** Sources that are not in the plan yet and come into it with the file. */
const NEW_SOURCES = [
  { value: NEW_DATABASE, label: 'a database that is not in the plan yet' },
  ...(Object.keys(OTHER_WAYS) as OtherKind[]).map((kind) => ({
    value: `${NEW}${kind}`,
    label: `new: ${OTHER_WAYS[kind].label}`,
  })),
]
const kindOfNew = (value: string): SourceChosen['kind'] => value.slice(NEW.length) as SourceChosen['kind']

/** A look at a file before it is brought in: what it is, how it is encoded, what its columns or tags mean. */
export function FileDialog({
  file,
  examined: found,
  target,
  further,
  busy,
  close,
  read,
}: {
  file: File
  examined: FileExamined
  target: Target
  /** So many files wait behind this one. */
  further: number
  busy: { words: string; stop: () => void } | undefined
  close: () => void
  read: (how: FileHow, target: Target, made?: SourceChosen) => void
}) {
  const store = useStore()
  const sources = useSession((s) => s.folded.review.sources)
  const [encoding, setEncoding] = useState<Encoding>()
  const [format, setFormat] = useState<FormatId>()
  const [shape, setShape] = useState<Shape>()
  const [sourceId, setSourceId] = useState(target.source?.id ?? NEW_DATABASE)
  const [name, setName] = useState<string>()
  const [place, setPlace] = useState<Place>(target.place)
  const { value: now = found, waiting } = useAsked(
    () =>
      encoding || format || shape
        ? longDesk().examine(file, {
            ...(encoding ? { encoding } : {}),
            ...(format ? { format } : {}),
            ...(shape ? { shape } : {}),
          })
        : Promise.resolve(found),
    [file, found, encoding, format, shape],
    { keep: true },
  )
  const lack = now.shape && lackOf(now.shape)
  const before = partsOf(store, sourceId).length
  const source = sources.find((s) => s.id === sourceId)
  const kind = source ? undefined : kindOfNew(sourceId)
  const called = (name ?? (kind && kind !== 'database' ? OTHER_WAYS[kind].name : '')).trim()
  return (
    <Modal
      open
      width={860}
      title={`Bring in ${file.name}`}
      onCancel={close}
      footer={
        busy ? (
          <Button onClick={busy.stop}>{busy.words} Stop</Button>
        ) : (
          <>
            {further > 0 && <span className="sub file-further">{further} more behind it</span>}
            <Button onClick={close}>Leave it</Button>
            <Button
              type="primary"
              disabled={!now.shape || lack !== undefined || waiting || (kind !== undefined && !called)}
              onClick={() =>
                read(
                  { encoding: now.encoding, shape: now.shape!, name: now.digest.slice(0, 8) },
                  { ...target, ...(source ? { source } : {}), place: before ? place : 'beside' },
                  kind && { kind, name: called },
                )
              }
            >
              Bring the records in
            </Button>
          </>
        )
      }
    >
      <div className="file-look">
        <p className="file-asks">
          <label>
            read as{' '}
            <Select
              size="small"
              aria-label="Format of the file"
              value={now.shape?.format ?? null}
              placeholder="not recognised"
              options={options(FORMAT_WORDS)}
              onChange={(value) => {
                setShape(undefined)
                setFormat(value as FormatId)
              }}
            />
          </label>
          <label>
            encoded as{' '}
            <Select
              size="small"
              aria-label="Encoding of the file"
              value={now.encoding}
              options={options(ENCODING_WORDS)}
              onChange={setEncoding}
              popupMatchSelectWidth={false}
            />
          </label>
          <label>
            for{' '}
            <Select
              size="small"
              aria-label="Source of the records"
              value={sourceId}
              options={[...sources.map((s) => ({ value: s.id, label: s.name })), ...NEW_SOURCES]}
              onChange={(value) => {
                setSourceId(value)
                setName(undefined)
              }}
              popupMatchSelectWidth={false}
            />
          </label>
          {kind && (
            <label>
              called{' '}
              <Input
                size="small"
                className="wide-5"
                aria-label="Name of the new source"
                value={name ?? (kind === 'database' ? '' : OTHER_WAYS[kind].name)}
                placeholder="as the section is to name it"
                onChange={(e) => setName(e.target.value)}
              />
            </label>
          )}
          {before > 0 && (
            <Select
              size="small"
              aria-label="Beside what was brought before, or in its place"
              value={place}
              options={[
                { value: 'beside', label: 'beside what it brought before' },
                { value: 'in place', label: 'in place of what it brought before' },
              ]}
              onChange={setPlace}
            />
          )}
        </p>
        <p className="sub">
          {encoding
            ? 'Do accents look right below?'
            : `${ENCODING_WORDS[now.guess.encoding]}: ${now.guess.why}.`}
          {!now.shape && !now.kind && ' What it is could not be recognised: say what it is read as.'}
        </p>
        {now.kind && !now.shape && <p className="file-problem">{now.kind}</p>}
        {lack && <p className="file-problem">{lack}</p>}
        {now.shape && kind && !called && <p className="sub">Say what the new source is called.</p>}
        {now.shape &&
          now.openNames?.map((open) => (
            <AskNames key={open.column} open={open} shape={now.shape!} set={setShape} />
          ))}
        <div className="file-sides">
          <section>
            <h3>Its first lines</h3>
            <pre>{now.lines.join('\n')}</pre>
          </section>
          <section>
            <h3>Its first records, as they are read</h3>
            {now.first.length === 0 && <p className="sub">None.</p>}
            {now.first.map(({ record, problems }, i) => (
              <p key={i} className="file-record">
                {record ? (
                  <>
                    <b>{record.title ? <Title text={record.title} /> : 'no title'}</b>
                    <span className="sub">
                      {[whoAndWhen(record), whereFrom(record), record.doi].filter(Boolean).join(' · ')}
                    </span>
                  </>
                ) : (
                  <b>broken</b>
                )}
                {problems.map((p) => (
                  <span key={p.message} className="file-problem">
                    {p.message}
                  </span>
                ))}
              </p>
            ))}
          </section>
        </div>
        {now.shape && <Mapping shape={now.shape} set={setShape} examples={now.examples} />}
      </div>
    </Modal>
  )
}

/** What each column or tag means, to be said otherwise. */
function Mapping({
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
function AskNames({ open, shape, set }: { open: OpenNames; shape: Shape; set: (shape: Shape) => void }) {
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
