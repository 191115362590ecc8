import { describe, expect, it } from 'vitest'
import { backupDue } from '.'

const on = (...days: number[]): { at: string }[] =>
  days.map((d) => ({ at: `2026-11-${String(d).padStart(2, '0')}T09:00:00Z` }))
const NOW = '2026-11-20T10:00:00Z'

describe('a backup', () => {
  it('is due when work was done that none holds, for as long as the rhythm says', () => {
    expect(backupDue(on(10, 11), undefined, 'every week', NOW)).toBe(10)
    expect(backupDue(on(14, 15), undefined, 'every week', NOW)).toBeUndefined()
    expect(backupDue(on(14, 15), undefined, 'every day', NOW)).toBe(6)
  })

  it('counts from the first deed behind the last one, and is never due where nothing was done since', () => {
    const last = { at: '2026-11-11T09:00:00Z', entries: 2 }
    expect(backupDue(on(1, 2), last, 'every day', NOW)).toBeUndefined()
    expect(backupDue(on(1, 2, 12), last, 'every week', NOW)).toBe(8)
    expect(backupDue(on(1, 2, 19), last, 'every week', NOW)).toBeUndefined()
  })

  it('is never asked for by somebody who wants no reminder, nor of an empty journal', () => {
    expect(backupDue(on(1), undefined, 'never', NOW)).toBeUndefined()
    expect(backupDue([], undefined, 'every day', NOW)).toBeUndefined()
  })
})
