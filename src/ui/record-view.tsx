import { Marked, Title } from './marked'
import { Strand } from './strand'

interface Marks {
  start: number
  end: number
  letter: string
}
interface Props {
  title: string
  /** Who, when, where, as one line. */
  source: string
  abstract: string | undefined
  headings: readonly { label: string; main: boolean; letter: string | undefined }[]
  keywords: readonly { text: string; marks: readonly Marks[] }[]
  titleMarks: readonly Marks[]
  abstractMarks: readonly Marks[]
}

/** A record in large type with its matched words marked. */
export function RecordView({
  title,
  source,
  abstract,
  headings,
  keywords,
  titleMarks,
  abstractMarks,
}: Props) {
  return (
    <article>
      <h2 className="record-title">
        <Title text={title} marks={titleMarks} />
      </h2>
      <p className="sub above-1">{source}</p>
      <p className="record-abstract">
        {abstract ? (
          <Marked text={abstract} marks={abstractMarks} />
        ) : (
          <span className="sub">This record has no abstract.</span>
        )}
      </p>
      {headings.length > 0 && (
        <p className="sub">
          Headings:{' '}
          {headings.map((h, i) => (
            <span key={h.label}>
              {i > 0 && ' · '}
              {h.letter && <Strand letter={h.letter} />} {h.label}
              {h.main && <span title="main focus"> ◉</span>}
            </span>
          ))}
        </p>
      )}
      {keywords.length > 0 && (
        <p className="sub above-1">
          Keywords:{' '}
          {keywords.map((k, i) => (
            <span key={k.text}>
              {i > 0 && ' · '}
              <Marked text={k.text} marks={k.marks} />
            </span>
          ))}
        </p>
      )}
    </article>
  )
}
