'use client'
import { Button, Modal, Select } from 'antd'
import { useState } from 'react'
import {
  ENCODING_WORDS,
  FORMAT_WORDS,
  lackOf,
  type Encoding,
  type FormatId,
  type Shape,
} from '@/core/records'
import type { SourceChosen } from '@/core/doing'
import { useAsked } from '@/page/use-asked'
import { longDesk, type FileExamined, type FileHow } from '@/workers'
import type { Target } from './bring-file'
import { AskNames, Mapping } from './file-mapping'
import { FileSides } from './file-sides'
import { SourceChoice, useSourceChoice } from './source-choice'

const options = <T extends string>(words: Readonly<Record<T, string>>) =>
  (Object.keys(words) as T[]).map((value) => ({ value, label: words[value] }))
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
  const [encoding, setEncoding] = useState<Encoding>()
  const [format, setFormat] = useState<FormatId>()
  const [shape, setShape] = useState<Shape>()
  const choice = useSourceChoice(target)
  const { source, kind, called, before, place } = choice
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
          <SourceChoice choice={choice} />
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
        <FileSides examined={now} />
        {now.shape && <Mapping shape={now.shape} set={setShape} examples={now.examples} />}
      </div>
    </Modal>
  )
}
