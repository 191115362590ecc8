import { readFileSync } from 'node:fs'
import path from 'node:path'
import { describe, expect, it } from 'vitest'
import { fold, inMemory, openPackage } from './index'

const at = (name: string): string => path.join(import.meta.dirname, 'fixtures', 'first-form', name)
const digests = JSON.parse(readFileSync(at('digests.json'), 'utf8')) as {
  entries: number
  lastDigest: string
  runs: { id: string; key: string; release: string }[]
}

describe('a review of the first form', async () => {
  const opened = await openPackage(inMemory(new Uint8Array(readFileSync(at('demo.luvren.zip')))))

  it('opens, entry by entry as it was written', () => {
    if (!opened.ok) throw new Error(opened.problems.map((p) => p.message).join('\n'))
    const { entries } = opened.value
    expect(entries.length).toBe(digests.entries)
    expect(entries.at(-1)!.digest).toBe(digests.lastDigest)
    expect(fold(entries).problems).toEqual([])
  })

  it('keeps every run with the key and the release that it had', () => {
    if (!opened.ok) throw new Error('the package does not open')
    const { review } = fold(opened.value.entries)
    expect(review.runs.map(({ id, key, release }) => ({ id, key, release }))).toEqual(
      digests.runs.map(({ id, key, release }) => ({ id, key, release })),
    )
  })
})
