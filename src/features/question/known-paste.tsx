'use client'
import { addKnown, isKnown } from '@/core/doing'
import { Button, Input } from 'antd'
import { useEffect, useRef, useState } from 'react'
import { plural } from '@/core/base'
import { readPasted, whoAndWhen, type Pasted } from '@/core/records'
import type { Review } from '@/core/review'
import { useDoor } from '@/page/handed-in'
import { useStore } from '@/page/provider'
import { useAsked } from '@/page/use-asked'

/** A box for anything that names works, and beneath it what was understood, line by line, before it is taken in. */
export function KnownPaste({ review, close }: { review: Review; close: () => void }) {
  const { deed, doIt } = useStore()
  const [text, setText] = useState('')
  useDoor('known', (file) => deed(file.text().then((more) => setText((t) => (t ? `${t}\n${more}` : more)))))
  const asked = useAsked(() => readPasted(text), [text], { after: 150, keep: true })
  const read = { of: asked.waiting ? '' : text, items: asked.value ?? [] }

  const room = useRef<HTMLDivElement>(null)
  useEffect(() => {
    room.current?.scrollIntoView({ block: 'center' })
  }, [])

  const known = (item: Pasted): boolean => isKnown(review.knownItems, item)
  const fresh = read.items.filter((item) => !known(item))
  const take = (): void => {
    deed(doIt(addKnown, read.items))
    close()
  }
  return (
    <div className="paste" ref={room}>
      <Input.TextArea
        autoFocus
        aria-label="Known items, pasted"
        placeholder={'10.5555/…\nor RIS, BibTeX, or references as they stand in a text; mixed if you like'}
        autoSize={{ minRows: 4, maxRows: 10 }}
        value={text}
        onChange={(e) => setText(e.target.value)}
        onKeyDown={(e) => {
          if (e.key === 'Escape') close()
          if (e.key === 'Enter' && (e.ctrlKey || e.metaKey) && read.of === text) take()
        }}
      />
      {read.items.map((item, i) => (
        <div key={i} className="understood">
          <span className="sub number">
            {item.lines[0] === item.lines[1] ? item.lines[0] : `${item.lines[0]}–${item.lines[1]}`}
          </span>
          <span className="sub">{item.form}</span>
          <span>
            <span className="serif">
              {item.title || (item.form === 'DOI' ? 'title follows once it is found' : 'no title')}
            </span>
            <br />
            <span className="sub">
              {[item.authors.length || item.year ? whoAndWhen(item) : '', item.journal, item.doi]
                .filter(Boolean)
                .join(' · ')}
              {known(item) && ' · already among the known items'}
            </span>
            {item.problems.map((p) => (
              <span key={p.code} className="sub warn">
                {p.message}
              </span>
            ))}
          </span>
        </div>
      ))}
      <div className="in-row above-2 level">
        <Button size="small" type="primary" disabled={!fresh.length || read.of !== text} onClick={take}>
          {fresh.length ? `Take ${plural(fresh.length, 'item')}` : 'Take'}
          <kbd>Ctrl ↵</kbd>
        </Button>
        <Button size="small" onClick={close}>
          Leave it
        </Button>
        <span className="sub">
          {read.items.length
            ? 'Titles can be corrected afterwards.'
            : 'What is understood shows here as you paste.'}
        </span>
      </div>
    </div>
  )
}
