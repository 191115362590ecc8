'use client'
import { addComment } from '@/core/doing'
import { useState } from 'react'
import { searchReviews, type Line, type Review, type SearchComment } from '@/core/review'
import { useSession, useStore } from '@/page/provider'
import type { SourceInfo } from '@/standins/source-info'
import { searchDesk } from '@/workers'
import { CommentRow } from '../../shared/search-review/comment-row'

/** What people said of the lines of a source, in the order of the lines; what is of none of them stands last. */
export function commentsOn(review: Review, sourceId: string, lines: readonly Line[]): SearchComment[] {
  const place = (c: SearchComment): number => {
    const at = lines.findIndex((l) => l.id === c.lineId)
    return at < 0 ? lines.length : at
  }
  return searchReviews(review)
    .flatMap((r) => r.comments)
    .filter((c) => c.sourceId === sourceId)
    .sort((a, b) => place(a) - place(b))
}

/** What people said of these searches, and a place to say something of the chosen line. */
export function Comments({
  review,
  info,
  lines,
  chosen,
}: {
  review: Review
  info: SourceInfo
  lines: readonly Line[]
  chosen: Line | undefined
}) {
  const all = commentsOn(review, info.source.id, lines)
  return (
    <section aria-label="Comments">
      {all.length > 0 && <h3>What people said</h3>}
      {all.map((c) => (
        <CommentRow key={`${c.reader} ${c.id} ${c.at}`} review={review} comment={c} />
      ))}
      {chosen && <CommentOn key={chosen.id} info={info} lines={lines} line={chosen} />}
    </section>
  )
}

/** A comment on a line, perhaps with a better text, which is counted where its records are here. */
function CommentOn({ info, lines, line }: { info: SourceInfo; lines: readonly Line[]; line: Line }) {
  const { deed, doIt, inName } = useStore()
  const person = useSession((s) => s.person)
  const [shown, setShown] = useState(false)
  const [text, setText] = useState('')
  const [better, setBetter] = useState(line.text)
  const number = lines.indexOf(line) + 1
  if (!shown)
    return (
      <button className="plain link sub" onClick={() => setShown(true)}>
        comment on line {number}, for whoever runs these searches
      </button>
    )
  const save = (): void => {
    const said = text.trim()
    if (!said) return
    inName(
      () =>
        deed(
          proposalOf(info, lines, line, better).then((proposal) => {
            setShown(false)
            return doIt(addComment, {
              reader: person,
              sourceId: info.source.id,
              lineId: line.id,
              of: line.described ?? line.text,
              text: said,
              ...(proposal ? { proposal } : {}),
            })
          }),
        ),
      'say',
    )
  }
  const keys = (e: { key: string; preventDefault: () => void }): void => {
    if (e.key === 'Escape') setShown(false)
    if (e.key === 'Enter') {
      e.preventDefault()
      save()
    }
  }
  return (
    <div className="comment-on">
      <input
        className="line-input serif"
        autoFocus
        aria-label={`Comment on line ${number}`}
        placeholder={`what you would say of line ${number}; Enter keeps it`}
        value={text}
        onChange={(e) => setText(e.target.value)}
        onKeyDown={keys}
      />
      {line.described === undefined && (
        <input
          className="line-input mono"
          aria-label={`Better text for line ${number}`}
          value={better}
          onChange={(e) => setBetter(e.target.value)}
          onKeyDown={keys}
        />
      )}
    </div>
  )
}

/** The better text, with what it finds where that can be counted; nothing where the text is as it was. */
async function proposalOf(
  info: SourceInfo,
  lines: readonly Line[],
  line: Line,
  better: string,
): Promise<{ text: string; hits?: number } | undefined> {
  const text = better.trim()
  if (!text || text === line.text) return undefined
  if (!info.searched) return { text }
  const upTo = lines.slice(0, lines.indexOf(line) + 1).map((l) => (l.id === line.id ? { ...l, text } : l))
  const hits = (await searchDesk().run(info.searched, upTo)).at(-1)?.hits
  return hits === undefined ? { text } : { text, hits }
}
