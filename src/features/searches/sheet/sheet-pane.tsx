'use client'
import { useStore } from '@/page/provider'
import type { Line, Review } from '@/core/review'
import { finalNumber } from '@/core/strategy'
import type { SourceInfo } from '@/standins/source-info'
import { later } from '@/ui/later'
import { Working } from '@/ui/working'
import { PlanLines } from '../../shared/plan-lines'
import { addLine } from './add-line'
import { Advice } from '../panes/advice'
import { Board } from '../panes/board'
import { Ledger } from '../panes/ledger'
import { Peek } from '../panes/peek'
import { Translation } from '../panes/translation'
import type { JudgedStrategy } from '../panes/use-judgement'

const Again = later(() => import('../versions/again').then((m) => m.Again))
const ByHand = later(() => import('../outside/by-hand').then((m) => m.ByHand))
const Described = later(() => import('../outside/by-hand').then((m) => m.Described))
const Versions = later(() => import('../versions/versions').then((m) => m.Versions))
const Comments = later(() => import('../panes/comments').then((m) => m.Comments))
const Yields = later(() => import('../panes/yields').then((m) => m.Yields))
const Steps = later(() => import('../panes/steps').then((m) => m.Steps))

const LINE = 'this line'
const STRATEGY = 'the whole strategy'
const TIME = 'over time'
/** What can be looked at below a sheet, with its key, by what is asked there. */
export const PANES = [
  { id: 'translation', key: '1', label: 'Translation', group: LINE },
  { id: 'peek', key: '8', label: 'Peek', group: LINE },
  { id: 'limits', key: '2', label: 'Limits', group: STRATEGY },
  { id: 'plan', key: '4', label: 'Plan', group: STRATEGY },
  { id: 'advice', key: '5', label: 'Advice', group: STRATEGY },
  { id: 'known', key: '6', label: 'Known items', group: STRATEGY },
  { id: 'yield', key: '7', label: 'Yield', group: STRATEGY },
  { id: 'versions', key: '3', label: 'Versions', group: TIME },
  { id: 'again', key: '0', label: 'Again', group: TIME },
] as const
export type Pane = (typeof PANES)[number]['id']

/** Where one reads, and wants the room for it. */
export const READING: ReadonlySet<Pane> = new Set<Pane>(['advice', 'known', 'yield', 'peek', 'again'])
const JUDGING: ReadonlySet<Pane> = new Set<Pane>(['advice', 'known', 'yield'])

/** What belongs to the chosen line or to the strategy, below the sheet. */
export function SheetPane({
  pane,
  review,
  info,
  infos,
  lines,
  chosen,
  judged: { judgement, work },
  choose,
  logged,
  runAgain,
}: {
  pane: Pane
  review: Review
  info: SourceInfo
  infos: readonly SourceInfo[]
  lines: Line[]
  chosen: Line | undefined
  judged: JudgedStrategy
  choose: (lineId: string) => void
  logged: () => void
  runAgain: () => void
}) {
  const store = useStore()
  const about = chosen && { line: chosen, number: lines.indexOf(chosen) + 1, lines }
  if (JUDGING.has(pane) && !judgement) return <Working words="Reading the strategy" work={work} />
  switch (pane) {
    case 'translation':
      if (!about || !chosen) return null
      if (chosen.described !== undefined)
        return <Described key={chosen.id} {...about} info={info} logged={logged} />
      if (info.standin) return <Translation {...about} info={info.standin} />
      return info.profile ? <ByHand key={chosen.id} {...about} info={info} logged={logged} /> : null
    case 'limits':
      return (
        <Ledger
          review={review}
          info={info}
          lines={lines}
          apply={(limit) =>
            addLine(store, info.source.id, lines, `#${finalNumber(lines)}`, { limits: [limit] })
          }
        />
      )
    case 'versions':
      return <Versions info={info} lines={lines} chosen={chosen} />
    case 'plan':
      return <PlanLines review={review} sources={infos} />
    case 'advice':
      return (
        <>
          <Comments review={review} info={info} lines={lines} chosen={chosen} />
          <Advice review={review} info={info} lines={lines} judgement={judgement} choose={choose} />
          <Steps review={review} info={info} lines={lines} />
        </>
      )
    case 'known':
      return info.standin ? (
        <Board review={review} info={info} lines={lines} judgement={judgement!} />
      ) : (
        <Outside />
      )
    case 'yield':
      return info.standin ? (
        <Yields review={review} infos={infos} lines={lines} judgement={judgement!} />
      ) : (
        <Outside />
      )
    case 'peek':
      return about ? <Peek key={about.line.id} review={review} info={info} {...about} /> : null
    case 'again':
      return <Again review={review} info={info} lines={lines} runAgain={runAgain} />
  }
}

const Outside = () => (
  <p className="empty">
    Its records lie outside: which terms bring what, and which lines miss a known item, can only be seen where
    they are searched.
  </p>
)
