'use client'
import { useState } from 'react'
import { chooseValue, takeRecordApart } from '@/core/doing'
import { holdsSession, versionsOfWork, type BestValue } from '@/core/records'
import { plural } from '@/core/base'
import { useSession, useStore } from '@/page/provider'
import { isInvented } from '@/standins/source-info'
import { Title } from '@/ui/marked'
import { RecordView } from '@/ui/record-view'
import type { WorkView } from '@/workers'
import { NoticesOf } from '../../shared/notices'
import { recordProps } from '../../shared/record-props'
import { useMarker } from '../../shared/use-marks'
import { WordsInWork } from './words-in-work'

const HIDDEN = new Set(['references', 'notice', 'fulltext'])

/** A work: what it says, its lasting address, its records, and which value comes from which. */
export function WorkPane({
  work,
  words,
  nameOf,
  lead,
}: {
  work: WorkView
  /** What the list was asked for. */
  words: string
  nameOf: (sourceId: string) => string
  /** Shows another work of the list. */
  lead: (id: string) => void
}) {
  const review = useSession((s) => s.folded.review)
  const marker = useMarker(review)
  const groups = (review.groups ?? []).filter((g) => work.groups.includes(g.id))
  const { doi, url } = work.record
  const link = doi ? `https://doi.org/${doi}` : url
  return (
    <>
      <NoticesOf work={work.id} lead={lead} />
      <RecordView
        {...recordProps(
          work.record,
          marker(work.record),
          isInvented(
            review,
            work.records.map((r) => r.id),
          ),
        )}
      />
      {link !== undefined && (
        <p className="sub work-link">
          {doi ? 'DOI ' : 'Address '}
          {/^https?:\/\//i.test(link) ? (
            <a href={link} target="_blank" rel="noreferrer">
              {doi ?? url}
            </a>
          ) : (
            link
          )}
          {!doi && holdsSession(link) && (
            <b> · holds a session: it will not work for others, and is kept out of exports</b>
          )}
        </p>
      )}
      {groups.length > 0 && <p className="sub">In {groups.map((g) => `“${g.name}”`).join(', ')}</p>}
      <WordsInWork record={work.record} words={words} />
      <WhereFrom work={work} nameOf={nameOf} />
      <Linked title="Cites, of what is here" works={work.cites} lead={lead} />
      <Linked title="Cited here by" works={work.citedBy} lead={lead} />
    </>
  )
}

/** Works of the review that this one cites or that cite it. */
function Linked({
  title,
  works,
  lead,
}: {
  title: string
  works: readonly { id: string; title: string }[]
  lead: (id: string) => void
}) {
  if (!works.length) return null
  return (
    <section className="work-from">
      <h3>{title}</h3>
      <ul>
        {works.map((w) => (
          <li key={w.id}>
            <button className="plain link" onClick={() => lead(w.id)}>
              <Title text={w.title} />
            </button>
          </li>
        ))}
      </ul>
    </section>
  )
}

/** The records of a work, and of every field the value that is shown with those that are not. */
function WhereFrom({ work, nameOf }: { work: WorkView; nameOf: (sourceId: string) => string }) {
  const [open, setOpen] = useState(false)
  const { deed, doIt } = useStore()
  const versions = versionsOfWork(work.records.map((r) => r.record))
  const all = work.records.map((r) => r.id)
  const partition = useSession((s) => s.folded.review.partition)
  const sourceOf = (recordId: string): string =>
    nameOf(work.records.find((r) => r.id === recordId)?.sourceId ?? '')
  const different = work.values.filter((v) => v.others.length > 0 && !HIDDEN.has(v.field.key))
  const choose = (value: BestValue, recordId: string): void =>
    deed(doIt(chooseValue, { record: recordId, field: value.field.key }))
  return (
    <section className="work-from">
      <h3>{plural(work.records.length, 'record')}</h3>
      <ul>
        {work.records.map((r) => (
          <li key={r.id}>
            {nameOf(r.sourceId)} <span className="sub">{r.record.id}</span>
            {partition && all.length > 1 && (
              <>
                {' '}
                <button
                  className="plain link"
                  title={
                    all.length > 2
                      ? 'Part this record from the others, which stay one work'
                      : 'Part the two records: they are two works'
                  }
                  onClick={() => deed(doIt(takeRecordApart, { record: r.id, from: all }))}
                >
                  another work
                </button>
              </>
            )}
          </li>
        ))}
      </ul>
      {versions && (
        <p className="sub">
          These are two versions of one work: {versions}. It is shown as it was published; if they are two
          works for you, part them.
        </p>
      )}
      {different.length > 0 && (
        <button className="plain link" aria-expanded={open} onClick={() => setOpen(!open)}>
          {open
            ? 'Hide what differs'
            : `${plural(different.length, 'field')} differ${different.length === 1 ? 's' : ''} between them`}
        </button>
      )}
      {open && (
        <table className="work-values">
          <tbody>
            {different.map((value) => (
              <tr key={value.field.key}>
                <th scope="row">{value.field.label}</th>
                <td>
                  <p className="shown">
                    {short(value.best.text)}{' '}
                    <span className="sub">{value.best.from.map(sourceOf).join(', ')}</span>
                  </p>
                  {value.others.map((o) => (
                    <p key={o.text}>
                      {short(o.text)} <span className="sub">{o.from.map(sourceOf).join(', ')}</span>{' '}
                      {partition && (
                        <button className="plain link" onClick={() => choose(value, o.from[0]!)}>
                          show this
                        </button>
                      )}
                    </p>
                  ))}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  )
}

const short = (text: string): string => (text.length > 160 ? `${text.slice(0, 157).trimEnd()} …` : text)
