import { beforeEach, describe, expect, it } from 'vitest'
import { emptyReview, type Line, type Review } from '@/core/review'
import { arrived, chooseLine, leadTo, openSheet, useWhereabouts } from './whereabouts'

const line = (id: string): Line => ({ id, text: id, limits: [], note: '', drafted: false })
const review: Review = {
  ...emptyReview('r'),
  strategies: { one: [line('a'), line('b')], two: [line('c')] },
}
const now = useWhereabouts.getState

describe('where a person is in a review', () => {
  beforeEach(() => useWhereabouts.setState({ sheet: undefined, lines: {}, wanted: undefined }))

  it('keeps a chosen line for each sheet', () => {
    openSheet('one')
    chooseLine('one', 'b')
    chooseLine('two', 'c')
    expect(now()).toMatchObject({ sheet: 'one', lines: { one: 'b', two: 'c' } })
    chooseLine('one', undefined)
    expect(now().lines).toEqual({ two: 'c' })
  })

  it('follows a fact to its line in its sheet', () => {
    leadTo(review, 'line:c')
    expect(now()).toEqual({ sheet: 'two', lines: { two: 'c' }, wanted: 'line:c' })
    arrived()
    expect(now().wanted).toBeUndefined()
  })

  it('follows a fact to its source without choosing a line, and to anything else without opening a sheet', () => {
    leadTo(review, 'source:one')
    expect(now()).toEqual({ sheet: 'one', lines: {}, wanted: 'source:one' })
    leadTo(review, 'concept:x')
    expect(now()).toEqual({ sheet: 'one', lines: {}, wanted: 'concept:x' })
  })

  it('stays where it is for a line that is gone, and for a fact that comes from nowhere in particular', () => {
    openSheet('one')
    leadTo(review, 'line:gone')
    leadTo(review, undefined)
    expect(now()).toEqual({ sheet: 'one', lines: {}, wanted: undefined })
  })
})
