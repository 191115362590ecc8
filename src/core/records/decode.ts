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

/** Takes bytes in pieces and gives text; a sign that two pieces share is put together. */
export interface TextFromBytes {
  push: (bytes: Uint8Array) => string
  end: () => string
}

/**
 * Turns bytes into text. What is no text in the encoding becomes U+FFFD; a byte order mark is left out. Windows-1252 has a
 * table of its own, for not every runtime has a right one.
 */
export function textFromBytes(encoding: Encoding): TextFromBytes {
  if (encoding !== 'windows-1252') {
    const decoder = new TextDecoder(encoding)
    return { push: (bytes) => decoder.decode(bytes, { stream: true }), end: () => decoder.decode() }
  }
  return {
    push: (bytes) => {
      let text = ''
      for (let from = 0; from < bytes.length; from += 8192) {
        const part = bytes.subarray(from, from + 8192)
        text += String.fromCharCode(...Uint16Array.from(part, (b) => TABLE[b]!))
      }
      return text
    },
    end: () => '',
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
  private readonly utf8 = new TextDecoder('utf-8', { fatal: true })
  private valid = true
  private plain = true
  private first: Uint8Array | undefined
  private zeros: [even: number, odd: number] = [0, 0]
  private size = 0

  push(bytes: Uint8Array): void {
    this.first ??= bytes.slice(0, 3)
    if (this.size < 1 << 20)
      for (let i = 0; i < bytes.length; i++) if (bytes[i] === 0) this.zeros[(this.size + i) & 1]!++
    if (this.plain) this.plain = !bytes.some((b) => b >= 0x80)
    if (this.valid)
      try {
        this.utf8.decode(bytes, { stream: true })
      } catch {
        this.valid = false
      }
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
    if (this.valid)
      try {
        this.utf8.decode()
        return this.plain
          ? { encoding: 'utf-8', sure: true, why: 'it has no signs beyond ASCII' }
          : { encoding: 'utf-8', sure: true, why: 'its bytes are UTF-8 throughout' }
      } catch {
        // Cut off within a sign: taken for the older encoding, below.
      }
    return {
      encoding: 'windows-1252',
      sure: false,
      why: 'it is not UTF-8: taken for the usual older encoding',
    }
  }
}
