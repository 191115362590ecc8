'use client'
import { Button } from 'antd'
import dynamic from 'next/dynamic'
import { useState } from 'react'
import { parse } from '@/core/query'
import type { Line, Source } from '@/core/review'
import { act, commitEdit, discardEdit, stageEdit, useSession } from '@/store/session'
import { sourceInfo } from '@/store/source-info'
import { vocabularyDesk } from '@/workers'

const QueryEditor = dynamic(() => import('./query-editor').then((m) => m.QueryEditor), { ssr: false })

/** A line opened for editing, with what is wrong with it named below and mended at a click. */
export function LineEditor({
  source,
  line,
  number,
  close,
}: {
  source: Source
  line: Line
  number: number
  close: () => void
}) {
  const [text, setText] = useState(line.text)
  const [round, setRound] = useState(0)
  const key = `line-${line.id}`
  const vocabulary = useSession((s) => sourceInfo(s.folded.review, source).vocabulary?.key)
  const { problems } = parse(text)
  const change = (value: string): void => {
    setText(value)
    void stageEdit(key, {
      kind: 'line.change',
      payload: { sourceId: source.id, id: line.id, text: value },
    })
  }
  /** Leaves the line as it was; a new line that got no words goes again. */
  const leave = (): void => {
    void discardEdit(key)
    if (!line.text) void act('line.remove', { sourceId: source.id, id: line.id })
    close()
  }
  const done = (value: string): void => {
    if (value.trim() && value !== line.text)
      void commitEdit(key, {
        kind: 'line.change',
        payload: { sourceId: source.id, id: line.id, text: value },
      })
    else leave()
    close()
  }
  return (
    <div className="line-editor" role="row" data-line={number}>
      <div role="cell">
        <QueryEditor
          key={round}
          text={text}
          label={`Line ${number} in plain notation`}
          headings={async (typed) =>
            vocabulary ? (await vocabularyDesk().lookUp(vocabulary, typed)).map((o) => o.label) : []
          }
          onChange={change}
          onDone={done}
          onCancel={leave}
        />
        <ul className="problem-list" aria-live="polite">
          {problems.map((p, i) => (
            <li key={i}>
              <span className={p.severity}>{p.message}</span>
              {p.fix && (
                <Button
                  size="small"
                  onClick={() => {
                    const { span, text: put } = p.fix!
                    change(text.slice(0, span[0]) + put + text.slice(span[1]))
                    setRound(round + 1)
                  }}
                >
                  {p.fix.label}
                </Button>
              )}
            </li>
          ))}
        </ul>
        <div className="sub" style={{ marginTop: 6, display: 'flex', gap: 12, alignItems: 'center' }}>
          <Button size="small" type="primary" onClick={() => done(text)}>
            Keep<kbd>↵</kbd>
          </Button>
          <Button size="small" onClick={leave}>
            Leave as it was<kbd>Esc</kbd>
          </Button>
        </div>
      </div>
    </div>
  )
}
