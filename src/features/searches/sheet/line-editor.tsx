'use client'
import { dropEmptyLine } from '@/core/doing'
import { Button, Input } from 'antd'
import dynamic from 'next/dynamic'
import { useState } from 'react'
import { hasErrors, type Problem } from '@/core/base'
import { printFor, readFrom, type Profile } from '@/core/profile'
import { byGroup, parse, print, withoutPlaces } from '@/core/query'
import type { Line, Source } from '@/core/review'
import { useSession, useStore } from '@/page/provider'
import { sourceInfo } from '@/standins/source-info'
import { vocabularyDesk } from '@/workers'

const QueryEditor = dynamic(() => import('./query-editor').then((m) => m.QueryEditor), { ssr: false })

/** A line opened for editing, in plain notation or in the source's own syntax, with what is wrong named below. */
export function LineEditor({
  source,
  line,
  number,
  above,
  close,
}: {
  source: Source
  line: Line
  number: number
  /** The lines above, which it may refer to. */
  above: readonly string[]
  close: () => void
}) {
  const { commitEdit, deed, discardEdit, doIt, typeEdit } = useStore()
  const [text, setText] = useState(line.text)
  const [round, setRound] = useState(0)
  const [theirs, setTheirs] = useState(false)
  const key = `line-${line.id}`
  const vocabulary = useSession((s) => sourceInfo(s.folded.review, source).vocabulary?.key)
  const profile = useSession((s) => sourceInfo(s.folded.review, source).profile)
  const { problems } = parse(text)
  const change = (value: string): void => {
    setText(value)
    typeEdit(key, {
      kind: 'line.change',
      payload: { sourceId: source.id, id: line.id, text: value },
    })
  }
  /** Leaves the line as it was; a new line that got no words goes again. */
  const leave = (): void => {
    deed(discardEdit(key))
    deed(doIt(dropEmptyLine, { sourceId: source.id, line }))
    close()
  }
  const done = (value: string): void => {
    if (value.trim() && value !== line.text)
      deed(
        commitEdit(key, {
          kind: 'line.change',
          payload: { sourceId: source.id, id: line.id, text: value },
        }),
      )
    else leave()
    close()
  }
  return (
    <div className="line-editor" role="row" data-line={number}>
      <div role="cell">
        {theirs && profile ? (
          <TheirEditor
            profile={profile}
            label={`Line ${number} as ${source.name} reads it`}
            text={text}
            onChange={change}
            onDone={done}
            onCancel={leave}
          />
        ) : (
          <>
            <QueryEditor
              key={round}
              text={text}
              label={`Line ${number} in plain notation`}
              headings={async (typed) =>
                vocabulary ? (await vocabularyDesk().lookUp(vocabulary, typed)).map((o) => o.label) : []
              }
              above={above}
              onChange={change}
              onDone={done}
              onCancel={leave}
            />
            <Problems
              problems={problems}
              fix={(value) => {
                change(value)
                setRound(round + 1)
              }}
              text={text}
            />
          </>
        )}
        <div className="sub above-2 in-row level">
          <Button size="small" type="primary" onClick={() => done(text)}>
            Keep<kbd>↵</kbd>
          </Button>
          <Button size="small" onClick={leave}>
            Leave as it was<kbd>Esc</kbd>
          </Button>
          {profile && (
            <button className="plain link apart" onClick={() => setTheirs(!theirs)}>
              {theirs ? 'edit in plain notation' : `edit as ${profile.name} reads it`}
            </button>
          )}
        </div>
      </div>
    </div>
  )
}

function Problems({
  problems,
  text,
  fix,
}: {
  problems: readonly Problem[]
  text: string
  fix: (value: string) => void
}) {
  return (
    <ul className="problem-list" aria-live="polite">
      {problems.map((p, i) => (
        <li key={i}>
          <span className={p.severity}>{p.message}</span>
          {p.fix && (
            <Button
              size="small"
              onClick={() => {
                const [start, end] = p.fix!.span
                fix(text.slice(0, start) + p.fix!.text + text.slice(end))
              }}
            >
              {p.fix.label}
            </Button>
          )}
        </li>
      ))}
    </ul>
  )
}

/** The line in the source's own syntax: what is typed is read by its profile, and the plain notation follows. */
function TheirEditor({
  profile,
  label,
  text,
  onChange,
  onDone,
  onCancel,
}: {
  profile: Profile
  label: string
  text: string
  onChange: (plain: string) => void
  onDone: (plain: string) => void
  onCancel: () => void
}) {
  const [typed, setTyped] = useState(() => {
    const { tree } = parse(text)
    return tree ? printFor(tree, profile).text : ''
  })
  const read = readFrom(typed, profile)
  const plain = read.tree && !hasErrors(read.problems) ? print(byGroup(withoutPlaces(read.tree))) : undefined
  return (
    <>
      <Input.TextArea
        autoFocus
        autoSize
        className="mono"
        aria-label={label}
        value={typed}
        onChange={(e) => {
          setTyped(e.target.value)
          const { tree, problems } = readFrom(e.target.value, profile)
          if (tree && !hasErrors(problems)) onChange(print(byGroup(withoutPlaces(tree))))
        }}
        onKeyDown={(e) => {
          if (e.key === 'Escape') onCancel()
          if (e.key !== 'Enter') return
          e.preventDefault()
          if (plain) onDone(plain)
        }}
      />
      <p className="sub above-2 below-1">
        {plain ? (
          <>
            in plain notation: <span className="mono">{plain}</span>
          </>
        ) : (
          'not understood yet'
        )}
      </p>
      <ul className="problem-list" aria-live="polite">
        {read.problems.map((p, i) => (
          <li key={i}>
            <span className={p.severity}>{p.message}</span>
          </li>
        ))}
      </ul>
    </>
  )
}
