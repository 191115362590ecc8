'use client'
import { useEffect, useState } from 'react'
import { hasErrors, thousands } from '@/core/base'
import { parse, print } from '@/core/query'
import type { Concept, Review } from '@/core/review'
import { standin } from '@/standins'
import { act, newId } from '@/store/session'
import { Strand } from '@/ui/strand'
import { searchDesk } from '@/workers'

/** Types text words into a concept: several at once, separated by semicolons; each is counted before it is taken. */
export function WordEntry({ concept, review }: { concept: Concept; review: Review }) {
  const [typed, setTyped] = useState('')
  const [counts, setCounts] = useState<{ name: string; hits: number | undefined }[]>([])
  const parts = typed
    .split(/[;\n]/)
    .map((t) => t.trim())
    .filter(Boolean)
  const read = parts.map((t) => ({ typed: t, ...parse(t) }))
  const broken = read.flatMap((r) =>
    r.problems.filter((p) => p.severity === 'error' || p.code === 'side-by-side'),
  )
  const last = parts[parts.length - 1]

  useEffect(() => {
    let current = true
    const databases = review.sources.flatMap((s) => standin(s.profileId) ?? [])
    const timer = setTimeout(() => {
      if (!last) return setCounts([])
      void Promise.all(
        databases.map(async (d) => ({
          name: d.short,
          hits: await searchDesk().count(d.id, `text: (${last})`),
        })),
      ).then((found) => current && setCounts(found))
    }, 180)
    return () => {
      current = false
      clearTimeout(timer)
    }
  }, [last, review.sources])

  const take = (): void => {
    if (!read.length || read.some((r) => !r.tree || hasErrors(r.problems))) return
    for (const r of read) {
      // Two words with nothing between are meant as a phrase far more often than as two words.
      const expression = r.problems.some((p) => p.code === 'side-by-side')
        ? `"${r.typed.replace(/"/g, '')}"`
        : print(r.tree!)
      if (
        review.terms.some(
          (t) => t.conceptId === concept.id && t.kind === 'text' && t.expression === expression,
        )
      )
        continue
      void act('term.set', {
        id: newId(),
        conceptId: concept.id,
        sourceId: 'all',
        kind: 'text',
        expression,
        withNarrower: false,
        mainFocus: false,
        origin: 'typed',
        status: 'in use',
      })
    }
    setTyped('')
  }
  return (
    <section aria-label={`Text words for ${concept.name}`} style={{ marginTop: 18, maxWidth: 760 }}>
      <div className="lookup">
        <h2>
          <Strand letter={concept.letter} /> Text words
        </h2>
        <input
          aria-label={`New words for ${concept.name}`}
          placeholder='noise; reverberat*; "sound field"'
          value={typed}
          onChange={(e) => setTyped(e.target.value)}
          onKeyDown={(e) => {
            if (e.key === 'Enter') take()
            if (e.key === 'Escape') e.currentTarget.blur()
          }}
        />
      </div>
      {broken.map((p, i) => (
        <p key={i} className="note">
          {p.code === 'side-by-side' ? (
            <>
              Two words side by side are taken as a phrase: <span className="mono">&quot;{last}&quot;</span>.
              Separate words with a semicolon.
            </>
          ) : (
            p.message
          )}
        </p>
      ))}
      {last ? (
        <p className="sub" style={{ marginTop: 8 }}>
          <span className="mono">{last}</span> in title, abstract and keywords:{' '}
          {counts.map((c) => `${c.name} ${c.hits === undefined ? '–' : thousands(c.hits)}`).join(' · ') ||
            'no source planned yet'}
          {' · '}
          <kbd>↵</kbd> takes it
        </p>
      ) : (
        <p className="sub" style={{ marginTop: 8, lineHeight: 1.7 }}>
          <span className="mono">reverberat*</span> any ending · <span className="mono">wom?n</span> one
          character · <span className="mono">&quot;listening effort&quot;</span> a phrase ·{' '}
          <span className="mono">speech NEAR/4 perce*</span> near each other. Separate several with a
          semicolon.
        </p>
      )}
    </section>
  )
}
