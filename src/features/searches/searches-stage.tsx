'use client'
import { App } from 'antd'
import { useMemo } from 'react'
import { plural } from '@/core/base'
import { useActions, type Action } from '@/page/actions'
import { useSession, useStore } from '@/page/provider'
import { openSheet, useWhereabouts } from '@/page/whereabouts'
import { KeyHint } from '../shared/key-hint'
import { StageLink } from '../shared/stage-link'
import { later } from '@/ui/later'
import { useSourceInfos } from '../shared/vocabulary-files'
import { draftEverywhere } from './history/draft'
import { Sheet } from './sheet/sheet'
import { useBringAll } from './sheet/use-bring-all'
import { useRunAll } from './sheet/use-run-all'
import { lastHits } from './sheet/sheet-lines'

const ALL = 'all'
const AllSources = later(() => import('./sheet/all-sources').then((m) => m.AllSources))

/** The sheets: one a source, a row a line; and all of them side by side by concept. */
export function SearchesStage() {
  const store = useStore()
  const { deed } = store
  const review = useSession((s) => s.folded.review)
  const { message } = App.useApp()
  const sources = useSourceInfos(review)
  const databases = useMemo(() => sources.filter((s) => s.source.kind === 'database' && s.profile), [sources])
  const chosen = useWhereabouts((s) => s.sheet)
  const shown =
    chosen === ALL ? ALL : (databases.find((s) => s.source.id === chosen) ?? databases[0])?.source.id
  const info = databases.find((s) => s.source.id === shown)
  const runAll = useRunAll(databases)
  const { start: runEverywhere } = runAll
  const bringAll = useBringAll(review, databases)
  const { start: bringThem } = bringAll
  const toBeBrought = bringAll.searches.length
  const actions = useMemo<Action[]>(() => {
    const tabs = [...databases.map((s) => s.source.id), ALL]
    const at = tabs.indexOf(shown ?? '')
    return [
      {
        id: 'all-sources',
        label: 'All sources, by concept',
        key: 'A',
        strip: true,
        run: () => openSheet(ALL),
      },
      {
        id: 'source-left',
        label: 'Source to the left',
        key: 'ArrowLeft',
        when: () => at > 0,
        run: () => openSheet(tabs[at - 1]!),
      },
      {
        id: 'source-right',
        label: 'Source to the right',
        key: 'ArrowRight',
        when: () => at < tabs.length - 1,
        run: () => openSheet(tabs[at + 1]!),
      },
      {
        id: 'draft-all',
        label: 'Draft every source that has no lines yet',
        key: 'Shift+D',
        when: () => databases.some((s) => !(review.strategies[s.source.id] ?? []).length),
        run: () =>
          deed(
            draftEverywhere(store, review, databases).then((n) =>
              n
                ? message.success(
                    `${plural(n, 'strategy', 'strategies')} drafted, each in the terms of its source.`,
                  )
                : message.info('There is nothing to draft from yet: put terms into the grid first.'),
            ),
          ),
      },
      {
        id: 'run-all',
        label: 'Run every source',
        key: 'Shift+R',
        when: () => shown === ALL && databases.some((s) => s.searched),
        run: () => runEverywhere(),
      },
      {
        id: 'bring-all',
        label: 'Bring in what every source found',
        key: 'B',
        when: () => shown === ALL && toBeBrought > 0,
        run: bringThem,
      },
    ]
  }, [databases, shown, review, deed, store, message, runEverywhere, toBeBrought, bringThem])
  useActions('stage', 'searches-stage', actions)
  if (!databases.length)
    return (
      <>
        <h1>Searches</h1>
        <p className="empty">
          A sheet for each database will stand here. Choose where to look under <StageLink to="Question" />:
          the databases that ship with Luvren really search, with invented records.
        </p>
      </>
    )
  return (
    <div className="filled searches">
      <div className="tabs" role="tablist" aria-label="Sources">
        {databases.map((s) => (
          <button
            key={s.source.id}
            className="plain"
            role="tab"
            aria-selected={s.source.id === shown}
            onClick={() => openSheet(s.source.id)}
          >
            {s.short}
            <i>{lastHits(review, s.source.id)}</i>
          </button>
        ))}
        <button
          className="plain apart"
          role="tab"
          aria-selected={shown === ALL}

          onClick={() => openSheet(ALL)}
        >
          All, by concept
          <KeyHint of="all-sources" />
        </button>
      </div>
      {info ? (
        <Sheet key={info.source.id} review={review} info={info} infos={databases} open={openSheet} />
      ) : (
        <div className="rest" role="group" tabIndex={0} aria-label="All sources, by concept">
          <AllSources
            review={review}
            infos={databases}
            open={openSheet}
            draftAll={actions.find((a) => a.id === 'draft-all')!.run}
            runAll={runAll}
            bringAll={bringAll}
          />
        </div>
      )}
    </div>
  )
}
