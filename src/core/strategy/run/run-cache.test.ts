import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { buildIndex, type Index } from '../../engine'
import { emptyRecord, toDocument } from '../../records'
import type { LineLike } from '../lines/keys'
import { runLines, runStrategy, type RunCache, type SearchSource } from './run'
import { conceptsBehind } from '../lines/strands'

const titles = ['noise in rooms', 'noise', 'rooms', 'quiet rooms', 'hum', 'noise and hum']
const index = buildIndex(titles.map((t, i) => toDocument(emptyRecord(String(i), t))))
const source: SearchSource = { index, options: {} }
const line = (id: string, text: string): LineLike => ({ id, text, limits: [] })
const docs = (lines: LineLike[], cache?: RunCache): (number[] | undefined)[] =>
  runStrategy(source, lines, cache).map((r) => r.docs && [...r.docs])

/** A source that counts how often it is searched. */
function counting(): { source: SearchSource; searched: () => number } {
  let count = 0
  const counted = new Proxy(index, {
    get(target, key) {
      if (key === 'termsFor') return (word: string) => (count++, target.termsFor(word))
      const value = target[key as keyof Index] as unknown
      return typeof value === 'function' ? (value as (...a: unknown[]) => unknown).bind(target) : value
    },
  })
  return { source: { index: counted, options: {} }, searched: () => count }
}

describe('running again with what was found before', () => {
  it('finds the same as running everything, whatever was changed in between', () => {
    const text = fc.constantFrom(
      'noise',
      'rooms',
      'hum OR quiet',
      '#1',
      '#1 AND #2',
      'any(#1-#2)',
      '#2 NOT #1',
      '#9',
      'noise AND (',
    )
    const strategy = fc.array(text, { maxLength: 7 }).map((all) => all.map((t, i) => line(`l${i}`, t)))
    fc.assert(
      fc.property(fc.array(strategy, { minLength: 1, maxLength: 5 }), (versions) => {
        const cache: RunCache = new Map()
        for (const lines of versions) expect(docs(lines, cache)).toEqual(docs(lines))
      }),
    )
  })

  it('searches only the line that was changed and what depends on it', () => {
    const { source: counted, searched } = counting()
    const cache: RunCache = new Map()
    const before = [line('a', 'noise'), line('b', 'rooms'), line('c', 'hum'), line('d', '#1 AND #2')]
    runStrategy(counted, before, cache)
    const first = searched()
    runStrategy(counted, before, cache)
    expect(searched()).toBe(first)
    runStrategy(counted, [...before.slice(0, 2), line('c', 'quiet'), before[3]!], cache)
    expect(searched()).toBe(first + 1)
    // Moved and renumbered lines ask the same.
    runStrategy(counted, [line('b', 'rooms'), line('a', 'noise'), line('d', '#2 AND #1')], cache)
    expect(searched()).toBe(first + 1)
  })

  it('can be stopped between two lines', () => {
    const running = runLines(source, [line('a', 'noise'), line('b', 'rooms')])
    expect(running.next().value).toMatchObject({ id: 'a', number: 1 })
    running.return()
    expect(running.next().done).toBe(true)
  })
})

describe('the concepts behind a line', () => {
  it('are its own, or those of all lines it needs, in the order of the concepts', () => {
    const lines = [
      { text: 'noise', conceptId: 'b' },
      { text: 'rooms', conceptId: 'a' },
      { text: 'any(#1-#2)' },
      { text: '#3 NOT hum' },
      { text: 'hum', conceptId: 'gone' },
      { text: '#9' },
    ]
    expect(conceptsBehind(lines, ['a', 'b'])).toEqual([['b'], ['a'], ['a', 'b'], ['a', 'b'], [], []])
  })
})
