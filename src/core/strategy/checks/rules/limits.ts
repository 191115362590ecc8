import { listed } from '../../../base'
import { limitAs, limitState } from '../../../profile'
import { limitWords, sameLimit, stricterLimit, type LimitValue } from '../../../query'
import { limitStanding } from '../../limits/ledger'
import type { CheckedLine, Finding, Fix, Judging, Rule } from '../check'
import { gainOf, type Gain, measured } from '../gain'

const ELEMENT = 'Limits and filters'

/** What it would bring if another limit stood in the place of one of a line, or none; undefined where nothing is known. */
function price(c: Judging, line: CheckedLine, limit: LimitValue, instead?: LimitValue): Gain | undefined {
  const part = [...c.search.all()].find((p) => p.line === line.number && p.limit && sameLimit(p.limit, limit))
  const [open] = part?.parts ?? []
  if (!part || !open?.docs) return undefined
  return gainOf(c, new Map([[part, instead ? c.limited(open.docs, instead) : open.docs]]), part)
}

const priceWords = (gain: Gain | undefined): string =>
  gain && gain.hits > 0
    ? `; it takes ${gain.hits} records away${gain.wanted > 0 ? `, ${gain.wanted} of them wanted` : ''}`
    : ''

const withLimits = (line: CheckedLine, label: string, limits: readonly LimitValue[]): Fix => ({
  label,
  lineId: line.id,
  text: line.text,
  limits,
})

/** The lines up to the one that counts: what was tried behind it limits nothing. */
const upToCounting = (c: Judging): readonly CheckedLine[] => c.lines.slice(0, c.search.counting)

function standingOf(c: Judging, limit: LimitValue) {
  const source = { lines: upToCounting(c), can: (kind: LimitValue['kind']) => limitState(kind, c.profile) }
  const own = limitStanding(limit, source)
  const as = limitAs(limit, c.profile)
  // Whoever sets what stands in for it has set it.
  return own.state === 'forgotten' && as && !sameLimit(as, limit) ? limitStanding(as, source) : own
}

/** A planned limit that was set and got lost where lines were joined again. */
export const limitLost: Rule = (c) =>
  c.limits.flatMap((limit): Finding[] => {
    const standing = standingOf(c, limit)
    if (standing.state !== 'lost') return []
    // Where it is set again nothing can be joined without it any more.
    const line = c.lines[c.search.counting - 1]!
    const { value } = standing
    return [
      {
        code: 'limit-lost',
        kind: 'form',
        element: ELEMENT,
        lineId: line.id,
        about: limit.kind,
        message: `${limit.kind} (${limitWords(value)}) was set in line ${standing.line} and lost at line ${standing.at}${standing.at === line.number ? '' : `, so that line ${line.number} goes without it`}.`,
        why: 'After lines are joined again, limits must be applied again.',
        fixes: [withLimits(line, 'Set it again', [...line.limits, value])],
      },
    ]
  })

/** Planned limits that the source has and no line sets: one remark for all of them. */
export const limitsForgotten: Rule = (c) => {
  const line = c.lines[c.search.counting - 1]
  const missing = c.limits.filter((limit) => standingOf(c, limit).state === 'forgotten')
  if (!line || !missing.length) return []
  const names = listed(
    missing.map((l) => (l.kind === 'peer reviewed' ? l.kind : `${l.kind} (${limitWords(l)})`)),
  )
  return [
    {
      code: 'limit-forgotten',
      kind: 'form',
      element: ELEMENT,
      lineId: line.id,
      about: missing.map((l) => l.kind).join(','),
      message: `Planned and not applied: ${names}.`,
      why: 'What the methods section says must have been done.',
      fixes: [
        withLimits(line, `Apply ${missing.length === 1 ? 'it' : 'them'} in line ${line.number}`, [
          ...line.limits,
          ...missing,
        ]),
      ],
    },
  ]
}

/** A limit that is set otherwise than planned, or that is not planned at all, at the line that sets it and with its price. */
export const limitUnlikePlan: Rule = (c) =>
  c.lines.flatMap((line): Finding[] => {
    if (!c.search.reached.has(line.number)) return []
    return line.limits.flatMap((set): Finding[] => {
      if (limitState(set.kind, c.profile) === 'not available') return []
      const planned = c.limits.filter((l) => l.kind === set.kind)
      // What stands in for a planned limit is that limit.
      if (c.limits.some((l) => sameLimit(l, set) || sameLimit(limitAs(l, c.profile) ?? l, set))) return []
      const base = { kind: 'form', element: ELEMENT, lineId: line.id, about: set.kind } as const
      const [plan] = planned
      const gain = price(c, line, set, plan)
      const others = line.limits.filter((l) => l !== set)
      if (!plan)
        return [
          {
            ...base,
            ...measured(gain),
            code: 'limit-unplanned',
            message: `Line ${line.number} limits ${set.kind} to ${limitWords(set)}, which is not planned${priceWords(gain)}.`,
            why: 'A limit needs a reason: plan it with one, or take it off.',
            fixes: [withLimits(line, 'Take it off', others)],
          },
        ]
      const stricter = stricterLimit(set, plan)
      return [
        {
          ...base,
          ...measured(gain),
          code: stricter ? 'limit-stricter' : 'limit-other',
          message: stricter
            ? `Line ${line.number} limits ${set.kind} further, to ${limitWords(set)}; planned is ${limitWords(plan)}${priceWords(gain)}.`
            : `Line ${line.number} sets ${set.kind} to ${limitWords(set)}; planned is ${limitWords(plan)}.`,
          why: stricter
            ? 'The stricter one decides; the methods section would tell the wider one.'
            : 'One of the two has to follow the other.',
          fixes: [withLimits(line, 'Set it as planned', [...others, plan])],
        },
      ]
    })
  })

/** A limit on a line that the description of the source does not have: how it was set nobody can repeat. */
export const limitUnavailable: Rule = (c) =>
  c.lines.flatMap((line) =>
    line.limits
      .filter((l) => limitState(l.kind, c.profile) === 'not available')
      .map((l): Finding => ({
        code: 'limit-unavailable',
        kind: 'form',
        element: ELEMENT,
        lineId: line.id,
        about: l.kind,
        message: `Line ${line.number} sets ${l.kind} (${limitWords(l)}), and the description of ${c.profile.name} has no such limit.`,
        why: 'If it was set on the screen there, say in the description where; if it cannot be had there, take it off the line.',
        fixes: [
          withLimits(
            line,
            'Take it off',
            line.limits.filter((o) => o !== l),
          ),
        ],
      })),
  )
