import { plural, problem, type Problem } from '../base'

/** The encodings that files are read in. */
export const ENCODINGS = ['utf-8', 'utf-16le', 'utf-16be', 'windows-1252'] as const
export type Encoding = (typeof ENCODINGS)[number]
export const ENCODING_WORDS: Readonly<Record<Encoding, string>> = {
  'utf-8': 'UTF-8',
  'utf-16le': 'UTF-16, low byte first',
  'utf-16be': 'UTF-16, high byte first',
  'windows-1252': 'Windows-1252 (Latin-1)',
}

/** Windows-1252 from 0x80 to 0x9F (WHATWG Encoding, index windows-1252); everywhere else it is Latin-1. */
const HIGH =
  '\u20ac\u0081\u201a\u0192\u201e\u2026\u2020\u2021\u02c6\u2030\u0160\u2039\u0152\u008d\u017d\u008f\u0090\u2018\u2019\u201c\u201d\u2022\u2013\u2014\u02dc\u2122\u0161\u203a\u0153\u009d\u017e\u0178'
const TABLE = Uint16Array.from({ length: 256 }, (_, b) =>
  b >= 0x80 && b < 0xa0 ? HIGH.charCodeAt(b - 0x80) : b,
)

/** A line that is not what its file is encoded in, and what was made of it. */
export interface OddLine {
  line: number
  /** Read as the older encoding, or the bad bytes replaced by U+FFFD. */
  as: 'windows-1252' | 'marked'
}

/** Takes bytes in pieces and gives text; a sign that two pieces share is put together. */
export interface TextFromBytes {
  push: (bytes: Uint8Array) => string
  end: () => string
  /** Lines that were in another encoding, as far as the text was taken; of very many, the first. */
  odd: readonly OddLine[]
}

function fromTable(bytes: Uint8Array): string {
  let text = ''
  for (let from = 0; from < bytes.length; from += 8192) {
    const part = bytes.subarray(from, from + 8192)
    text += String.fromCharCode(...Uint16Array.from(part, (b) => TABLE[b]!))
  }
  return text
}

/**
 * Turns bytes into text. A byte order mark is left out. Windows-1252 has a table of its own, for not every runtime has a
 * right one. What is no text in UTF-8 is looked at line by line: a line without a single sign of UTF-8 beyond ASCII comes
 * from elsewhere and is read as the older encoding; in another the bad bytes become U+FFFD. `whole`: as the readers of
 * versions 1 and 2 had it, every bad byte becomes U+FFFD.
 */
export function textFromBytes(encoding: Encoding, whole = false): TextFromBytes {
  if (encoding === 'windows-1252') return { push: fromTable, end: () => '', odd: [] }
  if (encoding === 'utf-8' && !whole) return new Utf8Lines()
  const decoder = new TextDecoder(encoding)
  return { push: (bytes) => decoder.decode(bytes, { stream: true }), end: () => decoder.decode(), odd: [] }
}

const LF = 10
class Utf8Lines implements TextFromBytes {
  readonly odd: OddLine[] = []
  /** What came since the last line's end, put together once: a file may be one line. */
  private waiting: Uint8Array[] = []
  private line = 1
  private first = true

  push(bytes: Uint8Array): string {
    const stop = bytes.lastIndexOf(LF) + 1
    if (!stop) {
      this.waiting.push(bytes.slice())
      return ''
    }
    const text = this.take(joined([...this.waiting, bytes.subarray(0, stop)]))
    this.waiting = [bytes.slice(stop)]
    return text
  }

  end(): string {
    const text = this.take(joined(this.waiting))
    this.waiting = []
    return text
  }

  private take(bytes: Uint8Array): string {
    const own =
      this.first && bytes[0] === 0xef && bytes[1] === 0xbb && bytes[2] === 0xbf ? bytes.subarray(3) : bytes
    if (bytes.length) this.first = false
    try {
      const text = STRICT.decode(own)
      for (let at = own.indexOf(LF); at >= 0; at = own.indexOf(LF, at + 1)) this.line++
      return text
    } catch {
      return this.byLines(own)
    }
  }

  private byLines(bytes: Uint8Array): string {
    let text = ''
    for (let from = 0; from < bytes.length;) {
      const at = bytes.indexOf(LF, from)
      const to = at < 0 ? bytes.length : at + 1
      text += this.ofLine(bytes.subarray(from, to))
      if (at >= 0) this.line++
      from = to
    }
    return text
  }

  private ofLine(bytes: Uint8Array): string {
    const seen = new Utf8Signs()
    seen.push(bytes)
    if (!seen.end().bad) return STRICT.decode(bytes)
    const as = seen.good ? 'marked' : 'windows-1252'
    if (this.odd.length < 1000) this.odd.push({ line: this.line, as })
    return seen.good ? LENIENT.decode(bytes) : fromTable(bytes)
  }
}
const STRICT = new TextDecoder('utf-8', { fatal: true, ignoreBOM: true })
const LENIENT = new TextDecoder('utf-8', { ignoreBOM: true })
function joined(pieces: readonly Uint8Array[]): Uint8Array {
  const all = new Uint8Array(pieces.reduce((length, piece) => length + piece.length, 0))
  let at = 0
  for (const piece of pieces) {
    all.set(piece, at)
    at += piece.length
  }
  return all
}

/** Counts signs of UTF-8 beyond ASCII, and places that are none (Unicode Standard, table 3-7). */
class Utf8Signs {
  good = 0
  bad = 0
  /** The lines of the first bad places. */
  readonly lines: number[] = []
  private need = 0
  private low = 0x80
  private high = 0xbf
  private line = 1

  push(bytes: Uint8Array): void {
    for (let i = 0; i < bytes.length; i++) {
      const b = bytes[i]!
      if (this.need) {
        if (b >= this.low && b <= this.high) {
          ;[this.low, this.high] = [0x80, 0xbf]
          if (!--this.need) this.good++
          continue
        }
        this.isBad()
        this.need = 0
        ;[this.low, this.high] = [0x80, 0xbf]
      }
      if (b < 0x80) {
        if (b === LF) this.line++
      } else if (b >= 0xc2 && b <= 0xdf) this.need = 1
      else if (b >= 0xe0 && b <= 0xef) {
        this.need = 2
        if (b === 0xe0) this.low = 0xa0
        if (b === 0xed) this.high = 0x9f
      } else if (b >= 0xf0 && b <= 0xf4) {
        this.need = 3
        if (b === 0xf0) this.low = 0x90
        if (b === 0xf4) this.high = 0x8f
      } else this.isBad()
    }
  }

  end(): this {
    if (this.need) this.isBad()
    this.need = 0
    return this
  }

  private isBad(): void {
    this.bad++
    if (this.lines.length < 3 && this.lines.at(-1) !== this.line) this.lines.push(this.line)
  }
}

/** What the bytes of a file look like. `sure`: a mark says so, or the bytes can be nothing else. */
export interface Guess {
  encoding: Encoding
  sure: boolean
  why: string
}

/** Looks at all bytes of a file, in pieces, and says how it is encoded. */
export class EncodingGuess {
  private readonly signs = new Utf8Signs()
  private first: Uint8Array | undefined
  private zeros: [even: number, odd: number] = [0, 0]
  private size = 0

  push(bytes: Uint8Array): void {
    this.first ??= bytes.slice(0, 3)
    if (this.size < 1 << 20)
      for (let i = 0; i < bytes.length; i++) if (bytes[i] === 0) this.zeros[(this.size + i) & 1]!++
    this.signs.push(bytes)
    this.size += bytes.length
  }

  end(): Guess {
    const [a, b, c] = this.first ?? new Uint8Array()
    if (a === 0xef && b === 0xbb && c === 0xbf)
      return { encoding: 'utf-8', sure: true, why: 'its first bytes say so' }
    if (a === 0xff && b === 0xfe) return { encoding: 'utf-16le', sure: true, why: 'its first bytes say so' }
    if (a === 0xfe && b === 0xff) return { encoding: 'utf-16be', sure: true, why: 'its first bytes say so' }
    const [even, odd] = this.zeros
    const looked = Math.min(this.size, 1 << 20)
    if (Math.max(even, odd) > looked / 8 && Math.min(even, odd) < Math.max(even, odd) / 8)
      return {
        encoding: odd > even ? 'utf-16le' : 'utf-16be',
        sure: false,
        why: 'every other byte is zero, as in UTF-16',
      }
    const { good, bad, lines } = this.signs.end()
    if (!bad)
      return good
        ? { encoding: 'utf-8', sure: true, why: 'its bytes are UTF-8 throughout' }
        : { encoding: 'utf-8', sure: true, why: 'it has no signs beyond ASCII' }
    // One bad byte does not make a file another: only where no sign is UTF-8 it is the older encoding.
    if (good)
      return {
        encoding: 'utf-8',
        sure: false,
        why: `${plural(bad, 'place')} in it ${bad === 1 ? 'is' : 'are'} not (line ${lines.join(', ')}${bad > lines.length ? ' …' : ''}); each such line is named below`,
      }
    return {
      encoding: 'windows-1252',
      sure: false,
      why: 'it is not UTF-8: taken for the usual older encoding',
    }
  }
}

/** In words, for whoever brings a file in, what was made of lines in another encoding; of many, the first. */
export function oddLines(odd: readonly OddLine[]): Problem[] {
  const say = ({ line, as }: OddLine): Problem =>
    problem(
      'encoding',
      'warning',
      as === 'marked'
        ? `Line ${line}: a byte that is no sign of UTF-8; it stands as \uFFFD.`
        : `Line ${line}: not UTF-8 like the rest; it was read as ${ENCODING_WORDS['windows-1252']}.`,
      `line ${line}`,
    )
  return odd.slice(0, 200).map(say)
}
