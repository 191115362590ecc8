'use client'
import { useRef, useState } from 'react'
import { hasErrors, thousands } from '@/core/base'
import { parse, print } from '@/core/query'
import type { Concept, Review, Term } from '@/core/review'
import type { SourceInfo } from '@/standins/source-info'
import { Strand } from '@/ui/strand'
import { useAsked } from '@/page/use-asked'
import { searchDesk, wordDesk, type WordReport as Report } from '@/workers'
import { restOfPlan } from '../shared/plan-text'
import { sameTerm } from '@/core/doing'
import { putTerms } from '../shared/term-commands'
import { WordReport } from './word-report'
import { leaveField } from '@/page/leave-field'
import { useStore } from '@/page/provider'

interface Props {
  concept: Concept
  review: Review
  sources: readonly SourceInfo[]
}

/**
 * Types text words into a concept: several at once, separated by semicolons. The last one is weighed before it is
 * taken: what it finds, what it really matches, how else it could be said.
 */
export function WordEntry({ concept, review, sources }: Props) {
  const store = useStore()
  const [typed, setTyped] = useState('')
  const input = useRef<HTMLInputElement>(null)
  const parts = typed
    .split(/[;\n]/)
    .map((t) => t.trim())
    .filter(Boolean)
  const read = parts.map((t) => ({ typed: t, ...parse(t) }))
  const broken = read.flatMap((r) =>
    r.problems.filter((p) => p.severity === 'error' || p.code === 'side-by-side'),
  )
  const last = read.at(-1)
  const weighed = last && expressionOf(last)
  const report = useReport(weighed, concept, review, sources)

  const put = (expressions: readonly string[], origin: Term['origin'], from?: string): void =>
    putTerms(
      store,
      expressions.map((expression) => ({
        conceptId: concept.id,
        sourceId: 'all',
        kind: 'text',
        expression,
        origin,
        ...(from ? { from } : {}),
      })),
    )
  const take = (): void => {
    const expressions = read.flatMap((r) => expressionOf(r) ?? [])
    if (!expressions.length || expressions.length < read.length) return
    put(expressions, 'typed')
    setTyped('')
  }
  const has = (text: string): boolean =>
    sameTerm(review, { conceptId: concept.id, sourceId: 'all', kind: 'text', expression: text })?.status ===
    'in use'
  /** Puts another wording in the place of the one that is being typed. */
  const instead = (text: string): void => {
    setTyped([...parts.slice(0, -1), text].join('; '))
    input.current?.focus()
  }
  return (
    <section aria-label={`Text words for ${concept.name}`} className="words-pane">
      <div className="lookup">
        <h2>
          <Strand letter={concept.letter} /> Text words
        </h2>
        <input
          ref={input}
          aria-label={`New words for ${concept.name}`}
          placeholder='noise; reverberat*; "sound field"'
          value={typed}
          onChange={(e) => setTyped(e.target.value)}
          onKeyDown={(e) => {
            if (e.key === 'Enter') take()
            if (e.key === 'Escape') leaveField(e.currentTarget)
            if (e.key === 'ArrowDown') {
              e.preventDefault()
              document.querySelector<HTMLElement>('.word-report button')?.focus()
            }
          }}
        />
      </div>
      {broken.map((p, i) => (
        <p key={i} className="note">
          {p.code === 'side-by-side' ? (
            <>
              Two words side by side are taken as a phrase. Below it is weighed against the words near each
              other and anywhere. Separate words with a semicolon.
            </>
          ) : (
            p.message
          )}
        </p>
      ))}
      {read.length > 1 && <OthersCounted read={read.slice(0, -1)} sources={sources} has={has} />}
      {weighed ? (
        <>
          <p className="sub above-2">
            <span className="mono">{weighed}</span> in title, abstract and keywords:{' '}
            {report
              ? report.counts
                  .map(
                    (c) => `${sources.find((s) => s.standin?.id === c.sourceId)?.short} ${thousands(c.hits)}`,
                  )
                  .join(' · ') || 'no source planned yet'
              : '…'}
            {has(weighed) ? ' · already in the grid' : ''}
            {' · '}
            <kbd>↵</kbd> takes it, <kbd>↓</kbd> more
          </p>
          {report && (
            <WordReport
              report={report}
              has={has}
              take={(text, from) => put([text], 'suggestion', from)}
              instead={instead}
              back={() => input.current?.focus()}
            />
          )}
        </>
      ) : (
        <p className="sub above-2 loose">
          <span className="mono">reverberat*</span> any ending · <span className="mono">wom?n</span> one
          character · <span className="mono">&quot;listening effort&quot;</span> a phrase ·{' '}
          <span className="mono">speech NEAR/4 perce*</span> near each other. Separate several with a
          semicolon. Before a word is taken you see what it really matches.
        </p>
      )}
    </section>
  )
}

/** Of several words the ones before the last, each with what it finds in every source. */
function OthersCounted({
  read,
  sources,
  has,
}: {
  read: readonly ({ typed: string } & ReturnType<typeof parse>)[]
  sources: readonly SourceInfo[]
  has: (text: string) => boolean
}) {
  const own = sources.flatMap((s) => (s.standin ? [s.standin.id] : []))
  const words = read.map((r) => expressionOf(r) ?? '')
  const key = words.join('\n')
  const { value } = useAsked(
    () =>
      Promise.all(
        key
          .split('\n')
          .map((w) =>
            Promise.all(
              own.map((id) => (w ? searchDesk().count(id, `text: (${w})`) : Promise.resolve(undefined))),
            ),
          ),
      ),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the ids of the sources are told by their joined names
    [key, own.join(' ')],
    { after: 180, keep: true },
  )
  return (
    <ul className="words-counted" aria-label="The words before the last">
      {read.map((r, i) => (
        <li key={i} className="sub">
          <span className="mono">{words[i] || r.typed}</span>{' '}
          {words[i]
            ? own
                .map((id, k) => {
                  const hits = value?.[i]?.[k]
                  return `${sources.find((s) => s.standin?.id === id)?.short} ${hits === undefined ? '…' : thousands(hits)}`
                })
                .join(' · ')
            : 'cannot be read'}
          {words[i] && has(words[i]) ? ' · already in the grid' : ''}
        </li>
      ))}
    </ul>
  )
}

/** What is taken for a typed part; undefined while it cannot be read. */
function expressionOf(r: { typed: string } & ReturnType<typeof parse>): string | undefined {
  // Two words with nothing between are meant as a phrase far more often than as two words.
  const text = r.problems.some((p) => p.code === 'side-by-side') ? `"${r.typed.replace(/"/g, '')}"` : r.typed
  const { tree, problems } = parse(text)
  return tree && !hasErrors(problems) ? print(tree) : undefined
}

function useReport(
  text: string | undefined,
  concept: Concept,
  review: Review,
  sources: readonly SourceInfo[],
): Report | undefined {
  const ids = sources.flatMap((s) => s.standin?.id ?? []).join(' ')
  const near = restOfPlan(review, concept.id)
  return useAsked(
    () => (text ? wordDesk().weigh(ids.split(' ').filter(Boolean), text, near) : undefined),
    [text, ids, near],
    { after: 180 },
  ).value
}
