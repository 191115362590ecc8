import { Fragment, type ReactNode } from 'react'
import { titleRuns } from './title-runs'

interface Mark {
  start: number
  end: number
  letter: string
}

/** Text with what matched marked in the colour of its concept, in the order of the marks. */
export function Marked({ text, marks }: { text: string; marks: readonly Mark[] }) {
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

/** The same for a title: italics and the like are set as references set them, and their tags are not shown. */
export function Title({ text, marks = [] }: { text: string; marks?: readonly Mark[] }) {
  return titleRuns(text).map(({ start, end, styles }) => {
    const own = marks
      .filter((m) => m.end > start && m.start < end)
      .map((m) => ({ ...m, start: Math.max(m.start, start) - start, end: Math.min(m.end, end) - start }))
    const inside = <Marked text={text.slice(start, end)} marks={own} />
    return (
      <Fragment key={start}>
        {styles.reduceRight<ReactNode>(
          (of, Style) => (
            <Style>{of}</Style>
          ),
          inside,
        )}
      </Fragment>
    )
  })
}
