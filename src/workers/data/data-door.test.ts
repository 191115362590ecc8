import { gzipSync } from 'node:zlib'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { digestOf } from '@/core/base'
import { STANDINS } from '@/standins'
import { fetchAgain, fetchData, readData, tellOfLackingData, type LackingData } from './data-door'
import { recordsData, SPELLINGS, SYNONYMS, vocabularyData, type DataFile } from './data-files'

const WORDS = new TextEncoder().encode('classroom, schoolroom')
const RECORDS: DataFile = {
  url: '/data/quayside.2026-09.json.gz',
  what: 'the records of Quayside Social Index',
  packed: true,
  digest: digestOf(WORDS),
}
type Answer = (signal: AbortSignal) => Promise<Response>
const answering = (...answers: Answer[]) => {
  const asked = vi.fn((_url: string, { signal }: { signal: AbortSignal }) => answers.shift()!(signal))
  vi.stubGlobal('fetch', asked)
  return asked
}
const whole =
  (bytes: Uint8Array): Answer =>
  () =>
    Promise.resolve(new Response(bytes as Uint8Array<ArrayBuffer>))
/** Gives some bytes and then no more, until it is let go of. */
const halfWay =
  (bytes: Uint8Array): Answer =>
  (signal) =>
    Promise.resolve(
      new Response(
        new ReadableStream({
          start(to) {
            to.enqueue(bytes)
            signal.addEventListener('abort', () => to.error(new DOMException('let go', 'AbortError')))
          },
        }),
      ),
    )

afterEach(() => {
  vi.unstubAllGlobals()
  vi.useRealTimers()
  tellOfLackingData(() => undefined)
})

describe('a file that comes with Luvren', () => {
  it('is given unpacked, where it is the one that this build was made with', async () => {
    answering(whole(gzipSync(WORDS)))
    expect(await fetchData(RECORDS)).toEqual(WORDS)
  })

  it('is named with its remedy where nothing answers, or what answers does not have it', async () => {
    answering(() => Promise.reject(new TypeError('Failed to fetch')))
    await expect(fetchData(RECORDS)).rejects.toThrow(
      'The records of Quayside Social Index could not be fetched: there is no network, or the server of Luvren does not answer. Try again when it does; what you did is kept in this browser.',
    )
    answering(() => Promise.resolve(new Response('', { status: 404 })))
    await expect(fetchData(SYNONYMS)).rejects.toThrow(
      'The synonyms are not where this Luvren is kept: /data/synonyms.txt.gz was answered with 404. Whoever runs it has to lay its data there again (npm run data); what you did is kept in this browser.',
    )
  })

  it('is not used where it is cut, is no archive, is another build’s, or cannot be read', async () => {
    const packed = gzipSync(WORDS)
    const others = [packed.subarray(0, packed.length - 9), WORDS, gzipSync('classroom'), new Uint8Array()]
    for (const bytes of others) {
      answering(whole(bytes))
      await expect(fetchData(RECORDS)).rejects.toThrow(
        'The records of Quayside Social Index came damaged, or belong to another Luvren than this page',
      )
    }
    answering(whole(WORDS))
    await expect(readData(SPELLINGS, (text): unknown => JSON.parse(text))).rejects.toThrow(
      'The spellings of both sides of the ocean came damaged',
    )
  })

  it('has a digest that this build knows, where searches or headings hang on it', () => {
    for (const info of STANDINS) {
      expect(recordsData(info, '2026-03').digest, info.name).toMatch(/^[0-9a-f]{64}$/)
      const headings = vocabularyData(info)
      if (headings) expect(headings.digest, info.name).toMatch(/^[0-9a-f]{64}$/)
    }
  })
})

describe('a file that is slow', () => {
  let said: LackingData[][]
  beforeEach(() => {
    vi.useFakeTimers()
    said = []
    // What other files were found to be stays said.
    tellOfLackingData((lacking) => said.push(lacking.filter((l) => l.what === RECORDS.what)))
  })

  it('is told of after two seconds with how much of it is here, and no more when it came', async () => {
    let come: (answer: Response) => void = () => undefined
    answering(() => new Promise((done) => (come = done)))
    const asked = fetchData(RECORDS)
    await vi.advanceTimersByTimeAsync(1999)
    expect(said.flat()).toEqual([])
    await vi.advanceTimersByTimeAsync(1)
    expect(said.at(-1)).toEqual([{ what: RECORDS.what, loaded: 0 }])
    vi.useRealTimers()
    come(new Response(gzipSync(WORDS)))
    await asked
    expect(said.at(-1)).toEqual([])
  })

  it('is asked for anew when somebody wants that, and who waits has the new answer', async () => {
    const asked = answering(halfWay(gzipSync(WORDS).subarray(0, 9)), whole(WORDS))
    const plain = fetchData({ ...RECORDS, packed: false })
    await vi.advanceTimersByTimeAsync(3000)
    expect(said.at(-1)).toEqual([{ what: RECORDS.what, loaded: 9 }])
    fetchAgain()
    vi.useRealTimers()
    expect(await plain).toEqual(WORDS)
    expect(asked).toHaveBeenCalledTimes(2)
    expect(said.at(-1)).toEqual([])
  })

  it('is given up, in words, when nothing of it was heard for a minute', async () => {
    answering(halfWay(WORDS.subarray(0, 3)))
    const refused = expect(fetchData(RECORDS)).rejects.toThrow(
      'The records of Quayside Social Index stopped coming, and nothing was heard for a minute.',
    )
    await vi.advanceTimersByTimeAsync(60_000)
    await refused
    expect(said.at(-1)).toEqual([
      { what: RECORDS.what, loaded: 0, why: expect.stringContaining('nothing was heard') as string },
    ])
    vi.useRealTimers()
    answering(whole(gzipSync(WORDS)))
    await fetchData(RECORDS)
    expect(said.at(-1)).toEqual([])
  })
})
