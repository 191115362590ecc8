/** Of each sign up to 127: its small form where it makes words, 0 where it separates them. */
const SMALL = new Uint8Array(128)
for (const sign of '0123456789abcdefghijklmnopqrstuvwxyz') {
  SMALL[sign.charCodeAt(0)] = sign.charCodeAt(0)
  SMALL[sign.toUpperCase().charCodeAt(0)] = sign.charCodeAt(0)
}

/** FNV-1a, 32 bits (public domain): http://www.isthe.com/chongo/tech/comp/fnv/ */
const SEED = 0x811c9dc5
const PRIME = 0x01000193

/**
 * The words of texts in plain letters and digits, each with a number, in the order in which they came first. The letters of a
 * text are gone through once and compared as they lie: no string is cut out for a word that is known, which is half of what
 * building an index took.
 */
export class PlainWords {
  private hashes = new Uint32Array(1 << 12)
  /** Where the letters of a word begin; those of the last one end where the next would begin. */
  private begins = new Uint32Array(1 << 12)
  private letters = new Uint8Array(1 << 16)
  /** By the lower bits of a hash, or the next free place behind it: the number of a word, and one more. */
  private places = new Uint32Array(1 << 13)
  private count = 0
  private readonly numbers: number[] = []

  /** `fresh` gives the number of a word that came the first time, in small letters. */
  constructor(private readonly fresh: (word: string) => number) {}

  /** Hands over the number of each word of a text, in its order. The text holds no letters but plain ones. */
  each(text: string, take: (number: number) => void): void {
    let hash = SEED
    let begin = -1
    for (let at = 0; at <= text.length; at++) {
      const code = at < text.length ? text.charCodeAt(at) : 0
      const small = code < 128 ? SMALL[code]! : 0
      if (small) {
        if (begin < 0) begin = at
        hash = Math.imul(hash ^ small, PRIME)
      } else if (begin >= 0) {
        take(this.numberOf(text, begin, at, hash >>> 0))
        begin = -1
        hash = SEED
      }
    }
  }

  private numberOf(text: string, begin: number, end: number, hash: number): number {
    const mask = this.places.length - 1
    let place = hash & mask
    for (let known = this.places[place]!; known !== 0; known = this.places[place]!) {
      if (this.hashes[known - 1] === hash && this.isWord(known - 1, text, begin, end))
        return this.numbers[known - 1]!
      place = (place + 1) & mask
    }
    return this.takeIn(text, begin, end, hash, place)
  }

  private isWord(word: number, text: string, begin: number, end: number): boolean {
    let from = this.begins[word]!
    if (this.begins[word + 1]! - from !== end - begin) return false
    for (let at = begin; at < end; at++) if (this.letters[from++] !== SMALL[text.charCodeAt(at)]) return false
    return true
  }

  private takeIn(text: string, begin: number, end: number, hash: number, place: number): number {
    const word = this.count++
    this.places[place] = word + 1
    const from = this.begins[word]!
    if (word + 2 > this.begins.length) {
      this.begins = larger(this.begins, Uint32Array)
      this.hashes = larger(this.hashes, Uint32Array)
    }
    while (from + end - begin > this.letters.length) this.letters = larger(this.letters, Uint8Array)
    for (let at = begin; at < end; at++) this.letters[from + at - begin] = SMALL[text.charCodeAt(at)]!
    this.hashes[word] = hash
    this.begins[word + 1] = from + end - begin
    const number = this.fresh(text.slice(begin, end).toLowerCase())
    this.numbers.push(number)
    if (2 * this.count > this.places.length) this.spread()
    return number
  }

  /** Twice as many places, so that half of them stay free. */
  private spread(): void {
    this.places = new Uint32Array(2 * this.places.length)
    const mask = this.places.length - 1
    for (let word = 0; word < this.count; word++) {
      let place = this.hashes[word]! & mask
      while (this.places[place] !== 0) place = (place + 1) & mask
      this.places[place] = word + 1
    }
  }
}

function larger<T extends Uint8Array | Uint32Array>(of: T, Kind: new (length: number) => T): T {
  const next = new Kind(2 * of.length)
  next.set(of)
  return next
}
