'use client'
import { dropVocabulary, takeVocabulary } from '@/core/doing'
import { App, Button, Modal, Select } from 'antd'
import { useRef, useState } from 'react'
import { digestOf, messageOf, plural, thousands } from '@/core/base'
import type { Review } from '@/core/review'
import { useDoor } from '@/page/handed-in'
import { useStore } from '@/page/provider'
import { fileKey, type SourceInfo } from '@/standins/source-info'
import { vocabularyDesk, type Examined } from '@/workers'

/** Brings a vocabulary in from a file: what is in it and what is wrong with it is shown before it is taken. */
export function VocabularyImport({
  review,
  sources,
  close,
}: {
  review: Review
  sources: readonly SourceInfo[]
  close: () => void
}) {
  const { deed, doIt, lay } = useStore()
  const { message } = App.useApp()
  const databases = sources.filter((s) => s.source.kind === 'database' || s.source.kind === 'catalogue')
  const [sourceId, setSourceId] = useState((databases.find((s) => !s.vocabulary) ?? databases[0])?.source.id)
  const [file, setFile] = useState<{ name: string; bytes: Uint8Array; digest: string; examined: Examined }>()
  const [busy, setBusy] = useState(false)
  const input = useRef<HTMLInputElement>(null)
  const info = databases.find((s) => s.source.id === sourceId)

  const read = async (chosen: File): Promise<void> => {
    setBusy(true)
    try {
      const bytes = new Uint8Array(await chosen.arrayBuffer())
      const digest = digestOf(bytes)
      const examined = await vocabularyDesk().examine(fileKey({ digest }), bytes, chosen.name)
      setFile({ name: chosen.name, bytes, digest, examined })
    } catch (error) {
      deed(message.error(`${chosen.name} could not be read: ${messageOf(error)}`))
    } finally {
      setBusy(false)
    }
  }
  useDoor('vocabulary', (chosen) => deed(read(chosen)))
  const take = (): void => {
    if (!file?.examined.ok || !sourceId) return
    const { title, version, headings, problems, format } = file.examined
    deed(
      lay(async ({ keepBytes }) =>
        doIt(takeVocabulary, {
          sourceId,
          title,
          version,
          file: file.name,
          format,
          digest: await keepBytes(file.bytes),
          headings,
          remarks: problems.length,
        }),
      ),
    )
    close()
  }
  return (
    <Modal
      open
      title="A vocabulary from a file"
      width={720}
      onCancel={close}
      footer={[
        <Button key="leave" onClick={close}>
          Leave it
        </Button>,
        <Button key="take" type="primary" disabled={!file?.examined.ok || !sourceId} onClick={take}>
          {info ? `Use it for ${info.short}` : 'Use it'}
        </Button>,
      ]}
    >
      <p className="sub below-2">
        SKOS as Turtle, N-Triples, RDF/XML or JSON-LD; or a plain list of terms with USE, UF, BT, NT, RT and
        SN below them, or with indents alone. The file is kept with the review as it is.
      </p>
      <div className="in-row level">
        <Button loading={busy} onClick={() => input.current?.click()}>
          {file ? 'Choose another file' : 'Choose a file'}
        </Button>
        <input
          ref={input}
          type="file"
          hidden
          accept=".ttl,.nt,.rdf,.xml,.jsonld,.json,.txt"
          aria-label="Vocabulary file"
          onChange={(e) => {
            const [chosen] = e.target.files ?? []
            e.target.value = ''
            if (chosen) deed(read(chosen))
          }}
        />
        <span className="sub">for</span>
        <Select
          size="small"
          aria-label="Source of this vocabulary"
          className="wide-5"
          placeholder="a database"
          value={sourceId ?? null}
          options={databases.map((s) => ({ value: s.source.id, label: s.source.name }))}
          onChange={setSourceId}
        />
      </div>
      {!databases.length && (
        <p className="note">
          No database is planned yet. Add one under Question, then give it its vocabulary here.
        </p>
      )}
      {info?.vocabulary && (
        <p className="quiet-note">
          {info.short} has {info.vocabulary.title}; the file takes its place in the grid. Headings taken
          before stay.
        </p>
      )}
      {file && <Report name={file.name} examined={file.examined} />}
      {review.vocabularies.length > 0 && (
        <div className="above-3">
          <h2>From files already</h2>
          {review.vocabularies.map((v) => (
            <p key={v.id} className="sub">
              {v.title} · {plural(v.headings, 'heading')} ·{' '}
              {sources.find((s) => s.source.id === v.sourceId)?.short ?? 'a source that is gone'} ·{' '}
              <button className="plain link" onClick={() => deed(doIt(dropVocabulary, v.id))}>
                take it out
              </button>
            </p>
          ))}
        </div>
      )}
    </Modal>
  )
}

function Report({ name, examined }: { name: string; examined: Examined }) {
  if (!examined.ok)
    return (
      <div className="above-3">
        <p className="note">
          <b>{name} was not taken over.</b> {examined.problems.map((p) => p.message).join(' ')}
        </p>
      </div>
    )
  const { title, headings, levels, entryTerms, tops, problems, format } = examined
  return (
    <div className="above-3">
      <h2>{title}</h2>
      <p>
        {plural(headings, 'heading')} over {plural(levels, 'level')}, {plural(entryTerms, 'entry term')}, read
        as {FORMAT_WORDS[format]}.
      </p>
      <p className="sub">
        At the top: {tops.join(' · ')}
        {tops.length === 8 && ' …'}
      </p>
      {problems.length ? (
        <>
          <p className="above-2">
            <b>{thousands(problems.length)} remarks.</b> What could be mended was mended so:
          </p>
          <ul className="remarks">
            {problems.slice(0, 200).map((p, i) => (
              <li key={i}>
                <span className="sub mono">{p.code}</span> {p.message}
              </li>
            ))}
          </ul>
        </>
      ) : (
        <p className="sub">Nothing to remark: relations hold both ways, no heading is below itself.</p>
      )}
    </div>
  )
}

const FORMAT_WORDS = {
  turtle: 'SKOS in Turtle',
  'json-ld': 'SKOS in JSON-LD',
  'rdf-xml': 'SKOS in RDF/XML',
  'term list': 'a list of terms',
} as const
