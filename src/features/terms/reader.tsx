'use client'
import { useMemo, useRef, useState } from 'react'
import { listed, plural, thousands } from '@/core/base'
import type { Concept, Review } from '@/core/review'
import { useActions, type Action } from '@/store/actions'
import type { SourceInfo } from '@/standins/source-info'
import { searchDesk, vocabularyDesk, type Neighbourhood, type Offer } from '@/workers'
import { ElsewhereList, fillRow, rowFilling, useElsewhere } from './elsewhere'
import { Neighbours } from './neighbours'
import { sameTerm } from '@/core/doing'
import { putTerms } from '../shared/term-commands'
import { TreeView } from './tree-view'
import { useStore } from '@/store/provider'
import { useAsked } from '@/store/use-asked'
import { leaveField } from '@/store/leave-field'
import { KeyHint } from '../shared/key-hint'

interface Props {
  concept: Concept
  review: Review
  info: SourceInfo
  others: readonly SourceInfo[]
  /** A heading to open at, by its label; another object opens it again. */
  openAt: { label: string } | undefined
}

const NO_OFFERS: Offer[] = []

/** The vocabulary reader: look a word up, see the heading among its neighbours, take it. */
export function Reader({ concept, review, info, others, openAt }: Props) {
  const store = useStore()
  const { deed } = store
  const { key, title } = info.vocabulary!
  const [asked, setAsked] = useState('')
  // Answer and heading belong together to what was typed: what was found for other words is no answer.
  const answer = useAsked(async () => {
    const offers = await vocabularyDesk().lookUp(key, asked)
    const best = offers[0] && (await vocabularyDesk().neighbourhood(key, offers[0].id))
    return { offers, best }
  }, [key, asked])
  // What failed says nothing of what the vocabulary has.
  const answered = !answer.waiting && answer.failed === undefined
  const offers = answer.value?.offers ?? NO_OFFERS
  const { value: tops } = useAsked(() => vocabularyDesk().tops(key), [key])
  /** Where one has walked to since the words were typed; typing leaves it. */
  const [walked, setWalked] = useState<{ from: string; at: Neighbourhood }>()
  const opened = useAsked(async () => {
    const id = openAt && (await vocabularyDesk().idOf(key, openAt.label))
    return id ? vocabularyDesk().neighbourhood(key, id) : undefined
  }, [openAt, key])
  const [seen, setSeen] = useState<Neighbourhood>()
  if (opened.value && opened.value !== seen) {
    setSeen(opened.value)
    setWalked({ from: asked, at: opened.value })
  }
  const shown = walked?.from === asked ? walked.at : answer.value?.best
  const [asTree, setAsTree] = useState(false)
  const [marked, setMarked] = useState<ReadonlyMap<string, string>>(new Map())
  const elsewhere = useElsewhere(info, others, shown)
  const codes = useCodeCount(info, shown)

  const go = (id: string): void =>
    deed(
      vocabularyDesk()
        .neighbourhood(key, id)
        .then((at) => at && setWalked({ from: asked, at })),
    )
  const mark = ({ id, label }: { id: string; label: string }): void =>
    setMarked((m) => {
      const next = new Map(m)
      if (!next.delete(id)) next.set(id, label)
      return next
    })
  const cell = { conceptId: concept.id, sourceId: info.source.id, kind: 'heading' as const }
  const taken = shown && sameTerm(review, { ...cell, expression: shown.heading.label })

  const actions = useMemo(() => {
    const base = { conceptId: concept.id, sourceId: info.source.id, origin: 'look-up' as const }
    const take = (withNarrower: boolean, mainFocus: boolean) => (): void => {
      if (!shown) return
      const labels = marked.size ? [...marked.values()] : [shown.heading.label]
      putTerms(
        store,
        labels.map((expression) => ({ ...base, kind: 'heading', expression, withNarrower, mainFocus })),
      )
      setMarked(new Map())
    }
    const when = (): boolean => shown !== undefined
    return {
      alone: { id: 'take-alone', label: 'Take the heading alone', key: '1', when, run: take(false, false) },
      narrower: {
        id: 'take-narrower',
        label: 'Take the heading with narrower',
        key: '2',
        when,
        run: take(true, false),
      },
      main: {
        id: 'take-main',
        label: 'Take the heading as main focus',
        key: '3',
        when,
        run: take(false, true),
      },
      code: {
        id: 'take-code',
        label: 'Take its class code with all below',
        key: '4',
        when: () => codes !== undefined,
        run: () => {
          const expression = shown?.heading.code
          if (expression) putTerms(store, [{ ...base, kind: 'class', expression, withNarrower: true }])
        },
      },
      fill: {
        id: 'fill-row',
        label: 'Fill the row from the other vocabularies',
        key: 'R',
        strip: true,
        when: () => rowFilling(review, concept, elsewhere).length > 0,
        run: () => shown && fillRow(store, review, concept, elsewhere, shown.heading.label),
      },
      tree: {
        id: 'reader-tree',
        label: asTree ? 'Show the neighbourhood' : 'Show the tree',
        key: 'T',
        strip: true,
        when,
        run: () => setAsTree(!asTree),
      },
    } satisfies Record<string, Action>
  }, [concept, info.source.id, asTree, shown, marked, store, review, codes, elsewhere])
  const list = useMemo(() => Object.values<Action>(actions), [actions])
  useActions('reader', list)

  const taking = useRef<HTMLDivElement>(null)
  const entry = offers.find((o) => o.id === shown?.heading.id && o.kind === 'entry term')
  const many = marked.size > 0
  return (
    <section className="reader" aria-label={`${title} for ${concept.name}`}>
      <div>
        <div className="lookup">
          <h2>{title}</h2>
          <input
            aria-label="Look up a heading"
            placeholder="a word, as you would say it"
            value={asked}
            onChange={(e) => setAsked(e.target.value)}
            onKeyDown={(e) => {
              if (e.key === 'Escape') leaveField(e.currentTarget, taking.current)
              // Only what is offered for the words that stand in the box now.
              if (e.key === 'Enter' && answered && shown) {
                ;(shown.below ? actions.narrower : actions.alone).run()
                leaveField(e.currentTarget, taking.current)
              }
              if (e.key === 'ArrowDown') {
                e.preventDefault()
                document.querySelector<HTMLElement>('.reader [aria-current]')?.focus()
              }
            }}
          />
        </div>
        {entry && (
          <p className="sub above-2">
            “{entry.by}” is not a heading. <b>Use {entry.label}.</b>
          </p>
        )}
        {!answered && !shown && (answer.failed !== undefined || !asked) && (
          <p className="empty">{answer.failed ?? 'Opening the thesaurus …'}</p>
        )}
        {answered && asked && !offers.length && (
          <p className="empty">
            Nothing in this vocabulary has “{asked}”. Try another word for it, or part of one.
          </p>
        )}
        {(asked ? offers.length > 1 || offers[0]?.id !== shown?.heading.id : !shown) && (
          <div className="offers" role="group" aria-label="Headings found">
            {(asked ? offers : (tops ?? [])).map((o) => (
              <button
                key={o.id}
                className="plain link"
                aria-pressed={o.id === shown?.heading.id}
                style={o.id === shown?.heading.id ? { fontWeight: 600 } : {}}
                onClick={() => go(o.id)}
              >
                {o.label}
              </button>
            ))}
          </div>
        )}
        {shown && (
          <>
            <Paths at={shown} go={go} asTree={asTree} change={() => setAsTree(!asTree)} />
            {asTree ? (
              <TreeView vocabulary={key} id={shown.heading.id} go={go} />
            ) : (
              <Neighbours at={shown} go={go} marked={new Set(marked.keys())} mark={mark} />
            )}
          </>
        )}
      </div>
      {shown && (
        <div ref={taking} tabIndex={-1}>
          <h2>{many ? `Take ${plural(marked.size, 'heading')}` : `Take “${shown.heading.label}”`}</h2>
          {many && (
            <p className="sub">
              {listed([...marked.values()])} ·{' '}
              <button className="plain link" onClick={() => setMarked(new Map())}>
                unmark
              </button>
            </p>
          )}
          <TakeRow
            id="take-alone"
            words="alone"
            count={many ? undefined : shown.counted.alone}
            run={actions.alone.run}
          />
          {(many || shown.below > 0) && (
            <TakeRow
              id="take-narrower"
              words={many ? 'with narrower' : `with ${shown.below} narrower`}
              count={many ? undefined : shown.counted.withNarrower}
              run={actions.narrower.run}
            />
          )}
          <TakeRow
            id="take-main"
            words="as main focus"
            count={many ? undefined : shown.main}
            run={actions.main.run}
          />
          {codes !== undefined && !many && (
            <TakeRow
              id="take-code"
              words={`class ${shown.heading.code} and below`}
              count={codes}
              run={actions.code.run}
            />
          )}
          {taken && (
            <p className="quiet-note">
              In the grid{taken.withNarrower ? ', with narrower' : taken.mainFocus ? ', as main focus' : ''}
              {taken.status === 'dropped' ? ', but dropped' : ''}.
            </p>
          )}
          {shown.heading.since && (
            <p className="note">
              <b>Since {shown.heading.since}.</b> Older records have{' '}
              {shown.older.length ? <i>{listed(shown.older, 'or')}</i> : 'another heading'} instead: take that
              too if they count.
            </p>
          )}
          {shown.heading.replacedBy && (
            <p className="note">
              <b>No longer used.</b> Newer records have another heading; this one finds only the older.
            </p>
          )}
          <ElsewhereList
            review={review}
            concept={concept}
            elsewhere={elsewhere}
            label={shown.heading.label}
            fill={actions.fill.run}
          />
        </div>
      )}
    </section>
  )
}

/** The ways down from the top, and the switch between neighbourhood and tree. */
function Paths({
  at,
  go,
  asTree,
  change,
}: {
  at: Neighbourhood
  go: (id: string) => void
  asTree: boolean
  change: () => void
}) {
  const [path = []] = at.paths
  return (
    <p className="sub paths">
      {path.map((p) => (
        <span key={p.id}>
          <button className="plain link" onClick={() => go(p.id)}>
            {p.label}
          </button>{' '}
          ›{' '}
        </span>
      ))}
      {!path.length && 'a top heading'}
      {at.paths.length > 1 && ` and ${plural(at.paths.length - 1, 'other way', 'other ways')}`}
      <button className="plain link apart" onClick={change}>
        {asTree ? 'neighbourhood' : 'tree'} <KeyHint of="reader-tree" />
      </button>
    </p>
  )
}

/** How many records a heading's class code finds with all below; undefined where the source has no codes. */
function useCodeCount(info: SourceInfo, shown: Neighbourhood | undefined): number | undefined {
  const code = info.profile?.classes && shown?.heading.code
  const id = info.standin?.id
  return useAsked(
    () => (code && id ? searchDesk().count(id, `class.below: "${code}"`) : undefined),
    [code, id],
  ).value
}

function TakeRow({
  id,
  words,
  count,
  run,
}: {
  id: string
  words: string
  count: number | undefined
  run: () => void
}) {
  return (
    <button className="plain take" onClick={run}>
      <span>
        <KeyHint of={id} />
      </span>
      <span>{words}</span>
      <span className="number">{count === undefined ? '' : thousands(count)}</span>
    </button>
  )
}
