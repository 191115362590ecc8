'use client'
import { useEffect, useMemo, useState } from 'react'
import { thousands } from '@/core/base'
import type { Concept, Review, Source } from '@/core/review'
import { standin } from '@/standins'
import { useActions, type Action } from '@/store/actions'
import { act, newId } from '@/store/session'
import { searchDesk, type Counted, type Neighbourhood, type Offer } from '@/workers'

/** The vocabulary reader: look a word up, see the heading among its neighbours, take it. */
export function Reader({ concept, review, source }: { concept: Concept; review: Review; source: Source }) {
  const info = standin(source.profileId)!
  const [asked, setAsked] = useState('')
  const [found, setFound] = useState<{ asked: string; offers: Offer[] }>()
  // What was found for other words than those in the box is no answer.
  const answered = found?.asked === asked
  const offers = useMemo(() => (answered ? found.offers : []), [answered, found])
  const [tops, setTops] = useState<Counted[]>([])
  const [shown, setShown] = useState<Neighbourhood>()

  useEffect(() => void searchDesk().tops(info.id).then(setTops), [info.id])
  useEffect(() => {
    let current = true
    void searchDesk()
      .lookUp(info.id, asked)
      .then(async (list) => {
        if (!current) return
        setFound({ asked, offers: list })
        const [best] = list
        if (best) setShown(await searchDesk().neighbourhood(info.id, best.id))
      })
    return () => {
      current = false
    }
  }, [asked, info.id])

  const go = (id: string): void => void searchDesk().neighbourhood(info.id, id).then(setShown)
  const taken =
    shown &&
    review.terms.find(
      (t) => t.conceptId === concept.id && t.sourceId === source.id && t.expression === shown.heading.label,
    )
  const actions = useMemo<Action[]>(() => {
    const take = (withNarrower: boolean, mainFocus: boolean) => (): void => {
      if (!shown) return
      void act('term.set', {
        id: taken?.id ?? newId(),
        conceptId: concept.id,
        sourceId: source.id,
        kind: 'heading',
        expression: shown.heading.label,
        withNarrower,
        mainFocus,
        origin: 'look-up',
        status: 'in use',
      })
    }
    const when = (): boolean => shown !== undefined
    return [
      { id: 'take-alone', label: 'Take the heading alone', key: '1', when, run: take(false, false) },
      {
        id: 'take-narrower',
        label: 'Take the heading with narrower',
        key: '2',
        when,
        run: take(true, false),
      },
      { id: 'take-main', label: 'Take the heading as main focus', key: '3', when, run: take(false, true) },
    ]
  }, [shown, taken?.id, concept.id, source.id])
  useActions('reader', actions)

  const entry = offers.find((o) => o.id === shown?.heading.id && o.kind === 'entry term')
  return (
    <section className="reader" aria-label={`${info.vocabularyTitle} for ${concept.name}`}>
      <div>
        <div className="lookup">
          <h2>{info.vocabularyTitle}</h2>
          <input
            aria-label="Look up a heading"
            placeholder="a word, as you would say it"
            value={asked}
            onChange={(e) => setAsked(e.target.value)}
            onKeyDown={(e) => {
              if (e.key === 'Enter' || e.key === 'Escape') e.currentTarget.blur()
              if (e.key === 'Enter' && shown) actions[shown.below ? 1 : 0]!.run()
            }}
          />
        </div>
        {entry && (
          <p className="sub" style={{ marginTop: 6 }}>
            “{entry.by}” is not a heading. <b>Use {entry.label}.</b>
          </p>
        )}
        {!answered && !shown && <p className="empty">Opening the thesaurus …</p>}
        {answered && asked && !offers.length && (
          <p className="empty">
            Nothing in this vocabulary has “{asked}”. Try another word for it, or part of one.
          </p>
        )}
        <div className="offers" role="group" aria-label="Headings found">
          {(asked ? offers : tops).map((o) => (
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
        {shown && <Neighbours at={shown} go={go} />}
      </div>
      {shown && (
        <div>
          <h2>Take “{shown.heading.label}”</h2>
          <TakeRow sign="1" words="alone" count={shown.counted.alone} run={actions[0]!.run} />
          {shown.below > 0 && (
            <TakeRow
              sign="2"
              words={`with ${shown.below} narrower`}
              count={shown.counted.withNarrower}
              run={actions[1]!.run}
            />
          )}
          <TakeRow sign="3" words="as main focus" count={shown.main} run={actions[2]!.run} />
          {taken && (
            <p className="quiet-note">
              In the grid{taken.withNarrower ? ', with narrower' : taken.mainFocus ? ', as main focus' : ''}
              {taken.status === 'dropped' ? ', but dropped' : ''}.
            </p>
          )}
          {shown.heading.since && (
            <p className="note">
              <b>Since {shown.heading.since}.</b> Older records have a broader heading instead.
            </p>
          )}
        </div>
      )}
    </section>
  )
}

function TakeRow({
  sign,
  words,
  count,
  run,
}: {
  sign: string
  words: string
  count: number
  run: () => void
}) {
  return (
    <button className="plain take" onClick={run}>
      <kbd>{sign}</kbd>
      <span>{words}</span>
      <span className="number">{thousands(count)}</span>
    </button>
  )
}

/** Broader above, narrower below, related beside with a broken line. */
function Neighbours({ at, go }: { at: Neighbourhood; go: (id: string) => void }) {
  const node = (c: Counted, className = ''): React.ReactNode => (
    <button key={c.id} className={`plain node ${className}`} onClick={() => go(c.id)}>
      {c.label} <i>{thousands(c.alone)}</i>
    </button>
  )
  return (
    <div className="neighbours">
      <div>
        {at.broader.length > 0 && (
          <>
            <div className="tier" role="group" aria-label="Broader headings">
              {at.broader.map((c) => node(c))}
            </div>
            <div className="stem" />
          </>
        )}
        <div className="tier">
          <span className="node self" aria-current="true">
            {at.heading.label} <i>{thousands(at.counted.alone)}</i>
          </span>
        </div>
        {at.narrower.length > 0 && (
          <>
            <div className="stem" />
            <div className="tier" role="group" aria-label="Narrower headings">
              {at.narrower.map((c) => node(c))}
            </div>
          </>
        )}
        {at.heading.scopeNote && (
          <p
            className="serif"
            style={{ fontStyle: 'italic', marginTop: 14, maxWidth: '62ch', color: 'var(--ink2)' }}
          >
            {at.heading.scopeNote}
          </p>
        )}
        {at.heading.entryTerms.length > 0 && (
          <p className="sub" style={{ marginTop: 8 }}>
            Entry terms: {at.heading.entryTerms.join(' · ')}
          </p>
        )}
      </div>
      <div>
        {at.related.length > 0 && (
          <>
            <p className="sub" style={{ marginBottom: 6 }}>
              Beside it, not below: missed by “with narrower”
            </p>
            {at.related.map((c) => node(c, 'beside'))}
          </>
        )}
      </div>
    </div>
  )
}
