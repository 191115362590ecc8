'use client'
import { App, Button } from 'antd'
import {
  allStrategiesText,
  recordOfSearches,
  resolved,
  resolveFact,
  type DocumentTree,
  type FactContext,
} from '@/core/account'
import { plural } from '@/core/base'
import { sheetsStand } from '@/core/doing'
import type { Review } from '@/core/review'
import type { SourceInfo } from '@/standins/source-info'
import { useStore } from '@/page/provider'
import { copyText } from '@/ui/copy-text'
import { fileName, saveFile } from '@/ui/save-file'
import { KeyHint } from '../../shared/key-hint'
import { saveWord } from '../../shared/word-files'
import type { BringAll } from './use-bring-all'
import type { RunAll } from './use-run-all'

/** How all sheets stand, and what can be done with them at once. */
export function AllSourcesHead({
  review,
  infos,
  context,
  draftAll,
  runAll,
  bringAll,
}: {
  review: Review
  infos: readonly SourceInfo[]
  context: FactContext
  draftAll: () => void
  runAll: RunAll
  bringAll: BringAll
}) {
  const { deed } = useStore()
  const { message } = App.useApp()
  const { stale, elsewhere, undrafted } = sheetsStand(
    review,
    infos.map((i) => ({ id: i.source.id, searched: i.searched !== undefined })),
  )
  const text = (): string => allStrategiesText(context)
  const record = (): DocumentTree =>
    resolved(recordOfSearches(context), (ref) => resolveFact(context, ref).text)
  return (
    <div className="pane-head">
      <h1>All sources</h1>
      <span className="sub" aria-live="polite">
        {runAll.at
          ? `running ${runAll.at.name}, ${runAll.at.source} of ${runAll.at.of}: line ${runAll.at.done} of ${runAll.at.lines}`
          : bringAll.at
            ? bringAll.at
            : stale
              ? `${plural(stale, 'line')} not run as ${stale === 1 ? 'it stands' : 'they stand'}; an old count is struck through`
              : elsewhere
                ? `${plural(elsewhere, 'line is', 'lines are')} still to be run elsewhere`
                : undrafted < infos.length
                  ? 'every line is run as it stands'
                  : 'no line is written yet'}
      </span>
      <span className="apart in-row">
        {runAll.at ? (
          <Button onClick={runAll.stop}>Stop</Button>
        ) : (
          stale > 0 && (
            <Button type={undrafted ? 'default' : 'primary'} onClick={() => runAll.start()}>
              Run every source
              <KeyHint of="run-all" />
            </Button>
          )
        )}
        {bringAll.at ? (
          <Button onClick={bringAll.stop}>Stop</Button>
        ) : (
          bringAll.searches.length > 0 &&
          !runAll.at && (
            <Button type={stale || undrafted ? 'default' : 'primary'} onClick={bringAll.start}>
              Bring the{' '}
              {plural(
                bringAll.searches.reduce((n, { run: r }) => n + r.hits, 0),
                'record',
              )}{' '}
              in
              <KeyHint of="bring-all" />
            </Button>
          )
        )}
        {undrafted > 0 && (
          <Button type="primary" onClick={draftAll}>
            Draft {undrafted === infos.length ? 'all' : `the other ${undrafted}`} from the plan
            <KeyHint of="draft-all" />
          </Button>
        )}
        {undrafted < infos.length && (
          <>
            <Button
              onClick={() =>
                deed(copyText(text()).then(() => message.success('All strategies copied, line by line.')))
              }
            >
              Copy all, line by line
            </Button>
            <Button onClick={() => saveFile(fileName(review.title, 'strategies.txt'), text(), 'text/plain')}>
              Save as text
            </Button>
          </>
        )}
        {context.figures.searched.length > 0 && (
          <Button onClick={() => deed(saveWord(fileName(review.title, 'searches.docx'), record()))}>
            Save the record of searches
          </Button>
        )}
      </span>
    </div>
  )
}
