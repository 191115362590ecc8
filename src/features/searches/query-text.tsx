import { Fragment, type ReactNode } from 'react'
import { lex } from '@/core/query'

/** Plain notation for reading: operators stand back, fields and line numbers stand out a little. */
export function QueryText({ text }: { text: string }) {
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
    out.push(
      kind ? (
        <span key={i} className={kind}>
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
