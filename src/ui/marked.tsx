import { Fragment, type ReactNode } from 'react'

/** A text with stretches marked in the colour, and under the line, of their strand. */
export function Marked({
  text,
  marks,
}: {
  text: string
  marks: readonly { start: number; end: number; letter: string }[]
}) {
  const out: ReactNode[] = []
  let at = 0
  marks.forEach((m, i) => {
    out.push(<Fragment key={`t${i}`}>{text.slice(at, m.start)}</Fragment>)
    out.push(
      <mark key={i} className={m.letter} title={`concept ${m.letter}`}>
        {text.slice(m.start, m.end)}
      </mark>,
    )
    at = m.end
  })
  out.push(text.slice(at))
  return out
}
