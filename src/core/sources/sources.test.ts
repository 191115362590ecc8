import { describe, expect, it } from 'vitest'
import { PROFILES } from '../../standins/profiles'
import { emptyReview, type Import, type Review, type Source } from '../review'
import { inventedIn, sourceFactsIn, sourceInfoIn, type Registry } from '.'

const HERE = { id: 'fen', name: 'Fen Index', short: 'Fen', vocabularyTitle: 'Fen Terms', character: '' }
const registry: Registry = {
  find: (id) => (id === 'fen' ? HERE : undefined),
  profileOf: () => PROFILES.fernhollow!,
  latest: '2026-09',
  releaseWords: (release) => `release of ${release}`,
  keyOf: (id, release) => (release === undefined ? id : `${id}@${release}`),
}
const source = (id: string, more: Partial<Source> = {}): Source => ({
  id,
  kind: 'database',
  name: `${id} Index`,
  why: '',
  ...more,
})
const review: Review = {
  ...emptyReview('r'),
  profiles: [{ ...PROFILES.mindmere!, id: 'harbour' }],
  sources: [
    source('f', { profileId: 'fen', release: '2026-03' }),
    source('h', { profileId: 'harbour', platform: 'Harbour Online', coverage: 'since 1990' }),
    source('p', { kind: 'people' }),
  ],
}
const info = (id: string) =>
  sourceInfoIn(
    registry,
    review,
    review.sources.find((s) => s.id === id)!,
  )

describe('what any source is', () => {
  it('is known of one that searches here, of a described one, and of one without a query', () => {
    expect(info('f')).toMatchObject({
      short: 'Fen',
      standin: HERE,
      searched: 'fen@2026-03',
      release: '2026-03',
      vocabulary: { key: 'fen', title: 'Fen Terms' },
    })
    expect(info('h')).toMatchObject({ short: 'h Index', searched: undefined, profile: { id: 'harbour' } })
    expect(info('p')).toMatchObject({ standin: undefined, profile: undefined, vocabulary: undefined })
  })

  it('is told by its release, or by how it was reached and what it covers', () => {
    const of = sourceFactsIn(registry, review)
    expect(of('f')?.release).toBe('release of 2026-03')
    expect(of('h')?.release).toBe('through Harbour Online, covering since 1990')
    expect(of('p')).toBeUndefined()
  })
})

describe('a record that is called invented', () => {
  const brought = (id: string, sourceId: string, file = false): Import => ({
    id,
    sourceId,
    digest: 'd'.repeat(64),
    count: 1,
    at: '2026-11-25T09:00:00Z',
    ...(file ? { file: { name: 'a.ris', digest: 'e'.repeat(64) } } : {}),
  })
  const own = { ...review, imports: [brought('i', 'f'), brought('j', 'f', true), brought('k', 'h')] }
  it('came straight from a source that searches here, and in no file', () => {
    expect(inventedIn(registry, own, ['i/1'])).toBe(true)
    for (const ids of [['j/1'], ['k/1'], ['i/1', 'j/1'], ['gone/1']])
      expect(inventedIn(registry, own, ids), ids.join()).toBe(false)
  })
})
