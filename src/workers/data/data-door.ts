import { messageOf } from '@/core/base'
import { digestSoon } from '@/store/digest-soon'
import type { DataFile } from './data-files'

/** A file that has been waited for longer than anybody waits without a word, or that could not be had. */
export interface LackingData {
  what: string
  /** How many bytes of it are here. */
  loaded: number
  /** Why it could not be had, in words; absent while it is waited for. */
  why?: string
}

/** So long nothing is said, and so often it is said how far it is, in milliseconds. */
const LATE = 2000
const TELL_EVERY = 1000
/** So long nothing at all may come before it is given up, in milliseconds. */
const SILENT = 60_000

const kept = 'what you did is kept in this browser'
const capital = (text: string): string => text[0]!.toUpperCase() + text.slice(1)

/** Why a file is not here, in words for a reader. */
export const dataFaults = {
  unanswered: ({ what }: DataFile) =>
    `${capital(what)} could not be fetched: there is no network, or the server of Luvren does not answer. Try again when it does; ${kept}.`,
  silent: ({ what }: DataFile) =>
    `${capital(what)} stopped coming, and nothing was heard for a minute. Try again; ${kept}.`,
  refused: ({ what, url }: DataFile, status: number) =>
    `${capital(what)} are not where this Luvren is kept: ${url} was answered with ${status}. Whoever runs it has to lay its data there again (npm run data); ${kept}.`,
  other: ({ what, url }: DataFile) =>
    `${capital(what)} came damaged, or belong to another Luvren than this page, and were not used (${url}). Reload the page and try again; where it stays so, whoever runs this Luvren has to lay its data there again (npm run data). ${capital(kept)}.`,
} as const

interface Waiting {
  late: LackingData
  again: () => void
}

/** The files that are on their way, of this page or worker. */
const waiting = new Set<Waiting>()
/** Those that could not be had when they were asked for last, by their address. */
const gone = new Map<string, LackingData>()
let told: LackingData[] = []
let tell: (lacking: readonly LackingData[]) => void = () => undefined
function tellNow(): void {
  const now = [...gone.values(), ...[...waiting].map((w) => ({ ...w.late }))]
  if (!now.length && !told.length) return
  told = now
  tell(now)
}

/** Who is told of files that are late or cannot be had, each time something about them is another. */
export const tellOfLackingData = (whom: (lacking: readonly LackingData[]) => void): void => {
  tell = whom
}
/** Lets go of what is late and asks for it anew. */
export const fetchAgain = (): void => [...waiting].forEach((w) => w.again())

/** The bytes of a file that comes with Luvren, unpacked. Throws with words for a reader: see `dataFaults`. */
export const fetchData = (file: DataFile): Promise<Uint8Array> => noted(file, () => checked(file))

async function checked(file: DataFile): Promise<Uint8Array> {
  const bytes = await unpacked(file, await whole(file))
  if (file.digest !== undefined && (await digestSoon(bytes)) !== file.digest)
    throw new Error(dataFaults.other(file))
  return bytes
}

/** The same, and those who are told of what is lacking hear how it ended. */
async function noted<T>(file: DataFile, ask: () => Promise<T>): Promise<T> {
  // It is being asked for: whether it can be had is open again.
  if (gone.delete(file.url)) tellNow()
  try {
    return await ask()
  } catch (error) {
    gone.set(file.url, { what: file.what, loaded: 0, why: messageOf(error) })
    throw error
  } finally {
    tellNow()
  }
}

/** The same as text made into something else; what cannot be is told as what came damaged. */
export const readData = <T>(file: DataFile, read: (text: string) => T): Promise<T> =>
  noted(file, async () => {
    const text = new TextDecoder().decode(await checked(file))
    try {
      return read(text)
    } catch {
      throw new Error(dataFaults.other(file))
    }
  })

async function unpacked(file: DataFile, bytes: Uint8Array): Promise<Uint8Array> {
  if (!file.packed) return bytes
  const stream = new Blob([bytes as Uint8Array<ArrayBuffer>]).stream()
  try {
    const plain = stream.pipeThrough(new DecompressionStream('gzip'))
    return new Uint8Array(await new Response(plain).arrayBuffer())
  } catch {
    throw new Error(dataFaults.other(file))
  }
}

/** Asks until it has an answer that nobody let go of. */
async function whole(file: DataFile): Promise<Uint8Array> {
  for (;;) {
    const attempt = new Attempt(file)
    const bytes = await attempt.result()
    if (bytes) return bytes
  }
}

/** One time that a file is asked for. */
class Attempt {
  private readonly abort = new AbortController()
  private ended: 'again' | 'silent' | undefined
  private readonly own: Waiting
  private silence: ReturnType<typeof setTimeout> | undefined

  constructor(private readonly file: DataFile) {
    this.own = { late: { what: file.what, loaded: 0 }, again: () => this.end('again') }
  }

  /** Undefined where it was let go of to ask anew. */
  async result(): Promise<Uint8Array | undefined> {
    const { file, own } = this
    let every: ReturnType<typeof setInterval> | undefined
    const late = setTimeout(() => {
      waiting.add(own)
      tellNow()
      every = setInterval(tellNow, TELL_EVERY)
    }, LATE)
    this.heard(0)
    try {
      const answer = await fetch(file.url, { signal: this.abort.signal })
      if (!answer.ok) throw new Error(dataFaults.refused(file, answer.status))
      return await this.bytesOf(answer)
    } catch (error) {
      if (this.ended === 'again') return undefined
      if (this.ended === 'silent') throw new Error(dataFaults.silent(file), { cause: error })
      // The browser's own words ("Failed to fetch") differ from one to the next and name no remedy.
      if (error instanceof TypeError) throw new Error(dataFaults.unanswered(file), { cause: error })
      throw error
    } finally {
      clearTimeout(late)
      clearTimeout(this.silence)
      clearInterval(every)
      waiting.delete(own)
      tellNow()
    }
  }

  private async bytesOf(answer: Response): Promise<Uint8Array> {
    const parts: Uint8Array<ArrayBuffer>[] = []
    const reader = answer.body?.getReader()
    for (;;) {
      const part = await reader?.read()
      if (!part || part.done) return new Uint8Array(await new Blob(parts).arrayBuffer())
      parts.push(part.value)
      this.heard(part.value.length)
    }
  }

  private heard(bytes: number): void {
    this.own.late.loaded += bytes
    clearTimeout(this.silence)
    this.silence = setTimeout(() => this.end('silent'), SILENT)
  }

  private end(how: 'again' | 'silent'): void {
    this.ended = how
    this.abort.abort()
  }
}
