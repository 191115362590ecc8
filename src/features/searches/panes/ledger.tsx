'use client'
import { useMemo } from 'react'
import { currentRuns, joiningLine } from '@/core/account'
import { plural, thousands } from '@/core/base'
import { limitHonour, limitState } from '@/core/profile'
import { limitWords, type LimitValue } from '@/core/query'
import type { Line, PlannedLimit, Review } from '@/core/review'
import { limitStanding, type LimitStanding } from '@/core/strategy'
import type { SourceInfo } from '@/standins/source-info'
import { useAsked } from '@/page/use-asked'
import { searchDesk, wordDesk, type LimitCosts } from '@/workers'
import { askedOf } from '../../shared/known-item'

/** How each planned limit stands in one source. */
export function standingsOf(
  review: Review,
  info: SourceInfo,
): { planned: PlannedLimit; standing: LimitStanding }[] {
  const { profile } = info
  if (!profile) return []
  const runs = currentRuns(review, info.source.id)
  const source = {
    lines: review.strategies[info.source.id] ?? [],
    can: (kind: LimitValue['kind']) => limitState(kind, profile),
    ran: (lineId: string) => runs.has(lineId),
  }
  return review.limits.map((planned) => ({ planned, standing: limitStanding(planned.limit, source) }))
}

/** The next planned limit that could be applied and does not hold, in the order of the plan. */
export function nextLimit(review: Review, info: SourceInfo): LimitValue | undefined {
  return standingsOf(review, info).find(({ standing }) =>
    ['forgotten', 'lost', 'other'].includes(standing.state),
  )?.planned.limit
}

export const standingWords = (standing: LimitStanding, stoodInBy: string): string => {
  switch (standing.state) {
    case 'applied':
      return standing.run ? `applied in line ${standing.line}` : `set in line ${standing.line}, not run yet`
    case 'stood in':
      return standing.run
        ? `applied in line ${standing.line}, ${stoodInBy}`
        : `set in line ${standing.line}, not run yet; ${stoodInBy}`
    case 'lost':
      return `set in line ${standing.line} (${limitWords(standing.value)}), lost at line ${standing.at}`
    case 'other':
      return `line ${standing.line} sets ${limitWords(standing.value)} instead`
    case 'stricter':
      return `line ${standing.line} narrows it to ${limitWords(standing.value)}`
    case 'forgotten':
      return 'planned, not applied'
    case 'not available':
      return 'not to be had here'
    case 'open':
      return 'no lines yet'
  }
}

const WANTS_ATTENTION = new Set<LimitStanding['state']>(['lost', 'other', 'stricter', 'forgotten'])

/** The ledger of one source: each planned limit, how it stands, and what it costs. */
export function Ledger({
  review,
  info,
  lines,
  apply,
}: {
  review: Review
  info: SourceInfo
  lines: readonly Line[]
  apply: (limit: LimitValue) => void
}) {
  const standings = standingsOf(review, info)
  const costs = useCosts(review, info, lines)
  if (!review.limits.length)
    return (
      <p className="empty">No limit is planned. Limits and their reasons are planned under Question (L).</p>
    )
  const base = joiningLine(lines)
  return (
    <section className="ledger" aria-label="Limit ledger">
      <p className="sub">
        {costs?.before === undefined || !base
          ? 'What each limit costs shows once the joined line can be run.'
          : `Line ${lines.indexOf(base) + 1} finds ${plural(costs.before, 'record')} before any limit.`}
      </p>
      <table>
        <thead>
          <tr>
            <th scope="col">Planned</th>
            <th scope="col">In {info.short}</th>
            <th scope="col" className="number">
              alone
            </th>
            <th scope="col" className="number">
              in order
            </th>
            <th scope="col">Known items it loses</th>
            <th scope="col" />
          </tr>
        </thead>
        <tbody>
          {standings.map(({ planned, standing }) => {
            const cost = costs?.limits.find((c) => c.kind === planned.limit.kind)
            const honour = info.profile && limitHonour(planned.limit.kind, info.profile)
            return (
              <tr key={planned.id} className={WANTS_ATTENTION.has(standing.state) ? 'attention' : ''}>
                <th scope="row">
                  <LimitName limit={planned.limit} />
                </th>
                <td>
                  {standingWords(standing, honour?.how ?? '')}
                  {honour && standing.state === 'forgotten' && honour.state === 'stood in' && (
                    <span className="sub"> · would be {honour.how}</span>
                  )}
                </td>
                <td className="number">
                  {cost?.alone === undefined || costs?.before === undefined
                    ? ''
                    : `−${thousands(costs.before - cost.alone)}`}
                </td>
                <td className="number">{cost?.alone === undefined ? '' : thousands(cost.after)}</td>
                <td className="sub" title={cost?.titles.join('; ')}>
                  {cost?.alone !== undefined &&
                    (cost.lost.length ? `${cost.lost.length}: ${cost.titles.join('; ')}` : 'none')}
                </td>
                <td>
                  {WANTS_ATTENTION.has(standing.state) && (
                    <button className="plain link" onClick={() => apply(planned.limit)}>
                      apply
                    </button>
                  )}
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
      <p className="sub above-2">
        <kbd>L</kbd> applies the next one that is missing, as a line of its own, in the order of the plan.
      </p>
    </section>
  )
}

/** The kind of a limit with its value, which may be the same words. */
export function LimitName({ limit }: { limit: LimitValue }) {
  const value = limitWords(limit)
  return (
    <>
      {limit.kind} {value !== limit.kind && <span className="sub">{value}</span>}
    </>
  )
}

type Costs = { before: number | undefined; limits: (LimitCosts['limits'][number] & { titles: string[] })[] }

/** Asks the worker what each limit costs on the joined line, with the known items that the source holds. */
function useCosts(review: Review, info: SourceInfo, lines: readonly Line[]): Costs | undefined {
  const base = useMemo(() => joiningLine(lines)?.id, [lines])
  const limits = useMemo(() => review.limits.map((l) => l.limit), [review.limits])
  const { knownItems } = review
  const id = info.searched
  return useAsked(
    async (): Promise<Costs | undefined> => {
      if (!id || !base) return undefined
      const held = await wordDesk().holds(id, knownItems.map(askedOf))
      const costs = await searchDesk().costs(
        id,
        [...lines],
        base,
        limits,
        held.map((h) => h.recordId),
      )
      const titleOf = new Map(held.map((h) => [h.recordId, h.title]))
      return {
        before: costs.before,
        limits: costs.limits.map((c) => ({ ...c, titles: c.lost.map((r) => titleOf.get(r) ?? r) })),
      }
    },
    [id, base, lines, limits, knownItems],
    { keep: true },
  ).value
}
