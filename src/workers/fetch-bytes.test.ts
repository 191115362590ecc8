import { afterEach, describe, expect, it, vi } from 'vitest'
import { asksOnce, fetchBytes } from './fetch-bytes'

afterEach(() => vi.unstubAllGlobals())
const answering = (answer: () => Promise<Response>): unknown => vi.stubGlobal('fetch', answer)

describe('Files that come with Luvren', () => {
  it('are given as bytes', async () => {
    answering(() => Promise.resolve(new Response(new Uint8Array([1, 2, 3]))))
    expect([...(await fetchBytes('/data/spellings.json'))]).toEqual([1, 2, 3])
  })

  it('are named, with what to do, when nothing answers', async () => {
    answering(() => Promise.reject(new TypeError('Failed to fetch')))
    await expect(fetchBytes('/data/spellings.json')).rejects.toThrow(
      'Luvren did not answer when /data/spellings.json was needed. Start Luvren again with "npm run demo" where it was started, then do this once more; what you did is kept in this browser.',
    )
  })

  it('are named, with what to do, when they are not there', async () => {
    answering(() => Promise.resolve(new Response('', { status: 404 })))
    await expect(fetchBytes('/data/x.gz')).rejects.toThrow(
      '/data/x.gz could not be read (404). Start Luvren again with "npm run demo", which builds it.',
    )
  })

  it('are asked for once, and again only after a failure', async () => {
    let asked = 0
    const ask = asksOnce(() =>
      ++asked === 1 ? Promise.reject(new Error('not there')) : Promise.resolve(asked),
    )
    await expect(ask()).rejects.toThrow('not there')
    expect(await Promise.all([ask(), ask()])).toEqual([2, 2])
    expect(await ask()).toBe(2)
  })
})
