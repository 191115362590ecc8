'use client'
import { Button, Input } from 'antd'
import { useState } from 'react'
import { dateWords, listed, plural } from '@/core/base'
import { addHeadingSeen, logLookUp } from '@/core/doing'
import type { Concept, HeadingNoted, Review } from '@/core/review'
import { readHeadingPage, type HeadingPage } from '@/core/vocabulary'
import type { SourceInfo } from '@/standins/source-info'
import { useStore } from '@/page/provider'
import { HeadingsHeldBy } from './headings-held'
import css from './headings-seen.module.css'

interface Props {
  concept: Concept
  review: Review
  info: SourceInfo
}

const ALONE = { broader: [], narrower: [], related: [], usedFor: [] }

/** A thesaurus that is not here: what its pages show of a heading is pasted, and stands in the record with its day. */
export function HeadingsSeen({ concept, review, info }: Props) {
  const store = useStore()
  const [pasted, setPasted] = useState('')
  const [missing, setMissing] = useState('')
  const page = readHeadingPage(pasted)
  const oneLine = !page && /\S/.test(pasted) && !/\n\s*\S/.test(pasted.trim())
  const sourceId = info.source.id
  const noted = info.vocabulary?.noted ?? []
  const notThere = review.lookups?.filter((l) => l.sourceId === sourceId) ?? []
  const take = (from: 'page' | 'person', seen: Omit<HeadingPage, 'unread'>): void => {
    store.deed(store.doIt(addHeadingSeen, { sourceId, page: seen, from, conceptId: concept.id }))
    setPasted('')
  }
  const takeWhatIsThere = (): void => {
    if (page) {
      const { unread: _, ...seen } = page
      take('page', seen)
    } else if (oneLine) take('person', { ...ALONE, label: pasted.trim() })
  }
  return (
    <section className={`headings-seen ${css.seen}`} aria-label={`Headings of ${info.short}`}>
      <h2>From the thesaurus of {info.short}</h2>
      <p className="sub">
        It is not here. Look a heading up there and paste what its page shows, name and all; or type the name
        alone. It is noted with the day, and taken for {concept.name}.
      </p>
      <Input.TextArea
        aria-label="What the page of a heading shows"
        placeholder={'Classroom sound\nBroader terms: School buildings\nNarrower terms: …'}
        autoSize={{ minRows: 3, maxRows: 6 }}
        value={pasted}
        onChange={(e) => setPasted(e.target.value)}
        onKeyDown={(e) => {
          if (e.key !== 'Enter' || !(oneLine || e.ctrlKey || e.metaKey)) return
          e.preventDefault()
          takeWhatIsThere()
        }}
      />
      {page && <Seen page={page} />}
      {!page && !oneLine && pasted.trim() !== '' && (
        <p className="note">
          No part of a heading is named in this. A page has names like “Broader terms” or “Scope note” above
          or before what they hold; without them, type the heading alone.
        </p>
      )}
      <p>
        <Button size="small" disabled={!page && !oneLine} onClick={takeWhatIsThere}>
          {page ? `Note “${page.label}” and take it` : 'Note it and take it'}
        </Button>
      </p>
      <label>
        <span className="sub">Looked up and not found</span>
        <Input
          size="small"
          value={missing}
          onChange={(e) => setMissing(e.target.value)}
          onPressEnter={() => {
            store.deed(store.doIt(logLookUp, { sourceId, words: missing }))
            setMissing('')
          }}
        />
      </label>
      <HeadingsHeldBy concept={concept} review={review} info={info} />
      {(noted.length > 0 || notThere.length > 0) && (
        <p className="sub">
          {noted.length > 0 && `Noted: ${listed(noted.map(notedWords))}. `}
          {notThere.length > 0 &&
            `Not there: ${listed(notThere.map((l) => `“${l.words}” (${dateWords(l.day)})`))}.`}
        </p>
      )}
    </section>
  )
}

const notedWords = ({ label, day, from }: HeadingNoted): string =>
  `${label} (${from === 'record' ? 'seen in records, ' : ''}${dateWords(day)})`

/** What was read of a page, by its parts, and what was not. */
function Seen({ page }: { page: HeadingPage }) {
  const parts: [string, readonly string[]][] = [
    ['Broader', page.broader],
    ['Narrower', page.narrower],
    ['Related', page.related],
    ['Used for', page.usedFor],
  ]
  return (
    <div aria-live="polite">
      <p>
        <b>{page.label}</b>
        {page.scopeNote && <span className="sub"> {page.scopeNote}</span>}
      </p>
      {parts.map(([name, items]) =>
        items.length ? (
          <p key={name} className="sub">
            {name}: {listed(items)}
          </p>
        ) : null,
      )}
      {page.unread.length > 0 && (
        <p className="sub">
          {plural(page.unread.length, 'line')} left aside: {listed(page.unread.map((l) => `“${l}”`))}
        </p>
      )}
    </div>
  )
}
