'use client'
import { useState } from 'react'
import { useStore } from '@/page/provider'
import { listed, thousands } from '@/core/base'
import type { Line, Review, Term } from '@/core/review'
import type { SourceInfo } from '@/standins/source-info'
import { Chart } from '@/ui/chart/chart'
import { Strand } from '@/ui/strand'
import { judgeDesk, planOf, type Judgement } from '@/workers'
import { dropTerm } from '../../shared/term-commands'

/**
 * A term that finds nothing alone here: whether it does in another source is looked up first, for dropping takes it out of all.
 */
function DropIdle({ review, infos, term }: { review: Review; infos: readonly SourceInfo[]; term: Term }) {
  const store = useStore()
  const [elsewhere, setElsewhere] = useState<string[]>()
  const drop = (label: string) => (
    <button className="plain link sub" onClick={() => dropTerm(store, term)}>
      {label}
    </button>
  )
  const look = async (): Promise<void> => {
    const places = infos.flatMap(({ searched, source }) =>
      searched ? [{ key: searched, sourceId: source.id }] : [],
    )
    const found = await judgeDesk().aloneIn(term.id, planOf(review), places)
    setElsewhere(
      found.flatMap(({ sourceId, only }) => {
        const info = infos.find((i) => i.source.id === sourceId)
        return only && info ? [`${thousands(only)} in ${info.short}`] : []
      }),
    )
  }
  if (!elsewhere)
    return (
      <button className="plain link sub" onClick={() => store.deed(look())}>
        drop it?
      </button>
    )
  return elsewhere.length ? (
    <span className="sub">
      finds {listed(elsewhere)} alone; {drop('drop it all the same')}
    </span>
  ) : (
    drop('nowhere alone: drop it')
  )
}

/** What each term brings, those first that bring nothing of their own; and what every NOT throws away. */
export function Yields({
  review,
  infos,
  lines,
  judgement,
}: {
  review: Review
  infos: readonly SourceInfo[]
  lines: readonly Line[]
  judgement: Judgement
}) {
  const rows = judgement.yields.flatMap((y) => {
    const term = review.terms.find((t) => t.id === y.id)
    const concept = review.concepts.find((c) => c.id === y.conceptId)
    return term && concept ? [{ ...y, term, concept }] : []
  })
  const ordered = review.concepts.flatMap((c) =>
    rows.filter((r) => r.concept.id === c.id).sort((a, b) => a.onlyNear - b.onlyNear || a.hits - b.hits),
  )
  return (
    <section className="yields" aria-label="Yield of each term">
      {judgement.nots.map((n, i) => (
        <p key={i} className="note">
          <b>
            NOT {n.without} in line {n.number} throws away {thousands(n.lost)}.
          </b>{' '}
          {thousands(n.wantedByOthers)} of these the other concepts find; {thousands(n.wanted)} are known
          items or were ruled in.
        </p>
      ))}
      {!ordered.length && <p className="empty">No term of the grid can be searched here yet.</p>}
      {ordered.length > 0 && (
        <table>
          <thead>
            <tr>
              <th scope="col">Term</th>
              <th scope="col" className="number">
                hits
              </th>
              <th scope="col" className="number">
                only by it
              </th>
              <th scope="col" className="number">
                shared
              </th>
              <th scope="col" className="number">
                near the plan
              </th>
              <th scope="col" className="number">
                noise
              </th>
              <th scope="col" />
            </tr>
          </thead>
          <tbody>
            {ordered.map((r) => (
              <tr key={r.id}>
                <th scope="row">
                  <Strand letter={r.concept.letter} />{' '}
                  <span className={r.term.kind === 'text' ? 'mono' : ''}>
                    {r.term.named?.name ?? r.term.expression}
                  </span>
                </th>
                <td className="number">{thousands(r.hits)}</td>
                <td className="number">{thousands(r.only)}</td>
                <td className="number sub">{thousands(r.hits - r.only)}</td>
                <td className="number">
                  <b>{thousands(r.onlyNear)}</b>
                </td>
                <td
                  className="number"
                  title={r.ruled ? `${r.ruled} of its records were ruled` : 'none of its records was ruled'}
                >
                  {r.noise === undefined ? '' : `${Math.round(r.noise * 100)} %`}
                </td>
                <td>{r.only === 0 && <DropIdle review={review} infos={infos} term={r.term} />}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <p className="sub above-2">
        only by it: no other term of its concept finds them; shared: others do. near the plan: of those,
        records that the other concepts find too. noise: the part ruled out, among its records that were
        ruled.
        {!lines.length && ' There are no lines yet: terms are counted by themselves.'}
      </p>
      {ordered.length > 0 && (
        <Chart
          kind="rows"
          height={Math.min(640, 60 + 20 * ordered.length)}
          label="Records that each term finds, alone and with other terms of its concept"
          points={{
            name: 'term',
            of: ordered.map((r) => `${r.concept.letter} ${r.term.named?.name ?? r.term.expression}`),
          }}
          counted="records"
          series={[
            { name: 'only by it', values: ordered.map((r) => r.only) },
            { name: 'shared', values: ordered.map((r) => r.hits - r.only) },
          ]}
        />
      )}
    </section>
  )
}
