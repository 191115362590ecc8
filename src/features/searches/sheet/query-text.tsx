import { Fragment, type ReactNode } from 'react'
import type { Span } from '@/core/base'
import { lex } from '@/core/query'

const NONE: readonly Span[] = []

/** Plain notation for reading: operators stand back, fields and line numbers stand out a little; `lost` is underlined. */
export function QueryText({ text, lost = NONE }: { text: string; lost?: readonly Span[] }) {
  const { marks } = lex(text)
  const out: ReactNode[] = []
  let at = 0
  marks.forEach((mark, i) => {
    const [start, end] = mark.at
    const kind =
      mark.kind === 'op' || mark.kind === 'near'
        ? 'q-op'
        : mark.kind === 'field' || mark.kind === 'heading' || mark.kind === 'class'
          ? 'q-field'
          : mark.kind === 'line' || mark.kind === 'lines'
            ? 'q-line'
            : undefined
    out.push(<Fragment key={`${i}-`}>{text.slice(at, start)}</Fragment>)
    const words = text.slice(start, end)
    const isLost = lost.some(([from, to]) => start >= from && end <= to)
    out.push(
      kind || isLost ? (
        <span key={i} className={`${kind ?? ''}${isLost ? ' lost-part' : ''}`}>
          {words}
        </span>
      ) : (
        <Fragment key={i}>{words}</Fragment>
      ),
    )
    at = end
  })
  out.push(text.slice(at))
  return <span className="mono">{out}</span>
}
