'use client'
import { chooseTelling, chooseVoice } from '@/core/doing'
import { messageOf } from '@/core/base'
import { App, Select } from 'antd'
import dynamic from 'next/dynamic'
import { Fragment, useEffect, useMemo, useState } from 'react'
import { later } from '@/ui/later'
import {
  departures,
  openItems,
  tellingOf,
  type DocumentTree,
  type FactContext,
  type Passage,
  targetsIn,
} from '@/core/account'
import { openPoints, type TellingLength, type TellingOrder, type Voice } from '@/core/review'
import { useActions, type Action } from '@/store/actions'
import { useSession, useStore } from '@/store/provider'
import { useAccount } from '@/store/use-account'
import { useWhereabouts } from '@/store/whereabouts'
import { useYields } from '@/store/yields'
import { fileName, saveFile } from '@/ui/save-file'
import { KeyHint } from '../shared/key-hint'
import { StageLink } from '../shared/stage-link'
import { Tabs } from '../shared/tabs'
import { handOn } from '../shared/hand-on/hand-on-dialog'
import { useYieldsKept } from '../shared/use-yields-kept'
import { keepTargets } from './editor/targets'
import { saveWord } from '../shared/word-files'
import { SourcesTable } from './sources-table'

const ChecklistPane = later(() => import('./checklist-pane').then((m) => m.ChecklistPane))
const EarlierTexts = later(() => import('./earlier-texts').then((m) => m.EarlierTexts), { beside: true })
const ProtocolPane = later(() => import('./protocol-pane').then((m) => m.ProtocolPane))
const SearchReviewPane = later(() => import('./search-review-pane').then((m) => m.SearchReviewPane))
const VersionsPane = later(() => import('./versions-pane').then((m) => m.VersionsPane))

/** What writes a file is fetched when one is asked for. */
const writers = (): Promise<typeof import('./section-writers')> => import('./section-writers')

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

const PANES = [
  { id: 'section', label: 'Section', key: 'S' },
  { id: 'protocol', label: 'Protocol', key: 'O' },
  { id: 'checklist', label: 'Reporting items', key: 'C' },
  { id: 'searchreview', label: 'Search review', key: 'R' },
  { id: 'versions', label: 'Frozen texts', key: 'V' },
] as const
type PaneId = (typeof PANES)[number]['id']

/** What waits in a pane, or stands in it to be looked at. */
const WAITS: Partial<Record<PaneId, (context: FactContext) => number>> = {
  protocol: (c) => departures(c).length,
  checklist: openItems,
  searchreview: ({ review }) => openPoints(review).length,
  versions: ({ review }) => review.frozenTexts?.length ?? 0,
}

/** Where a deed or a fact leads to on this stage. */
const paneOf = (anchor: string | undefined): PaneId | undefined =>
  anchor === 'protocol' || anchor?.startsWith('departure:')
    ? 'protocol'
    : anchor === 'versions' || anchor === 'searchreview'
      ? anchor
      : anchor?.startsWith('passage:')
        ? 'section'
        : undefined

/** What is handed on: the section, the protocol it was planned by, what has to be reported, and texts that were frozen. */
export function MethodsStage() {
  const { context, passages } = useAccount()
  const told = useSession((s) => s.told)
  useYieldsKept(true)
  const [pane, setPane] = useState<PaneId>('section')
  const [actions] = useState<Action[]>(() =>
    PANES.map(({ id, label, key }) => ({ id: `methods-${id}`, label, key, run: () => setPane(id) })),
  )
  useActions('methods panes', actions)
  // What is led to stands in one of the panes.
  const wanted = useWhereabouts((s) => s.wanted)
  const [led, setLed] = useState<string>()
  if (wanted !== led) {
    setLed(wanted)
    const to = paneOf(wanted)
    if (to) setPane(to)
  }
  return (
    <>
      <Tabs
        label="Methods"
        tabs={PANES}
        chosen={pane}
        choose={setPane}
        actions="methods"
        waits={(id) => {
          const waiting = WAITS[id]?.(context)
          return waiting ? <i>{waiting}</i> : null
        }}
      />
      {pane === 'section' && <SectionPane context={context} passages={passages} />}
      {pane === 'protocol' && <ProtocolPane context={context} />}
      {pane === 'checklist' && (
        <ChecklistPane context={context} passages={passages} show={() => setPane('section')} />
      )}
      {pane === 'searchreview' && <SearchReviewPane review={context.review} />}
      {pane === 'versions' && <VersionsPane context={context} told={told} passages={passages} />}
    </>
  )
}

/** The methods section as a page: written by the record, edited by hand, handed out as a file. */
function SectionPane({ context, passages }: { context: FactContext; passages: readonly Passage[] }) {
  const store = useStore()
  const { deed, doIt } = store
  const { message } = App.useApp()
  const { review } = context
  const told = useSession((s) => s.told)
  // A file that is made while words are counted would hold another text than the one that is read a moment later.
  const counting = useYields((s) => s.counting)
  const actions = useMemo<Action[]>(() => {
    const title = review.title || 'Search and selection'
    const failed = (error: unknown): void => {
      message.error(`The file could not be made: ${messageOf(error)}`)
    }
    const file =
      (ending: string, type: string, write: (tree: DocumentTree) => Promise<BlobPart> | BlobPart) =>
      (): void =>
        deed(
          writers()
            .then((w) => w.sectionOf(context, told, passages))
            .then(write)
            .then((bytes) => saveFile(fileName(title, ending), bytes, type))
            .catch(failed),
        )
    const files: Action[] = [
      {
        id: 'word',
        label: 'Word',
        key: 'E',
        strip: true,
        run: () =>
          deed(
            writers()
              .then((w) => w.sectionOf(context, told, passages))
              .then((tree) => saveWord(fileName(title, 'docx'), tree))
              .catch(failed),
          ),
      },
      {
        id: 'markdown',
        label: 'Markdown',
        key: 'M',
        strip: true,
        run: file('md', 'text/markdown', async (tree) => (await writers()).toMarkdown(tree)),
      },
      {
        id: 'html',
        label: 'HTML',
        key: 'H',
        run: file('html', 'text/html', async (tree) => (await writers()).toHtml(tree)),
      },
      {
        id: 'latex',
        label: 'LaTeX',
        key: 'L',
        run: file('tex', 'application/x-tex', async (tree) => (await writers()).toLatex(tree)),
      },
    ]
    return [
      ...(counting ? [] : files),
      {
        id: 'methods-package',
        label: 'Package',
        key: 'P',
        strip: true,
        run: () => handOn(store),
      },
    ]
  }, [context, counting, deed, message, passages, review.title, store, told])
  useActions('methods', actions)
  // What can be referred to is shown in the text, which is not drawn anew for it.
  useEffect(() => keepTargets(targetsIn(context, passages)), [context, passages])
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
          <span className="in-row level wraps">
            <Select
              size="small"
              variant="borderless"
              aria-label="Voice"
              value={review.account.voice}
              options={VOICES}
              onChange={(voice: Voice) => deed(doIt(chooseVoice, voice))}
            />
            <Select
              size="small"
              variant="borderless"
              aria-label="Order"
              popupMatchSelectWidth={false}
              value={telling.order}
              options={ORDERS}
              onChange={(order: TellingOrder) => deed(doIt(chooseTelling, { ...telling, order }))}
            />
            <Select
              size="small"
              variant="borderless"
              aria-label="Length"
              popupMatchSelectWidth={false}
              value={telling.length}
              options={LENGTHS}
              onChange={(length: TellingLength) => deed(doIt(chooseTelling, { ...telling, length }))}
            />
          </span>
          <span className="hand-out">
            Save as
            {actions.map((a) => (
              <button key={a.id} className="plain link" onClick={a.run}>
                {a.label}
                <KeyHint of={a} />
              </button>
            ))}
          </span>
        </div>
        {shown.map((p) => (
          <Fragment key={p.id}>
            <PassageEditor passage={p} draft={p.draft} context={context} />
            {(p.id === 'where' || p.id === 'searched') && <SourcesTable context={context} />}
          </Fragment>
        ))}
        <EarlierTexts context={context} shown={shown.map((p) => p.id)} />
        {!shown.length && (
          <p className="empty serif larger">
            The section writes itself as you work: the question first, then where you looked, with which
            words, what came back and how you chose. Begin with <StageLink to="Question" />.
          </p>
        )}
      </div>
    </div>
  )
}
