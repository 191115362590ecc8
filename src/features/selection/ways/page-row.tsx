'use client'
import { Button } from 'antd'
import { dayPage, dropPage, keepPage } from '@/core/doing'
import type { WebPage } from '@/core/review'
import { useStore } from '@/page/provider'
import { DayField } from '@/ui/day-field'
import { useFilePick } from '@/ui/file-pick'
import { Typed } from './typed'

const CREDIBLE = [
  ['publisher', 'who publishes it'],
  ['dated', 'how it is dated'],
  ['evidence', 'what it rests on'],
  ['purpose', 'what it is for'],
] as const

/** A page that was seen, with how it was judged, and a copy of it. */
export function PageRow({ page }: { page: WebPage }) {
  const { doIt, deed, lay } = useStore()
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
        await doIt(keepPage, {
          page,
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
        <DayField
          label="seen on"
          past
          value={page.seen}
          set={(day) => deed(doIt(dayPage, { page, day: day ?? '' }))}
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
        <button className="plain link sub" onClick={() => deed(doIt(dropPage, { id: page.id }))}>
          away
        </button>
      </p>
    </div>
  )
}
