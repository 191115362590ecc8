import { describe, expect, it } from 'vitest'
import { copyNumber, freeCopyId, reviewIdOf } from './copy-ids'

describe('the id under which a copy lies here', () => {
  it('is that of the review for the first, and has a number that is free for any other', () => {
    expect(freeCopyId('r', [])).toBe('r')
    expect(freeCopyId('r', ['r', 's~7'])).toBe('r~2')
    expect(freeCopyId('r', ['r', 'r~2', 'r~5'])).toBe('r~6')
    // The first one was removed: its copy keeps its own id.
    expect(freeCopyId('r', ['r~2'])).toBe('r~3')
  })

  it('tells of which review it is a copy, and which', () => {
    expect(['r', 'r~2', 'r~12'].map(reviewIdOf)).toEqual(['r', 'r', 'r'])
    expect(['r', 'r~2', 'r~12'].map(copyNumber)).toEqual([1, 2, 12])
    expect(reviewIdOf('a~b')).toBe('a~b')
  })
})
