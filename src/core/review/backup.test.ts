import { describe, expect, it } from 'vitest'
import { backupDue } from '.'

const on = (...days: number[]): { at: string }[] =>
  days.map((d) => ({ at: `2026-11-${String(d).padStart(2, '0')}T09:00:00Z` }))
const NOW = '2026-11-20T10:00:00Z'

describe('a backup', () => {
  it('is due when work was done that none holds, for as long as the rhythm says', () => {
    expect(backupDue(on(10, 11), 'every week', NOW)).toBe(10)
    expect(backupDue(on(14, 15), 'every week', NOW)).toBeUndefined()
    expect(backupDue(on(14, 15), 'every day', NOW)).toBe(6)
  })

  it('is never asked for by somebody who wants no reminder, nor where nothing was done since', () => {
    expect(backupDue(on(1), 'never', NOW)).toBeUndefined()
    expect(backupDue([], 'every day', NOW)).toBeUndefined()
  })
})
