'use client'
import { Button, Dropdown } from 'antd'
import { useEffect, useMemo, useState } from 'react'
import type { Review } from '@/core/review'
import { useActions } from '@/page/actions'
import { useOpensFor } from '@/page/handed-in'
import { useSession } from '@/page/provider'
import { hasHeadings, type SourceInfo } from '@/standins/source-info'
import { later } from '@/ui/later'
import { useSplit } from '@/ui/split'
import { PlanLines, usePlanAgainstRun } from '../shared/plan-lines'
import { StageLink } from '../shared/stage-link'
import { Tabs } from '../shared/tabs'
import { useSourceInfos } from '../shared/vocabulary-files'
import { CellPane } from './cell-pane'
import { DroppedReason } from './dropped'
import { PANES, type Pane } from './terms-panes'
import { sameCell, TermGrid, type Cell } from './term-grid'
import { useChipDeeds } from './use-chip-deeds'
import { useGridActions } from './use-grid-actions'

const Harvest = later(() => import('./harvest').then((m) => m.Harvest))
const VocabularyImport = later(() => import('./vocabulary-import').then((m) => m.VocabularyImport))
const Names = later(() => import('./names').then((m) => m.Names))

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

  const actions = useGridActions({
    review,
    cells,
    cell,
    columns,
    choose: setChosen,
    setPane,
    importVocabulary,
  })
  useActions('stage', 'terms', actions)
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
        {pane === 'terms' && <CellPane {...{ review, sources, columns, cell, openAt }} />}
      </div>
    </div>
  )
}
