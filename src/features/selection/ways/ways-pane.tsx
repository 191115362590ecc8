'use client'
import { Button, Input } from 'antd'
import { plural } from '@/core/base'
import type { Command, Contact, Source, WebPage } from '@/core/review'
import { useStore } from '@/store/provider'
import { useStaged } from '@/store/use-staged'
import { useBringFile } from '../../shared/bring-file/use-bring-file'
import { useFilePick } from '@/ui/file-pick'
import type { Selected } from '../use-selected'
import { Following } from './following'

/** Works that come by other ways than databases: each way with what was done on it, its works through the same passes. */
export function WaysPane({ selected }: { selected: Selected }) {
  const { review } = selected
  const ways = review.sources.filter((s) => s.kind !== 'database')
  if (!ways.length)
    return (
      <p className="empty">
        No other way is in the plan: reference lists, citing papers, people, websites, registers, journals
        searched by hand, or a collection of your own are added under Question, with the sources.
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
  const { act, deed, newId } = useStore()
  const files = useBringFile()
  const file = useFilePick(
    `File with records of ${source.name}`,
    '.ris,.txt,.bib,.json,.csv,.tsv',
    (chosen) => files.bring(chosen, { source, place: 'beside' }, () => undefined, true),
  )
  const found = works.filter((w) => w.sources.includes(source.id))
  const first = found.filter((w) => w.sources[0] === source.id)
  const contacts = (review.contacts ?? []).filter((c) => c.sourceId === source.id)
  const pages = (review.pages ?? []).filter((p) => p.sourceId === source.id)
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
      {contacts.map((c) => (
        <ContactRow key={c.id} contact={c} />
      ))}
      {pages.map((p) => (
        <PageRow key={p.id} page={p} />
      ))}
      <p className="way-deeds">
        {source.kind === 'people' && (
          <Button
            size="small"
            onClick={() =>
              deed(act('contact.set', { id: newId(), sourceId: source.id, who: '', way: '', what: '' }))
            }
          >
            Somebody was asked
          </Button>
        )}
        {source.kind === 'web' && (
          <Button
            size="small"
            onClick={() =>
              deed(
                act('page.set', {
                  id: newId(),
                  sourceId: source.id,
                  address: '',
                  title: '',
                  searched: '',
                  publisher: '',
                  dated: '',
                  evidence: '',
                  purpose: '',
                }),
              )
            }
          >
            A page was seen
          </Button>
        )}
        <Button size="small" onClick={file.open}>
          Bring its records in
        </Button>
        {file.input}
        {files.dialog}
      </p>
    </section>
  )
}

/** A part of something that is typed into. */
function Typed({
  name,
  value,
  label,
  command,
  wide,
}: {
  name: string
  value: string
  label: string
  command: (value: string) => Command
  wide?: boolean
}) {
  const text = useStaged(name, value, command)
  return (
    <Input
      size="small"
      aria-label={label}
      placeholder={label}
      style={{ width: wide ? 320 : 150 }}
      {...text}
    />
  )
}

function ContactRow({ contact }: { contact: Contact }) {
  const { act, deed } = useStore()
  const field = (key: 'who' | 'way' | 'what', label: string, wide = false) => (
    <Typed
      name={`contact-${contact.id}-${key}`}
      value={contact[key]}
      label={label}
      wide={wide}
      command={(value) => ({ kind: 'contact.set', payload: { ...contact, [key]: value } })}
    />
  )
  const day = (key: 'asked' | 'answered', label: string) => (
    <Input
      size="small"
      type="date"
      aria-label={label}
      title={label}
      style={{ width: 140 }}
      value={contact[key] ?? ''}
      onChange={(e) => {
        const { [key]: _, ...others } = contact
        deed(act('contact.set', { ...others, ...(e.target.value ? { [key]: e.target.value } : {}) }))
      }}
    />
  )
  return (
    <p className="way-row">
      {field('who', 'who')} {field('way', 'by what way')} {day('asked', 'asked on')}{' '}
      {day('answered', 'answered on')} {field('what', 'what came of it', true)}{' '}
      <button className="plain link sub" onClick={() => deed(act('contact.remove', { id: contact.id }))}>
        away
      </button>
    </p>
  )
}

const CREDIBLE = [
  ['publisher', 'who publishes it'],
  ['dated', 'how it is dated'],
  ['evidence', 'what it rests on'],
  ['purpose', 'what it is for'],
] as const

function PageRow({ page }: { page: WebPage }) {
  const store = useStore()
  const { act, deed, lay } = store
  const field = (
    key: 'address' | 'title' | 'searched' | (typeof CREDIBLE)[number][0],
    label: string,
    wide = false,
  ) => (
    <Typed
      name={`page-${page.id}-${key}`}
      value={page[key]}
      label={label}
      wide={wide}
      command={(value) => ({ kind: 'page.set', payload: { ...page, [key]: value } })}
    />
  )
  const copy = useFilePick('A saved copy of the page', '', (file) =>
    deed(
      lay(async ({ keepBytes }) => {
        const bytes = new Uint8Array(await file.arrayBuffer())
        await act('page.set', {
          ...page,
          copy: {
            name: file.name,
            mediaType: file.type || 'application/octet-stream',
            size: bytes.length,
            digest: await keepBytes(bytes),
          },
        })
      }),
    ),
  )
  return (
    <div className="way-page">
      <p className="way-row">
        {field('address', 'address', true)} {field('title', 'title', true)}
        <Input
          size="small"
          type="date"
          aria-label="seen on"
          title="seen on"
          style={{ width: 140 }}
          value={page.seen ?? ''}
          onChange={(e) => {
            const { seen: _, ...others } = page
            deed(act('page.set', { ...others, ...(e.target.value ? { seen: e.target.value } : {}) }))
          }}
        />
      </p>
      <p className="way-row">
        {field('searched', 'what was searched there', true)}{' '}
        {CREDIBLE.map(([key, label]) => (
          <span key={key}>{field(key, label)}</span>
        ))}
      </p>
      <p className="way-deeds">
        <Button size="small" onClick={copy.open}>
          {page.copy ? `Copy: ${page.copy.name}` : 'Keep a copy'}
        </Button>
        {copy.input}
        <button className="plain link sub" onClick={() => deed(act('page.remove', { id: page.id }))}>
          away
        </button>
      </p>
    </div>
  )
}
