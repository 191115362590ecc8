'use client'
import { App, Button } from 'antd'
import { useMemo } from 'react'
import { listed } from '@/core/base'
import type { Loss } from '@/core/profile'
import type { Line } from '@/core/review'
import type { StandinInfo } from '@/standins'
import { useActions, type Action } from '@/page/actions'
import { useStore } from '@/page/provider'
import { useAsked } from '@/page/use-asked'
import { searchDesk, type Said } from '@/workers'
import { copyText } from '@/ui/copy-text'
import { KeyHint } from '../../shared/key-hint'
import { QueryText } from '../sheet/query-text'

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
  const { value: said, failed } = useAsked(
    () => searchDesk().say(info.id, lines, line.id),
    [info.id, lines, line.id],
    { keep: true },
  )
  if (!said) return <p className="empty">{failed ?? `Opening ${info.name} …`}</p>
  return <SaidPane line={line} number={number} said={said} short={info.short} />
}

/** A line beside what a source is asked for it, with what is lost between the two. */
export function SaidPane({
  line,
  number,
  said,
  short,
  described = false,
}: {
  line: Line
  number: number
  said: Said
  short: string
  /** It lies outside: what its description lacks it may have. */
  described?: boolean
}) {
  const { deed } = useStore()
  const { message } = App.useApp()
  const onScreen = said.onScreen.length ? `To be set on the screen there: ${listed(said.onScreen)}.` : ''
  const copy = useMemo<Action>(
    () => ({
      id: 'copy-theirs',
      label: `Copy the line as ${short} reads it`,
      key: 'C',
      when: () => !!said.text,
      run: () =>
        deed(
          copyText(said.text).then(() =>
            message.success(`Copied.${onScreen && ` ${onScreen}`}`, onScreen ? 8 : 3),
          ),
        ),
    }),
    [short, said.text, onScreen, deed, message],
  )
  useActions(
    'part',
    'translation',
    useMemo(() => [copy], [copy]),
  )
  if (!said.text) return null
  return (
    <section className="translation" aria-label="Translation">
      <div>
        <p className="sub">Line {number} in plain notation</p>
        <QueryText text={line.text} lost={said.losses.flatMap((l) => (l.at ? [l.at] : []))} />
      </div>
      <div>
        <p className="sub">
          as {short} reads it{' '}
          <Button size="small" onClick={copy.run}>
            Copy
            <KeyHint of={copy} />
          </Button>
        </p>
        <Theirs said={said} />
        {onScreen && <p className="quiet-note">{onScreen}</p>}
        {said.missing.length > 0 && (
          <p className="note">
            {described ? (
              <>
                How a limit by {listed(said.missing, 'or')} is set there <b>the description does not say</b>.
              </>
            ) : (
              <>
                <b>Not to be had there:</b> a limit by {listed(said.missing, 'or')}.
              </>
            )}
          </p>
        )}
      </div>
      {said.losses.length > 0 && (
        <ul className="losses">
          {grouped(said.losses).map((l) => (
            <li key={l.key}>
              <b>{WORDS[l.direction]}.</b> <span className="mono">{l.was.slice(0, 8).join(', ')}</span>
              {l.was.length > 8 && ` and ${l.was.length - 8} more`}: {l.why}. {l.advice}
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}

/** The same loss of several parts of a line said once, with all of them. */
function grouped(
  losses: readonly Loss[],
): (Pick<Loss, 'direction' | 'why' | 'advice'> & { key: string; was: string[] })[] {
  const found = new Map<string, Pick<Loss, 'direction' | 'why' | 'advice'> & { key: string; was: string[] }>()
  for (const { direction, why, advice, was } of losses) {
    const key = [direction, why, advice].join('\n')
    const known = found.get(key)
    if (!known) found.set(key, { key, direction, why, advice, was: [was] })
    else if (!known.was.includes(was)) known.was.push(was)
  }
  return [...found.values()]
}

/** Their text, with what stands in the place of something else underlined, as it is on our side. */
function Theirs({ said }: { said: Said }) {
  const spans = said.losses
    .flatMap((l) => {
      const start = l.is ? said.text.indexOf(l.is) : -1
      return start < 0 || l.is === said.text ? [] : [[start, start + l.is.length] as const]
    })
    .sort((a, b) => a[0] - b[0])
  const out: React.ReactNode[] = []
  let at = 0
  for (const [start, end] of spans) {
    if (start < at) continue
    out.push(
      said.text.slice(at, start),
      <u key={start} className="lost-part">
        {said.text.slice(start, end)}
      </u>,
    )
    at = end
  }
  out.push(said.text.slice(at))
  return <span className="mono as-sent">{out}</span>
}

const WORDS = { wider: 'Wider', narrower: 'Narrower', changed: 'Changed' }
