'use client'
import { dropEmptyLine } from '@/core/doing'
import { Input } from 'antd'
import { useRef, useState } from 'react'
import type { Line } from '@/core/review'
import { useStore } from '@/page/provider'

/** A search without text opened for editing: what was done, in words. A new one that gets none goes again. */
export function DescribedEditor({
  sourceId,
  line,
  number,
  close,
}: {
  sourceId: string
  line: Line
  number: number
  close: () => void
}) {
  const { commitEdit, deed, discardEdit, doIt, typeEdit } = useStore()
  const [text, setText] = useState(line.described ?? '')
  const key = `line-${line.id}`
  const command = (described: string) => ({
    kind: 'line.change' as const,
    payload: { sourceId, id: line.id, described },
  })
  // Closing takes the focus away, which must not count as leaving the field a second time.
  const finished = useRef(false)
  const leave = (): void => {
    if (finished.current) return
    finished.current = true
    deed(discardEdit(key))
    deed(doIt(dropEmptyLine, { sourceId, line }))
    close()
  }
  const done = (): void => {
    if (!text.trim()) return leave()
    if (finished.current) return
    finished.current = true
    if (text !== line.described) deed(commitEdit(key, command(text.trim())))
    else deed(discardEdit(key))
    close()
  }
  return (
    <div className="line-editor" role="row" data-line={number}>
      <div role="cell">
        <Input.TextArea
          autoFocus
          autoSize
          className="serif"
          aria-label={`What was done for line ${number}`}
          placeholder="browsed the last six issues of …; drew …; filled in the form with …"
          value={text}
          onChange={(e) => {
            setText(e.target.value)
            typeEdit(key, command(e.target.value))
          }}
          onBlur={done}
          onKeyDown={(e) => {
            if (e.key === 'Escape') leave()
            if (e.key !== 'Enter') return
            e.preventDefault()
            done()
          }}
        />
      </div>
    </div>
  )
}
