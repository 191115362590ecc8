'use client'
import { useCallback, useMemo, type MouseEvent } from 'react'
import type { Problem } from '@/core/base'
import type { Line } from '@/core/review'
import { DescribedEditor } from './described-editor'
import { Joints } from './joints-drawing'
import { LineEditor } from './line-editor'
import { LineRow } from './line-row'
import type { Sheet } from './use-sheet'

const NO_PROBLEMS: readonly Problem[] = []

/** The lines of a sheet as a table; the one that is edited is an editor in its place. */
export function SheetTable({ sheet }: { sheet: Sheet }) {
  const { info, lines, editing } = sheet
  return (
    <div role="table" aria-label={`Lines of ${info.source.name}`}>
      <div className="sheet-head" role="row">
        <span role="columnheader" />
        <span role="columnheader" />
        <span role="columnheader" />
        <span role="columnheader">line</span>
        <span role="columnheader" className="limits-head">
          limits
        </span>
        <span role="columnheader" className="hits-head">
          hits
        </span>
        <span role="columnheader" />
      </div>
      <div className="sheet" role="rowgroup">
        <Joints texts={lines.map((l) => l.text)} editing={lines.findIndex((l) => l.id === editing)} />
        <Rows sheet={sheet} />
      </div>
    </div>
  )
}

function Rows({ sheet }: { sheet: Sheet }) {
  const { review, lines, view, chosen, marked, editing, problems, set } = sheet
  const choose = useCallback(
    (id: string, event: MouseEvent): void => {
      set.choose(id)
      if (event.shiftKey || event.ctrlKey || event.metaKey) set.toggle(id)
    },
    [set],
  )
  // The latest run of each line, whatever it asked then.
  const latest = useMemo(() => new Map(review.runs.map((r) => [r.lineId, r])), [review.runs])
  return lines.map((line, i) =>
    line.id === editing ? (
      <Editor key={line.id} sheet={sheet} line={line} index={i} />
    ) : (
      <LineRow
        key={line.id}
        line={line}
        number={i + 1}
        concept={review.concepts.find((c) => c.id === line.conceptId)}
        letters={view.letters[i]!}
        use={view.use[i]}
        run={view.runs.get(line.id)}
        before={latest.get(line.id)}
        planned={view.planned}
        applied={view.applied[i]!}
        chosen={line.id === chosen?.id}
        marked={marked.has(line.id)}
        change={view.changes.get(line.id)}
        problems={problems.get(line.id) ?? NO_PROBLEMS}
        choose={choose}
        edit={set.edit}
      />
    ),
  )
}

/** The editor of a line: of its text, or of what was searched without one. */
function Editor({ sheet, line, index }: { sheet: Sheet; line: Line; index: number }) {
  const { info, lines, set } = sheet
  if (line.described !== undefined)
    return (
      <DescribedEditor
        sourceId={info.source.id}
        line={line}
        number={index + 1}
        close={() => set.edit(undefined)}
      />
    )
  return (
    <LineEditor
      source={info.source}
      line={line}
      number={index + 1}
      above={lines.slice(0, index).map((l) => l.text)}
      close={() => {
        set.edit(undefined)
        // What was wrong was wrong with the text before.
        set.outcome({ problems: new Map() })
      }}
    />
  )
}
