'use client'
import { App, Button } from 'antd'
import { useEffect, useMemo, useState } from 'react'
import type { Line } from '@/core/review'
import type { StandinInfo } from '@/standins'
import { useActions, type Action } from '@/store/actions'
import { searchDesk, type Said } from '@/workers'
import { QueryText } from './query-text'

/** The chosen line in plain notation and as the database is asked, with what is lost between the two. */
export function Translation({
  line,
  number,
  lines,
  info,
}: {
  line: Line
  number: number
  lines: Line[]
  info: StandinInfo
}) {
  const [said, setSaid] = useState<Said>()
  const { message } = App.useApp()
  useEffect(() => {
    let current = true
    void searchDesk()
      .say(info.id, lines, line.id)
      .then((answer) => current && setSaid(answer))
    return () => {
      current = false
    }
  }, [info.id, line.id, lines])
  const actions = useMemo<Action[]>(
    () => [
      {
        id: 'copy-theirs',
        label: `Copy the line as ${info.short} reads it`,
        key: 'C',
        when: () => !!said?.text,
        run: () => void navigator.clipboard.writeText(said!.text).then(() => message.success('Copied.')),
      },
    ],
    [info.short, message, said],
  )
  useActions('translation', actions)
  if (!said) return <p className="empty">Opening {info.name} …</p>
  if (!said.text) return null
  return (
    <section className="translation" aria-label="Translation">
      <div>
        <p className="sub">Line {number} in plain notation</p>
        <QueryText text={line.text} />
      </div>
      <div>
        <p className="sub">
          as {info.short} reads it{' '}
          <Button size="small" onClick={actions[0]!.run}>
            Copy<kbd>C</kbd>
          </Button>
        </p>
        <span className="mono" style={{ whiteSpace: 'pre-wrap', overflowWrap: 'anywhere' }}>
          {said.text}
        </span>
      </div>
      {said.losses.length > 0 && (
        <ul className="losses">
          {said.losses.slice(0, 6).map((l, i) => (
            <li key={i}>
              <b>{WORDS[l.direction]}.</b> <span className="mono">{l.was}</span>: {l.why}. {l.advice}
            </li>
          ))}
          {said.losses.length > 6 && <li>{said.losses.length - 6} more of this kind.</li>}
        </ul>
      )}
    </section>
  )
}

const WORDS = { wider: 'Wider', narrower: 'Narrower', changed: 'Changed' }
