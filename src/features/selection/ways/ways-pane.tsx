'use client'
import { RECORD_FILES } from '@/core/records'
import { Button } from 'antd'
import { useState } from 'react'
import { dateWords } from '@/core/account'
import { plural } from '@/core/base'
import { addContact, addPage } from '@/core/doing'
import type { Source } from '@/core/review'
import { wayWords } from '@/core/selection'
import { useStore } from '@/page/provider'
import { useFilePick } from '@/ui/file-pick'
import { useBringFile } from '../../shared/bring-file/use-bring-file'
import type { Selected } from '../use-selected'
import { ContactRow } from './contact-row'
import { Following } from './following'
import { PageRow } from './page-row'
import { WayLog } from './way-log'
import { StageLink } from '../../shared/stage-link'

/** Works that come by other ways than databases: each way with what was done on it, its works through the same passes. */
export function WaysPane({ selected }: { selected: Selected }) {
  const { review } = selected
  const ways = review.sources.filter((s) => s.kind !== 'database')
  if (!ways.length)
    return (
      <p className="empty">
        No other way is in the plan: reference lists, citing papers, people, websites, registers, journals
        searched by hand, or a collection of your own are added under <StageLink to="Question" />, with the
        sources.
      </p>
    )
  return (
    <div className="ways">
      {ways.map((source) => (
        <Way key={source.id} source={source} selected={selected} />
      ))}
    </div>
  )
}

function Way({ source, selected }: { source: Source; selected: Selected }) {
  const { review, works } = selected
  const { doIt, deed } = useStore()
  const [logging, setLogging] = useState(false)
  const files = useBringFile()
  const file = useFilePick(`File with records of ${source.name}`, RECORD_FILES, (chosen) =>
    files.bring(chosen, { source, place: 'beside' }, () => undefined, true),
  )
  const found = works.filter((w) => w.sources.includes(source.id))
  const first = found.filter((w) => w.sources[0] === source.id)
  const of = <T extends { sourceId: string }>(list: readonly T[] | undefined): T[] =>
    (list ?? []).filter((one) => one.sourceId === source.id)
  const follows = source.kind === 'reference lists' || source.kind === 'citing papers'
  return (
    <section className="way" aria-label={source.name}>
      <h2>
        {source.name}{' '}
        <span className="sub">
          {found.length
            ? `${plural(found.length, 'work')}, ${first.length} of them found this way first`
            : 'nothing has come this way yet'}
        </span>
      </h2>
      {follows && <Following source={source} selected={selected} />}
      {of(review.ways).map((w) => (
        <p key={w.id} className="sub way-step">
          {dateWords(w.day)}: {wayWords(w)}.
        </p>
      ))}
      {of(review.contacts).map((c) => (
        <ContactRow key={c.id} contact={c} />
      ))}
      {of(review.pages).map((p) => (
        <PageRow key={p.id} page={p} />
      ))}
      {logging ? (
        <WayLog source={source} selected={selected} done={() => setLogging(false)} />
      ) : (
        <p className="way-deeds">
          <Button size="small" onClick={() => setLogging(true)}>
            Log what was done
          </Button>
          {source.kind === 'people' && (
            <Button size="small" onClick={() => deed(doIt(addContact, { sourceId: source.id }))}>
              Somebody was asked
            </Button>
          )}
          {source.kind === 'web' && (
            <Button size="small" onClick={() => deed(doIt(addPage, { sourceId: source.id }))}>
              A page was seen
            </Button>
          )}
          <Button size="small" onClick={file.open}>
            Bring its records in
          </Button>
          {file.input}
          {files.dialog}
        </p>
      )}
    </section>
  )
}
