'use client'
import { useMemo } from 'react'
import { dateWords } from '@/core/account'
import { writtenOtherwise } from '@/core/doing'
import type { Line } from '@/core/review'
import { lineToSend } from '@/core/strategy'
import type { SourceInfo } from '@/standins/source-info'
import { useSession } from '@/page/provider'
import { LogRun } from './log-run'
import { ReadingOffer } from './reading-offer'
import { SaidPane } from '../panes/translation'

/**
 * A line of a database that lies outside: its text with its limits, to be copied and run there, and what came back to
 * be logged.
 */
export function ByHand({
  line,
  number,
  lines,
  info,
  logged,
}: {
  line: Line
  number: number
  lines: readonly Line[]
  info: SourceInfo
  logged: () => void
}) {
  const profile = info.profile!
  const review = useSession((s) => s.folded.review)
  const { runs } = review
  const said = useMemo(
    () =>
      lineToSend(lines, number, profile, runs) ?? {
        text: '',
        losses: [],
        onScreen: [],
        screen: [],
        missing: [],
      },
    [lines, number, profile, runs],
  )
  const made = runs.findLast((r) => r.lineId === line.id)
  if (made?.how === 'before' && !line.text)
    return (
      <>
        <p className="sub">
          Line {number} was searched before this record was kept, on {dateWords(made.at)}. What it asked is
          not known here: it cannot be run again, and the methods section says so. Its records are brought in
          below.
        </p>
        <LogRun line={line} number={number} lines={lines} info={info} sent="" made logged={logged} />
      </>
    )
  const otherwise = writtenOtherwise(review, lines, line, said.text)
  return (
    <>
      {otherwise && (
        <p className="note">
          It was run as <span className="mono">{otherwise.sent}</span>. By the description as it is now, it
          would be sent as it stands below.
        </p>
      )}
      <ReadingOffer key={line.id} line={line} number={number} lines={lines} />
      <SaidPane line={line} number={number} said={said} short={info.short} described />
      <LogRun
        line={line}
        number={number}
        lines={lines}
        info={info}
        sent={said.text}
        screen={said.screen}
        logged={logged}
      />
    </>
  )
}

/** A search that has no text: what was done stands in words; what came back is logged. */
export function Described({
  line,
  number,
  lines,
  info,
  logged,
}: {
  line: Line
  number: number
  lines: readonly Line[]
  info: SourceInfo
  logged: () => void
}) {
  return (
    <>
      <p className="sub">Line {number} has no text to be sent. What was done:</p>
      <p className="serif">{line.described || 'Say it in a few words: press Enter on the line.'}</p>
      <LogRun
        line={line}
        number={number}
        lines={lines}
        info={info}
        sent={line.described ?? ''}
        logged={logged}
      />
    </>
  )
}
