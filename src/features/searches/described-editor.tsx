'use client'
import { Input } from 'antd'
import { useRef, useState } from 'react'
import type { Line } from '@/core/review'
import { act, commitEdit, discardEdit, stageEdit } from '@/store/session'

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
    void discardEdit(key)
    if (!line.described) void act('line.remove', { sourceId, id: line.id })
    close()
  }
  const done = (): void => {
    if (!text.trim()) return leave()
    if (finished.current) return
    finished.current = true
    if (text !== line.described) void commitEdit(key, command(text.trim()))
    else void discardEdit(key)
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
            void stageEdit(key, command(e.target.value))
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
