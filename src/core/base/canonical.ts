import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js'

/**
 * JSON in one fixed form: members sorted by UTF-16 units, no white space (RFC 8785). Members that are undefined are
 * left out. Throws on what JSON cannot hold (NaN, infinities), which is a programmer's mistake.
 */
export function canonicalJson(value: unknown): string {
  if (value === null || typeof value === 'boolean' || typeof value === 'string') return JSON.stringify(value)
  if (typeof value === 'number') {
    if (!Number.isFinite(value)) throw new Error('JSON holds no NaN or infinity')
    return JSON.stringify(value)
  }
  if (Array.isArray(value))
    return `[${value.map((v) => canonicalJson(v === undefined ? null : v)).join(',')}]`
  if (typeof value === 'object') {
    const members = Object.entries(value)
      .filter(([, v]) => v !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : a > b ? 1 : 0))
      .map(([k, v]) => `${JSON.stringify(k)}:${canonicalJson(v)}`)
    return `{${members.join(',')}}`
  }
  throw new Error(`JSON holds no ${typeof value}`)
}

/**
 * The same of a value as it is once it was written as JSON and read again; empty for undefined. Two values say the same in a
 * file where these are equal.
 */
export const plainJson = (value: unknown): string =>
  value === undefined ? '' : canonicalJson(JSON.parse(JSON.stringify(value)))

/** SHA-256 of a text (as UTF-8) or of bytes, as 64 hexadecimal digits. */
export function digestOf(content: string | Uint8Array): string {
  return bytesToHex(sha256(typeof content === 'string' ? utf8ToBytes(content) : content))
}

/** The same of content that comes in pieces. */
export function digestInPieces(): { add: (piece: Uint8Array) => void; end: () => string } {
  const hash = sha256.create()
  return {
    add: (piece) => {
      hash.update(piece)
    },
    end: () => bytesToHex(hash.digest()),
  }
}
