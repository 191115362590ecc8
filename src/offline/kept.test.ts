import { describe, expect, it } from 'vitest'
import { payloadFor } from './kept'

const PAYLOADS = { '/': { '': 'shelf', '/_tree': 'tree' }, '/review/terms': { '': 'terms' } }
const asked = (path: string, headers: Record<string, string>) =>
  payloadFor(PAYLOADS, path, (name) => headers[name] ?? null)

describe('what the framework asks of a page', () => {
  it('is the whole page, or the part that a header names', () => {
    expect(asked('/', { rsc: '1' })).toEqual({ text: 'shelf', part: false })
    expect(asked('/', { rsc: '1', 'next-router-segment-prefetch': '/_tree' })).toEqual({
      text: 'tree',
      part: true,
    })
    expect(asked('/review/terms/', { rsc: '1' })).toEqual({ text: 'terms', part: false })
  })

  it('is nothing where a page itself is asked for, or a part or page that this build has not', () => {
    expect(asked('/', {})).toBeUndefined()
    expect(asked('/', { rsc: '1', 'next-router-segment-prefetch': '/other' })).toBeUndefined()
    expect(asked('/elsewhere', { rsc: '1' })).toBeUndefined()
  })
})
