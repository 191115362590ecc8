import { describe, expect, it } from 'vitest'
import { mostPressing, workingDaysAfter } from '.'

describe('loans', () => {
  it('are due after working days: a Friday and three is a Wednesday', () => {
    expect(workingDaysAfter('2026-11-20', 3)).toBe('2026-11-25')
    expect(workingDaysAfter('2026-11-21', 1)).toBe('2026-11-23')
    expect(workingDaysAfter('2026-11-23', 0)).toBe('2026-11-23')
    expect(workingDaysAfter('2026-12-31', 1)).toBe('2027-01-01')
  })

  it('stand first where they are overdue, then by day, and what is here stands last', () => {
    const list = [
      { state: 'have' },
      { state: undefined },
      { state: 'loan asked', due: '2026-12-01' },
      { state: 'loan asked', due: '2026-11-20' },
      { state: 'wanted' },
      { state: 'loan asked', due: '2026-11-27' },
    ]
    expect(mostPressing(list, '2026-11-26').map((t) => t.due ?? t.state)).toEqual([
      '2026-11-20',
      '2026-11-27',
      '2026-12-01',
      'wanted',
      undefined,
      'have',
    ])
  })
})
