'use client'
import { messageOf } from '@/core/base'
import { App, Button, Select } from 'antd'
import dynamic from 'next/dynamic'
import { Fragment, useMemo } from 'react'
import { tellingOf, toHtml, toLatex, toMarkdown, type DocumentTree } from '@/core/account'
import type { TellingLength, TellingOrder, Voice } from '@/core/review'
import { useActions, type Action } from '@/store/actions'
import { useSession, useStore } from '@/store/provider'
import { useAccount } from '@/store/use-account'
import { fileName, saveFile } from '@/ui/save-file'
import { KeyHint } from '../shared/key-hint'
import { handOn } from '../shared/save-package'
import { useYieldsKept } from '../shared/use-yields-kept'
import { EarlierTexts } from './earlier-texts'
import { saveWord } from '../shared/word-files'
import { sectionOf } from './section-files'
import { SourcesTable } from './sources-table'

const PassageEditor = dynamic(() => import('./passage-editor').then((m) => m.PassageEditor), { ssr: false })

const VOICES: { value: Voice; label: string }[] = [
  { value: 'we', label: 'We searched …' },
  { value: 'I', label: 'I searched …' },
  { value: 'passive', label: '… was searched' },
]

const ORDERS: { value: TellingOrder; label: string }[] = [
  { value: 'theme', label: 'by theme' },
  { value: 'time', label: 'in order of time' },
]
const LENGTHS: { value: TellingLength; label: string }[] = [
  { value: 'full', label: 'in full' },
  { value: 'short', label: 'short' },
]

/** The methods section as a page: written by the record, edited by hand, handed out as a file. */
export function MethodsStage() {
  const store = useStore()
  const { act, deed } = store
  const { context, passages } = useAccount()
  const { message } = App.useApp()
  const { review } = context
  const told = useSession((s) => s.told)
  useYieldsKept(true)
  const actions = useMemo<Action[]>(() => {
    const title = review.title || 'Search and selection'
    const failed = (error: unknown): void => {
      message.error(`The file could not be made: ${messageOf(error)}`)
    }
    const file =
      (ending: string, type: string, write: (tree: DocumentTree) => Promise<BlobPart> | BlobPart) =>
      (): void =>
        deed(
          sectionOf(context, told, passages)
            .then(write)
            .then((bytes) => saveFile(fileName(title, ending), bytes, type))
            .catch(failed),
        )
    return [
      {
        id: 'word',
        label: 'Word',
        key: 'E',
        strip: true,
        run: () =>
          deed(
            sectionOf(context, told, passages)
              .then((tree) => saveWord(fileName(title, 'docx'), tree))
              .catch(failed),
          ),
      },
      {
        id: 'markdown',
        label: 'Markdown',
        key: 'M',
        strip: true,
        run: file('md', 'text/markdown', toMarkdown),
      },
      { id: 'html', label: 'HTML', key: 'H', run: file('html', 'text/html', toHtml) },
      { id: 'latex', label: 'LaTeX', key: 'L', run: file('tex', 'application/x-tex', toLatex) },
      {
        id: 'methods-package',
        label: 'Package',
        key: 'P',
        strip: true,
        run: () => handOn(store),
      },
    ]
  }, [context, deed, message, passages, review.title, store, told])
  useActions('methods', actions)
  const telling = tellingOf(context)
  const shown = passages.filter((p) => p.content.length)
  return (
    <div className="methods">
      <nav className="outline" aria-label="Outline">
        {passages.map((p, i) => (
          <button
            key={p.id}
            className="plain"
            disabled={!p.content.length}
            style={p.content.length ? {} : { color: 'var(--ink3)' }}
            onClick={() =>
              document
                .getElementById(`passage-${p.id}`)
                ?.scrollIntoView({ behavior: 'smooth', block: 'start' })
            }
          >
            {i + 1} {p.title}
          </button>
        ))}
      </nav>
      <div className="page">
        <div className="page-head">
          <h1>Search and selection</h1>
          <span style={{ display: 'flex', gap: 8, alignItems: 'center', flexWrap: 'wrap' }}>
            <Select
              size="small"
              variant="borderless"
              aria-label="Voice"
              value={review.account.voice}
              options={VOICES}
              onChange={(voice: Voice) => deed(act('account.voice', { voice }))}
            />
            <Select
              size="small"
              variant="borderless"
              aria-label="Order"
              popupMatchSelectWidth={false}
              value={telling.order}
              options={ORDERS}
              onChange={(order: TellingOrder) => deed(act('account.telling', { ...telling, order }))}
            />
            <Select
              size="small"
              variant="borderless"
              aria-label="Length"
              popupMatchSelectWidth={false}
              value={telling.length}
              options={LENGTHS}
              onChange={(length: TellingLength) => deed(act('account.telling', { ...telling, length }))}
            />
            {actions.map((a) => (
              <Button key={a.id} size="small" onClick={a.run}>
                {a.label}
                <KeyHint of={a} />
              </Button>
            ))}
          </span>
        </div>
        {shown.map((p) => (
          <Fragment key={p.id}>
            <PassageEditor passage={p} />
            {(p.id === 'where' || p.id === 'searched') && <SourcesTable context={context} />}
          </Fragment>
        ))}
        <EarlierTexts context={context} shown={shown.map((p) => p.id)} />
        {!shown.length && (
          <p className="empty serif" style={{ fontSize: 16 }}>
            The section writes itself as you work: the question first, then where you looked, with which
            words, what came back and how you chose. Begin with the question (<kbd>⇧1</kbd>).
          </p>
        )}
      </div>
    </div>
  )
}
