'use client'
import { putIntoLines } from '@/core/doing'
import { useStore } from '@/page/provider'
import { useMemo } from 'react'
import { listed, plural } from '@/core/base'
import type { Concept, Letter, Review, Term } from '@/core/review'
import { placeTerm, planAgainstRun, type Unplanned } from '@/core/strategy'

import { hasHeadings, type SourceInfo } from '@/standins/source-info'
import { LetterList } from '@/ui/letter-list'
import { Strand } from '@/ui/strand'
import { dropTerm, putTerms } from './term-commands'

/** The plan beside the lines that there are; empty while no source has lines. */
export function usePlanAgainstRun(review: Review, sources: readonly SourceInfo[]) {
  const { terms, strategies, concepts } = review
  return useMemo(() => {
    const own = new Set(concepts.map((c) => c.id))
    return planAgainstRun(
      terms.filter((t) => own.has(t.conceptId)),
      strategies,
      (id) => {
        const found = sources.find((s) => s.source.id === id)
        return {
          hasVocabulary: found !== undefined && hasHeadings(found),
          truncates: !found?.profile || found.profile.truncation?.any !== undefined,
        }
      },
    )
  }, [terms, strategies, concepts, sources])
}

/** Terms planned and in no line, and words in lines that nobody planned; each settled by one key. */
export function PlanLines({ review, sources }: { review: Review; sources: readonly SourceInfo[] }) {
  const store = useStore()
  const { unused, unplanned } = usePlanAgainstRun(review, sources)
  const short = (id: string): string => sources.find((s) => s.source.id === id)?.short ?? id
  const letters = review.concepts.map((c) => c.letter)
  const byTerm = useMemo(() => {
    const found = new Map<string, { term: Term; in: string[] }>()
    for (const { term, sourceId } of unused) {
      const known = found.get(term.id) ?? { term, in: [] }
      known.in.push(sourceId)
      found.set(term.id, known)
    }
    return [...found.values()]
  }, [unused])
  const grouped = useMemo(() => groupUnplanned(unplanned), [unplanned])
  const conceptOf = (id: string): Concept | undefined => review.concepts.find((c) => c.id === id)
  const plan = ({ kind, text, in: places }: Grouped, letter: Letter): void => {
    const concept = review.concepts.find((c) => c.letter === letter)
    if (!concept) return
    putTerms(
      store,
      (kind === 'text' ? ['all'] : places.map((p) => p.sourceId)).map((sourceId) => ({
        conceptId: concept.id,
        sourceId,
        kind,
        expression: text,
        origin: 'typed',
        from: `line ${places[0]!.number} of ${short(places[0]!.sourceId)}`,
      })),
    )
  }
  if (!Object.values(review.strategies).some((lines) => lines.length))
    return (
      <p className="empty">Once there are lines in Searches, terms that none of them uses are listed here.</p>
    )
  return (
    <section className="plan-lines" aria-label="Plan and lines">
      <div>
        <h2>Planned, but in no line</h2>
        {!byTerm.length && <p className="empty">Every term of the grid is used.</p>}
        {byTerm.map(({ term, in: places }) => (
          <p key={term.id} className="unused">
            <Strand letter={conceptOf(term.conceptId)?.letter ?? 'A'} />
            <span className={term.kind === 'text' ? 'mono' : ''}>{term.named?.name ?? term.expression}</span>
            <span className="sub">{listed(places.map(short))}</span>
            <span className="sub">
              {places.some((id) => placeTerm(term, review.strategies[id] ?? [])) && (
                <>
                  <button
                    className="plain link"
                    onClick={() => store.deed(store.doIt(putIntoLines, { term, sourceIds: places }))}
                  >
                    put it in
                  </button>
                  {' · '}
                </>
              )}
              <button className="plain link" onClick={() => dropTerm(store, term)}>
                drop it
              </button>
            </span>
          </p>
        ))}
        {byTerm.length > 0 && (
          <p className="sub above-2">
            “Put it in” joins it to the line of its concept, in every source named; drafting anew does the
            same for lines that nobody has touched.
          </p>
        )}
      </div>
      <div>
        <h2>In a line, but not planned</h2>
        {!grouped.length ? (
          <p className="empty">Nothing was searched that the grid does not have.</p>
        ) : (
          <LetterList
            id="unplanned"
            label="Words in lines that the plan does not have"
            letters={letters}
            take={(row, letter) => plan(grouped[row]!, letter)}
            rows={grouped.map((g) => ({
              key: `${g.kind}/${g.text}`,
              name: g.text,
              content: (
                <>
                  <span className={g.kind === 'text' ? 'mono' : ''}>{g.text}</span>
                  <span className="sub">
                    {g.kind === 'text' ? '' : `${g.kind}, `}
                    {g.in.length > 2
                      ? plural(g.in.length, 'source')
                      : listed(g.in.map((p) => `${short(p.sourceId)} line ${p.number}`))}
                  </span>
                </>
              ),
            }))}
          />
        )}
      </div>
    </section>
  )
}

interface Grouped {
  kind: Unplanned['kind']
  text: string
  in: { sourceId: string; number: number }[]
}

function groupUnplanned(unplanned: readonly Unplanned[]): Grouped[] {
  const found = new Map<string, Grouped>()
  for (const { kind, text, sourceId, number } of unplanned) {
    const key = `${kind}/${text.toLowerCase()}`
    const known = found.get(key) ?? { kind, text, in: [] }
    known.in.push({ sourceId, number })
    found.set(key, known)
  }
  return [...found.values()]
}
