'use client'
import { App, Button, Select } from 'antd'
import { useEffect, useMemo, useState } from 'react'
import { plural, thousands } from '@/core/base'
import { logExport } from '@/core/doing'
import {
  FIELDS,
  FORMAT_CONTENTS,
  FORMAT_ENDINGS,
  FORMAT_WORDS,
  handedName,
  readStyle,
  STYLES,
  WRITERS,
  type OwnStyle,
  type Reference,
  type StyleId,
  type Writable,
} from '@/core/records'
import { useDoor } from '@/page/handed-in'
import { useSession, useStore } from '@/page/provider'
import { useAsked } from '@/page/use-asked'
import { useFilePick } from '@/ui/file-pick'
import { fileName, saveFile } from '@/ui/save-file'
import { longDesk, recordsDesk } from '@/workers'
import { useNotices } from '../../shared/notices'
import type { AskedWorksState } from '../list/use-asked-works'
import type { Desk } from '../use-desk'
import { Files } from './files'
import { TypesBox } from './types-box'
import { referencesHtml, referencesText, referencesWord } from './documents'

const STYLE_OPTIONS = Object.entries(STYLES).map(([value, label]) => ({ value, label }))
const FROM_FILE = 'from file'
/** The files of styles that were brought in, in this browser. */
const OWN_STYLES = 'styles of references'
const USUAL = ['authors', 'year', 'title', 'journal', 'volume', 'issue', 'pages', 'doi', 'abstract']
/** More references than this are not made on a screen at once: the style takes its time for each. */
const MOST = 2000

/** The works of the list as a reference list in a style, and as files. */
export function ReferencesPane({ desk, list }: { desk: Desk; list: AskedWorksState }) {
  const review = useSession((s) => s.folded.review)
  const store = useStore()
  const { deed, doIt } = store
  const { message } = App.useApp()
  const [style, setStyle] = useState<string>('apa')
  const [own, setOwn] = useState<readonly OwnStyle[]>([])
  const [fields, setFields] = useState<string[]>(USUAL)
  useEffect(() => {
    store.setting(OWN_STYLES).then((kept) => {
      const read = Array.isArray(kept) ? kept.flatMap((text) => readStyle(String(text))) : []
      setOwn(read.flatMap((r) => (r.ok ? [r.value] : [])))
    }, store.refuse)
  }, [store])
  const ofFile = own.find((o) => o.title === style)
  const styleWords = ofFile?.title ?? STYLES[style as StyleId]
  const takeStyle = (chosen: File): void => {
    const take = async (): Promise<void> => {
      const read = readStyle(await chosen.text())
      if (!read.ok) {
        message.error(`${chosen.name}: ${read.problems[0]!.message}`, 12)
        return
      }
      const all = [...own.filter((o) => o.title !== read.value.title), read.value]
      await store.setSetting(
        OWN_STYLES,
        all.map((o) => o.text),
      )
      setOwn(all)
      setStyle(read.value.title)
    }
    deed(take())
  }
  const styleFile = useFilePick('A style for references', '.csl,.xml', takeStyle)
  useDoor('style', takeStyle)
  const { answer, narrowed, asked } = list
  const number = answer?.number
  const count = answer?.count ?? 0
  const {
    value: references,
    waiting,
    failed,
  } = useAsked(
    async () => {
      if (number === undefined || count > MOST) return undefined
      const records = await recordsDesk().lastRecords(number)
      const set = await longDesk().references(records, ofFile ? { text: ofFile.text } : (style as StyleId))
      return set.map((r) => ({ ...r, id: records[r.at]!.id }))
    },
    [number, style, ofFile, count],
    { keep: true },
  )
  const { on } = useNotices()
  const noticed = useMemo(() => new Set([...on.keys()].map(handedName)), [on])
  const which = narrowed ? wordsOf(asked.words, Object.values(asked.chosen).flat().length) : 'all'
  const log = (format: string, works: number, own?: string[]): void =>
    deed(doIt(logExport, { format, works, which, ...(own ? { fields: own } : {}) }))
  const file = async (format: Writable): Promise<void> => {
    if (number === undefined) return
    const own = format === 'csv' ? fields : undefined
    const { text, works } = await recordsDesk().write(number, format, own)
    saveFile(fileName(review.title, FORMAT_ENDINGS[format]), text, FORMAT_CONTENTS[format])
    log(format, works, own)
    message.success(`${plural(works, 'work')} written as ${FORMAT_WORDS[format]}.`)
  }
  const document = async (kind: 'html' | 'word' | 'text'): Promise<void> => {
    if (!references) return
    const name = `${review.title} references`
    if (kind === 'html')
      saveFile(fileName(name, 'html'), referencesHtml(references, review.title), 'text/html')
    if (kind === 'text') saveFile(fileName(name, 'txt'), referencesText(references), 'text/plain')
    if (kind === 'word')
      saveFile(
        fileName(name, 'docx'),
        (await referencesWord(references)) as BlobPart,
        'application/vnd.openxmlformats-officedocument.wordprocessingml.document',
      )
    log(`reference list, ${styleWords}, ${kind}`, references.length)
  }
  if (!desk.version || !answer) return <p className="empty">Reading the records …</p>
  const hinted = references?.filter((r) => r.hints.length).length ?? 0
  return (
    <div className="references">
      <section className="references-list">
        <p className="references-head">
          <Select
            size="small"
            aria-label="Style of the references"
            value={style}
            options={[
              ...STYLE_OPTIONS,
              ...own.map(({ title }) => ({ value: title, label: title })),
              { value: FROM_FILE, label: 'a style from its file …' },
            ]}
            onChange={(value) => (value === FROM_FILE ? styleFile.open() : setStyle(value))}
            popupMatchSelectWidth={false}
          />
          {styleFile.input}
          <Button size="small" disabled={!references} onClick={() => deed(document('word'))}>
            Word
          </Button>
          <Button size="small" disabled={!references} onClick={() => deed(document('html'))}>
            HTML
          </Button>
          <Button size="small" disabled={!references} onClick={() => deed(document('text'))}>
            Plain text
          </Button>
          <span className="sub">
            {narrowed ? `${plural(count, 'work')} of the list as it is narrowed` : 'all works'}
            {hinted > 0 && ` · ${plural(hinted, 'wants', 'want')} a look`}
          </span>
        </p>
        {count > MOST ? (
          <p className="empty">
            These are {thousands(count)} works. Narrow the list to {thousands(MOST)} or fewer for references;
            files can be written of all.
          </p>
        ) : !references ? (
          <p className="empty">{waiting ? 'Setting the references …' : (failed ?? 'There are none.')}</p>
        ) : (
          <ol className="reference-entries">
            {references.map((r) => (
              <Entry key={r.at} reference={r} noticed={noticed.has(r.id)} />
            ))}
          </ol>
        )}
      </section>
      <section className="references-files">
        <h3>Write a file</h3>
        <p>
          {(Object.keys(WRITERS) as Writable[]).map((format) => (
            <Button key={format} size="small" onClick={() => deed(file(format))}>
              {FORMAT_WORDS[format]}
            </Button>
          ))}
        </p>
        <p className="sub">Fields of the CSV, in their order:</p>
        <Select
          mode="multiple"
          optionFilterProp="label"
          size="small"
          className="whole"
          aria-label="Fields of the CSV"
          value={fields}
          options={FIELDS.map((f) => ({ value: f.key, label: f.label }))}
          onChange={setFields}
        />
        <Handed />
        {number !== undefined && <TypesBox number={number} count={count} />}
        <Files />
      </section>
    </div>
  )
}

/** A reference with its hints. What stands in it was made safe: letters, and tags for italics and the like alone. */
function Entry({ reference: { html, hints }, noticed }: { reference: Reference; noticed: boolean }) {
  return (
    <li>
      <span dangerouslySetInnerHTML={{ __html: html }} />
      {noticed && <span className="reference-hints">there is a notice on it</span>}
      {hints.length > 0 && <span className="reference-hints">{hints.join(' · ')}</span>}
    </li>
  )
}

/** What was handed out, the last first. */
function Handed() {
  const exports = useSession((s) => s.folded.review.exports) ?? []
  if (!exports.length) return null
  return (
    <>
      <h3>Handed out so far</h3>
      {[...exports]
        .reverse()
        .slice(0, 8)
        .map((e) => (
          <p key={e.id} className="sub">
            {e.at.slice(0, 10)} · {plural(e.works, 'work')} ({e.which}) ·{' '}
            {Object.hasOwn(FORMAT_WORDS, e.format) ? FORMAT_WORDS[e.format as Writable] : e.format}
          </p>
        ))}
    </>
  )
}

const wordsOf = (words: string, chosen: number): string =>
  [words.trim() && `with ${words.trim()}`, chosen > 0 && `narrowed by ${plural(chosen, 'value')}`]
    .filter(Boolean)
    .join(', ') || 'narrowed'
