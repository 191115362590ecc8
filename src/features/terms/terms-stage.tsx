'use client'
import { dropTerm, moveTerm, sayHeading, takeTermBack } from '@/core/doing'
import { App, Button, Dropdown } from 'antd'
import { useEffect, useMemo, useRef, useState } from 'react'
import { later } from '@/ui/later'
import { flushSync } from 'react-dom'
import type { Concept, Review, Term } from '@/core/review'
import { useActions, type Action } from '@/store/actions'
import { useOpensFor } from '@/store/handed-in'
import { useSession, useStore } from '@/store/provider'
import { hasHeadings, type SourceInfo } from '@/standins/source-info'
import { useSplit } from '@/ui/split'
import { Tabs } from '../shared/tabs'
import { DroppedReason } from './dropped'
import { useSourceInfos } from '../shared/vocabulary-files'
import type { ChipDeeds } from './chip'
import { saveGrid, type GridFile } from './grid-files'
import { PlanLines, usePlanAgainstRun } from '../shared/plan-lines'
import { HeadingsSeen } from './headings-seen'
import { Reader } from './reader'
import { sameCell, TermGrid, type Cell } from './term-grid'
import { WordEntry } from './word-entry'
import { StageLink } from '../shared/stage-link'

const Harvest = later(() => import('./harvest').then((m) => m.Harvest))
const VocabularyImport = later(() => import('./vocabulary-import').then((m) => m.VocabularyImport))
const Names = later(() => import('./names').then((m) => m.Names))

const PANES = [
  { id: 'terms', key: 'E', label: 'Terms of this cell' },
  { id: 'harvest', key: 'H', label: 'Harvest' },
  { id: 'names', key: 'Y', label: 'Names' },
  { id: 'lines', key: 'P', label: 'Plan and lines' },
] as const
type Pane = (typeof PANES)[number]['id']

/** The grid: a row a concept, text words first, then the vocabulary of each source; below it what belongs to a cell. */
export function TermsStage() {
  const review = useSession((s) => s.folded.review)
  const sources = useSourceInfos(review)
  const [importing, setImporting] = useState(false)
  if (!review.concepts.length)
    return (
      <>
        <h1>Terms</h1>
        <p className="empty">
          A row for each concept will stand here, with its words and, for each database, the headings of its
          thesaurus. Weave concepts into the question first, under <StageLink to="Question" />.
        </p>
      </>
    )
  return (
    <>
      <Grid review={review} sources={sources} importVocabulary={() => setImporting(true)} />
      {importing && <VocabularyImport review={review} sources={sources} close={() => setImporting(false)} />}
    </>
  )
}

function Grid({
  review,
  sources,
  importVocabulary,
}: {
  review: Review
  sources: readonly SourceInfo[]
  importVocabulary: () => void
}) {
  const { deed } = useStore()
  const { message } = App.useApp()
  const columns = useMemo(() => sources.filter(hasHeadings), [sources])
  const cells = useMemo(
    () =>
      review.concepts.flatMap((c) =>
        ['all', ...columns.map((s) => s.source.id)].map((sourceId): Cell => ({ conceptId: c.id, sourceId })),
      ),
    [review.concepts, columns],
  )
  const [chosen, setChosen] = useState<Cell>()
  const cell = (chosen && cells.find((c) => sameCell(c, chosen))) ?? cells[0]!
  const [pane, setPane] = useState<Pane>('terms')
  const [openAt, setOpenAt] = useState<{ label: string }>()
  const [asking, setAsking] = useState<string>()
  const { part, handle } = useSplit('terms', 56)
  const { unused, unplanned } = usePlanAgainstRun(review, sources)
  const concept = review.concepts.find((c) => c.id === cell.conceptId)!
  const deeds = useChipDeeds(setChosen, setPane, setOpenAt, setAsking)
  const dropped = review.terms.find((t) => t.id === asking && t.status === 'dropped')

  const actions = useMemo<Action[]>(() => {
    const move = (right: number, down: number) => (): void => {
      const width = columns.length + 1
      const at = cells.findIndex((c) => sameCell(c, cell))
      const x = Math.max(0, Math.min(width - 1, (at % width) + right))
      const y = Math.max(0, Math.min(review.concepts.length - 1, Math.floor(at / width) + down))
      setChosen(cells[y * width + x])
    }
    // Drawn and focused before the next key comes, so that no letter of what is typed gets lost.
    const show = (id: Pane): void => {
      flushSync(() => setPane(id))
      focusPane(id)
    }
    const save = (as: GridFile) => (): void =>
      deed(saveGrid(review, as).catch((error: unknown) => message.error(String(error))))
    return [
      {
        id: 'terms-look',
        label: 'Look up or type',
        key: '/',
        strip: true,
        run: () => show('terms'),
      },
      {
        id: 'terms-chips',
        label: 'Into the terms of the cell',
        key: 'Enter',
        strip: true,
        when: () => document.querySelector('.grid td.on .chip') !== null,
        run: () => document.querySelector<HTMLElement>('.grid td.on .chip')?.focus(),
      },
      { id: 'terms-left', label: 'Cell to the left', key: 'ArrowLeft', run: move(-1, 0) },
      { id: 'terms-right', label: 'Cell to the right', key: 'ArrowRight', run: move(1, 0) },
      { id: 'terms-up', label: 'Cell above', key: 'ArrowUp', run: move(0, -1) },
      { id: 'terms-down', label: 'Cell below', key: 'ArrowDown', run: move(0, 1) },
      ...PANES.map((p) => ({
        id: `terms-pane-${p.id}`,
        label: p.label,
        key: p.key,
        strip: p.id === 'harvest',
        run: () => show(p.id),
      })),
      {
        id: 'vocabulary-import',
        label: 'Bring in a vocabulary from a file',
        key: 'V',
        run: importVocabulary,
      },
      { id: 'grid-csv', label: 'Save the grid as a table (CSV)', run: save('csv') },
      { id: 'grid-word', label: 'Save the plan as a worksheet (Word)', run: save('docx') },
      { id: 'grid-markdown', label: 'Save the plan as a worksheet (Markdown)', run: save('md') },
    ]
  }, [importVocabulary, columns.length, cells, review, cell, deed, message])
  useActions('terms', actions)
  useOpensFor('vocabulary', importVocabulary)
  useEffect(() => {
    document.querySelector('.grid td.on')?.scrollIntoView({ block: 'nearest' })
  }, [cell])

  const info = columns.find((s) => s.source.id === cell.sourceId)
  const open = unused.length + unplanned.length
  return (
    <div className="filled">
      <div className="stage-head">
        <h1>Terms</h1>
        <span className="sub">
          one row a concept; words serve every source, headings their own vocabulary
        </span>
        <span className="sub apart">⌄ with narrower &nbsp; ◉ main focus</span>
        <Dropdown
          trigger={['click']}
          menu={{
            items: [
              { key: 'vocabulary-import', label: 'A vocabulary from a file …' },
              { type: 'divider' },
              { key: 'grid-csv', label: 'Save the grid as a table (CSV)' },
              { key: 'grid-word', label: 'Save the plan as a worksheet (Word)' },
              { key: 'grid-markdown', label: 'Save the plan as a worksheet (Markdown)' },
            ],
            onClick: ({ key }) => actions.find((a) => a.id === key)?.run(),
          }}
        >
          <Button size="small">Files</Button>
        </Dropdown>
      </div>
      <div
        className="grid-room"
        style={{ maxHeight: `calc(${part}% - 44px)` }}
        tabIndex={0}
        role="group"
        aria-label="Term grid. Arrows move between cells, Enter goes to the terms of a cell."
      >
        <TermGrid review={review} columns={columns} cell={cell} choose={setChosen} deeds={deeds} />
      </div>
      <div {...handle} />
      {dropped && (
        <DroppedReason key={dropped.id} term={dropped} autoFocus done={() => setAsking(undefined)} />
      )}
      <Tabs
        label="Below the grid"
        tabs={PANES}
        chosen={pane}
        choose={setPane}
        actions="terms-pane"
        name={(tab) => (tab.id !== 'terms' ? tab.label : info ? 'Headings' : 'Text words')}
        waits={(id) => id === 'lines' && open > 0 && <i>{open}</i>}
      />
      <div className="rest">
        {pane === 'harvest' && <Harvest review={review} sources={sources} />}
        {pane === 'names' && <Names concept={concept} sources={sources} />}
        {pane === 'lines' && <PlanLines review={review} sources={sources} />}
        {pane === 'terms' && (
          <>
            {!columns.length && (
              <p className="quiet-note">
                No source with a thesaurus is planned yet. Add one under Question, “Where to look”, or bring a
                vocabulary in from a file (<kbd>V</kbd>).
              </p>
            )}
            {info?.vocabulary ? (
              <Reader
                key={`${concept.id}/${cell.sourceId}`}
                concept={concept}
                review={review}
                info={info}
                others={columns.filter((s) => s !== info)}
                openAt={openAt}
              />
            ) : info ? null : (
              <WordEntry key={concept.id} concept={concept} review={review} sources={sources} />
            )}
            {info && !info.vocabulary?.file && !info.standin && (
              <HeadingsSeen key={info.source.id} concept={concept} review={review} info={info} />
            )}
            <DroppedHere review={review} cell={cell} concept={concept} />
          </>
        )}
      </div>
    </div>
  )
}

function focusPane(pane: Pane): void {
  const where = {
    terms: '.lookup input, .headings-seen textarea',
    harvest: '#harvest',
    names: '#named-name',
    lines: '#unplanned',
  }[pane]
  document.querySelector<HTMLElement>(where)?.focus()
}

/** What was dropped from a cell, with the reasons. */
function DroppedHere({ review, cell, concept }: { review: Review; cell: Cell; concept: Concept }) {
  const dropped = review.terms.filter((t) => sameCell(t, cell) && t.status === 'dropped')
  if (!dropped.length) return null
  return (
    <section aria-label={`Dropped from ${concept.name}`} className="above-3">
      {dropped.map((t) => (
        <DroppedReason key={t.id} term={t} autoFocus={false} done={() => undefined} />
      ))}
    </section>
  )
}

/** What can be done with a chip. The same object as long as the stage is shown, so that chips need not be drawn again. */
function useChipDeeds(
  choose: (cell: Cell) => void,
  setPane: (pane: Pane) => void,
  setOpenAt: (at: { label: string }) => void,
  setAsking: (id: string) => void,
): ChipDeeds {
  const store = useStore()
  const { deed, doIt, session } = store
  const setters = useRef({ choose, setPane, setOpenAt, setAsking })
  return useMemo(() => {
    const review = (): Review => session.getState().folded.review
    const focus = (id: string): void => document.getElementById(`term-${id}`)?.focus()
    /** Does something to a term and has it drawn and focused, where it stands then, before the next key comes. */
    const follow = (id: string, deed: () => void): void => {
      flushSync(deed)
      focus(id)
    }
    return {
      drop: (term) => {
        deed(doIt(dropTerm, term))
        setters.current.setAsking(term.id)
      },
      takeBack: (term) => {
        follow(term.id, () => deed(doIt(takeTermBack, term)))
      },
      as: (term, withNarrower, mainFocus) => {
        follow(term.id, () => deed(doIt(sayHeading, { term, withNarrower, mainFocus })))
      },
      move: (term, letter) => {
        const concept = review().concepts.find((c) => c.letter === letter)
        if (!concept) return
        follow(term.id, () => {
          deed(doIt(moveTerm, { term, conceptId: concept.id }))
          setters.current.choose({ conceptId: concept.id, sourceId: term.sourceId })
        })
      },
      open: (term: Term) => {
        setters.current.choose(term)
        setters.current.setPane('terms')
        setters.current.setOpenAt({ label: term.expression })
      },
      walk: (term, step) => {
        const own = review().terms.filter((t) => sameCell(t, term))
        const next = own[own.findIndex((t) => t.id === term.id) + step]
        if (next) focus(next.id)
      },
      leave: () => document.querySelector<HTMLElement>('.grid-room')?.focus(),
    }
  }, [deed, doIt, session])
}
