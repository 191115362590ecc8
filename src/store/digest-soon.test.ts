import fc from 'fast-check'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { digestOf } from '@/core/base'
import { digestSoon } from './digest-soon'

afterEach(() => vi.unstubAllGlobals())

describe('a digest by the browser’s own code', () => {
  it('is the one that the core reckons, also where there is no such code', async () => {
    await fc.assert(
      fc.asyncProperty(fc.uint8Array({ maxLength: 300 }), async (bytes) => {
        expect(await digestSoon(bytes)).toBe(digestOf(bytes))
      }),
      { numRuns: 50 },
    )
    vi.stubGlobal('crypto', {})
    expect(await digestSoon(new Uint8Array([1, 2, 3]))).toBe(digestOf(new Uint8Array([1, 2, 3])))
  })
})
