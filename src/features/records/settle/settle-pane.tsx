'use client'
import { sayPair } from '@/core/doing'
import { Button } from 'antd'
import { useMemo, useState } from 'react'
import { plural } from '@/core/base'
import { FIELDS, textOf, type Rec, type Signal } from '@/core/records'
import { useActions, type Action } from '@/page/actions'
import { useSession, useStore } from '@/page/provider'
import { useAsked } from '@/page/use-asked'
import { recordsDesk, type PairView } from '@/workers'
import { KeyHint } from '../../shared/key-hint'
import { useSourceNames, type Desk } from '../use-desk'
import { Differing } from './differing'
import { NewerRules } from './newer-rules'

/** Which part of the explanation speaks of which field. */
const OF: Readonly<Record<string, Signal['of']>> = {
  title: 'title',
  authors: 'authors',
  year: 'year',
  journal: 'journal',
  volume: 'volume',
  issue: 'issue',
  pages: 'first page',
  doi: 'DOI',
  abstract: 'abstract',
}
const SHOWN = ['title', 'authors', 'year', 'journal', 'volume', 'issue', 'pages', 'doi', 'type', 'abstract']

/** Pairs of which the rules are not sure, one after the other: one work, or two. */
export function SettlePane({ desk }: { desk: Desk }) {
  const review = useSession((s) => s.folded.review)
  const { deed, doIt } = useStore()
  const { nameOf } = useSourceNames(review)
  const [at, setAt] = useState(0)
  const { value: pairs, failed } = useAsked(
    () => (desk.version ? recordsDesk().pairs() : undefined),
    [desk.version],
    {
      keep: true,
    },
  )
  // What was said a moment ago is said: the next key must not meet the same pair again before the desk has answered.
  const left = useMemo(() => {
    const said = new Set(review.decisions.map((d) => `${d.a} ${d.b}`))
    return pairs?.filter(({ a, b }) => !said.has([a.id, b.id].sort().join(' ')))
  }, [pairs, review.decisions])
  const count = left?.length ?? 0
  const place = Math.min(at, Math.max(0, count - 1))
  const pair = left?.[place]
  const actions = useMemo<Action[]>(() => {
    const say = (same: boolean) => (): void => {
      if (!pair) return
      // The next pair comes to this place by itself.
      deed(doIt(sayPair, { a: pair.a.id, b: pair.b.id, same }))
    }
    const some = (): boolean => pair !== undefined
    return [
      { id: 'pair-one', label: 'One work', key: '1', strip: true, when: some, run: say(true) },
      { id: 'pair-two', label: 'Two works', key: '2', strip: true, when: some, run: say(false) },
      {
        id: 'pair-later',
        label: 'Later',
        key: 'ArrowDown',
        strip: true,
        when: some,
        run: () => setAt((place + 1) % Math.max(1, count)),
      },
      {
        id: 'pair-before',
        label: 'The pair before',
        key: 'ArrowUp',
        when: some,
        run: () => setAt((place + count - 1) % Math.max(1, count)),
      },
    ]
  }, [pair, place, count, deed, doIt])
  useActions('pane', 'settle', actions)
  if (!pairs) return <p className="empty">{failed ?? 'Reading the records …'}</p>
  return (
    <div className="settle">
      <NewerRules />
      {pair ? (
        <>
          <h2>
            One work, or two?{' '}
            <span className="sub">
              pair {place + 1} of {count}
            </span>
          </h2>
          <div className="settle-keys">
            {actions.slice(0, 3).map((a, n) => (
              <Button key={a.id} type={n ? 'default' : 'primary'} onClick={a.run}>
                {a.label} <KeyHint of={a} />
              </Button>
            ))}
            <span className="sub">
              What you say stands above every rule, and holds when records come again.
            </span>
          </div>
          <Side pair={pair} nameOf={nameOf} />
          {pair.judgement.against && (
            <p className="note">
              <b>Not joined by itself:</b> {pair.judgement.against}.
            </p>
          )}
          {pair.ruled && (
            <p className="note">
              <b>Ruled differently.</b> {nameOf(pair.a.sourceId)} {pair.a.record.id}: {pair.ruled[0]};{' '}
              {nameOf(pair.b.sourceId)} {pair.b.record.id}: {pair.ruled[1]}. If they are one work, a reader
              who said both is asked again; otherwise what was said of one holds for both.
            </p>
          )}
        </>
      ) : (
        <p className="empty">
          Nothing is left to settle.{' '}
          {review.partition
            ? 'What the rules were sure of is joined; pairs of which they are not will stand here, side by side.'
            : ''}
        </p>
      )}
      <Settled nameOf={nameOf} />
    </div>
  )
}

function Side({ pair, nameOf }: { pair: PairView; nameOf: (id: string) => string }) {
  const text = (record: Rec, key: string): string => {
    const field = FIELDS.find((f) => f.key === key)!
    return textOf(record, field) ?? ''
  }
  const words = new Map(pair.judgement.signals.map((s) => [s.of, s]))
  return (
    <table className="settle-pair">
      <thead>
        <tr>
          <td />
          {[pair.a, pair.b].map((r) => (
            <th key={r.id} scope="col">
              {nameOf(r.sourceId)} <span className="sub">{r.record.id}</span>
            </th>
          ))}
          <th scope="col" className="sub">
            what speaks for and against
          </th>
        </tr>
      </thead>
      <tbody>
        {SHOWN.map((key) => {
          const [a, b] = [text(pair.a.record, key), text(pair.b.record, key)]
          if (!a && !b) return null
          const signal = words.get(OF[key]!)
          return (
            <tr key={key}>
              <th scope="row">{FIELDS.find((f) => f.key === key)!.label}</th>
              <td>
                <Differing text={a} other={b} />
              </td>
              <td>
                <Differing text={b} other={a} />
              </td>
              <td className="sub" data-same={signal?.same}>
                {signal?.words ?? (a && b ? (a === b ? 'the same' : 'not compared') : '')}
              </td>
            </tr>
          )
        })}
      </tbody>
    </table>
  )
}

/** What people said of pairs, the last first: each can be said otherwise. */
function Settled({ nameOf }: { nameOf: (id: string) => string }) {
  const { deed, doIt } = useStore()
  const review = useSession((s) => s.folded.review)
  const [open, setOpen] = useState(false)
  const { decisions } = review
  if (!decisions.length) return null
  const called = (id: string): string => {
    const of = review.imports.find((i) => id.startsWith(`${i.id}/`))
    return `${of ? nameOf(of.sourceId) : 'a record'} no. ${id.slice(id.lastIndexOf('/') + 1)}`
  }
  return (
    <section className="settled">
      <button className="plain link" aria-expanded={open} onClick={() => setOpen(!open)}>
        {plural(decisions.length, 'pair')} settled by hand
      </button>
      {open &&
        [...decisions].reverse().map((d) => (
          <p key={`${d.a} ${d.b}`} className="sub">
            {called(d.a)} and {called(d.b)}: {d.same ? 'one work' : 'two works'}{' '}
            <button
              className="plain link"
              onClick={() => deed(doIt(sayPair, { a: d.a, b: d.b, same: !d.same }))}
            >
              say {d.same ? 'two' : 'one'}
            </button>
          </p>
        ))}
    </section>
  )
}
