'use client'
import { chooseRelease } from '@/core/doing'
import { Button, Select } from 'antd'
import { plural } from '@/core/base'
import { LATEST, RELEASES, releaseWords } from '@/standins'
import { useStore } from '@/page/provider'
import type { SourceInfo } from '@/standins/source-info'
import { KeyHint } from '../../shared/key-hint'
import type { SheetActions } from './actions/use-sheet-actions'
import type { Sheet } from './use-sheet'

/** The head of a sheet: the source, the release that is searched, drafting and running. */
export function SheetTitle({ sheet, actions }: { sheet: Sheet; actions: SheetActions }) {
  const { info, lines, busy } = sheet
  return (
    <div className="sheet-title" data-anchor={`source:${info.source.id}`}>
      <h1>{info.source.name}</h1>
      <span className="sub">{info.release ? <Release info={info} /> : 'searched by hand'}</span>
      <span className="sheet-does">
        <Button
          onClick={actions.draft.run}
          type={lines.length ? 'default' : 'primary'}
          disabled={busy !== undefined}
        >
          {lines.length ? 'Draft anew' : 'Draft from the plan'}
          <KeyHint of={actions.draft} />
        </Button>
        <Running sheet={sheet} actions={actions} />
      </span>
    </div>
  )
}

function Release({ info }: { info: SourceInfo }) {
  const { deed, doIt } = useStore()
  const { source, release, standin } = info
  const search = (chosen: string): void => {
    deed(doIt(chooseRelease, { source, release: chosen === LATEST ? undefined : chosen }))
    // The keys belong to the sheet again.
    ;(document.activeElement as HTMLElement | null)?.blur()
  }
  return (
    <>
      <Select
        size="small"
        variant="borderless"
        popupMatchSelectWidth={false}
        className="release"
        aria-label="Release that is searched"
        value={release ?? LATEST}
        options={RELEASES.map((value) => ({ value: value as string, label: releaseWords(value) }))}
        onChange={search}
      />{' '}
      · {standin?.character}
    </>
  )
}

/** Running, or stopping it; of a source that is searched elsewhere, how many lines are still to be run there. */
function Running({ sheet, actions }: { sheet: Sheet; actions: SheetActions }) {
  const { info, lines, stale, busy } = sheet
  if (busy) return <Button onClick={busy.stop}>{busy.words} Stop</Button>
  if (info.standin) {
    const run = stale ? actions.run : actions.runAll
    return (
      <Button type={stale ? 'primary' : 'default'} disabled={!lines.length} onClick={run.run}>
        {stale ? `Run ${plural(stale, 'line')}` : 'All run'}
        <KeyHint of={run} />
      </Button>
    )
  }
  if (!lines.length) return null
  if (info.profile && stale)
    return (
      <Button type="primary" onClick={actions.run.run}>
        Run {plural(stale, 'line')} there
        <KeyHint of={actions.run} />
      </Button>
    )
  return (
    <span className="sub">
      {stale ? `${stale} of ${plural(lines.length, 'line')} still to be run there` : 'every line logged'}
    </span>
  )
}
