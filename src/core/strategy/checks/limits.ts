import { limitWords } from '../../query'
import { limitState } from '../../profile'
import { limitStanding } from '../limits/ledger'
import { finalLine } from '../lines/keys'
import type { Remark, Rule } from './check'

const ELEMENT = 'Limits and filters'

/** A planned limit that is not in force at the end, though the source has it. */
export const limitMissing: Rule = (c) =>
  c.limits.flatMap((limit): Remark[] => {
    const standing = limitStanding(limit, { lines: c.lines, can: (kind) => limitState(kind, c.profile) })
    const at = finalLine(c.lines)
    if (!at) return []
    const base = { element: ELEMENT, lineId: at.id, about: limit.kind } as const
    if (standing.state === 'lost')
      return [
        {
          ...base,
          code: 'limit-lost',
          message: `${limit.kind} (${limitWords(standing.value)}) was set in line ${standing.line} and lost at line ${standing.at}.`,
          why: 'After lines are joined again, limits must be applied again.',
        },
      ]
    if (standing.state === 'forgotten')
      return [
        {
          ...base,
          code: 'limit-forgotten',
          message: `${limit.kind} (${limitWords(limit)}) is planned and not applied.`,
          why: 'What the methods section says must have been done.',
        },
      ]
    if (standing.state === 'stricter')
      return [
        {
          ...base,
          code: 'limit-stricter',
          message: `Line ${standing.line} limits ${limit.kind} further, to ${limitWords(standing.value)}; planned is ${limitWords(limit)}.`,
          why: 'Both hold, so the stricter one decides; the methods section would tell the wider one.',
        },
      ]
    if (standing.state === 'other')
      return [
        {
          ...base,
          code: 'limit-other',
          message: `Line ${standing.line} sets ${limit.kind} to ${limitWords(standing.value)}; planned is ${limitWords(limit)}.`,
          why: 'One of the two has to follow the other.',
        },
      ]
    return []
  })

/** A limit on a line that the description of the source does not have: how it was set nobody can repeat. */
export const limitUnavailable: Rule = (c) =>
  c.lines.flatMap((line) =>
    line.limits
      .filter((l) => limitState(l.kind, c.profile) === 'not available')
      .map((l): Remark => ({
        code: 'limit-unavailable',
        element: ELEMENT,
        lineId: line.id,
        about: l.kind,
        message: `Line ${line.number} sets ${l.kind} (${limitWords(l)}), and the description of ${c.profile.name} has no such limit.`,
        why: 'If it was set on the screen there, say in the description where; if it cannot be had there, take it off the line.',
      })),
  )
