import { diffWords } from 'diff'
import { useMemo } from 'react'

const LONG = 300

/** A value with what the other one does not have marked; "none" where there is nothing. */
export function Differing({ text, other }: { text: string; other: string }) {
  const parts = useMemo(() => {
    if (!text || !other || text === other) return undefined
    return diffWords(other.slice(0, LONG), text.slice(0, LONG)).filter((p) => !p.removed)
  }, [text, other])
  if (!text) return <mark className="settle-none">none</mark>
  const more = text.length > LONG ? ' …' : ''
  if (!parts)
    return (
      <>
        {text.slice(0, LONG)}
        {more}
      </>
    )
  return (
    <>
      {parts.map((p, i) => (p.added ? <mark key={i}>{p.value}</mark> : <span key={i}>{p.value}</span>))}
      {more}
    </>
  )
}
