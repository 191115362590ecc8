import { digestOf } from '@/core/base'

/**
 * SHA-256 of bytes in hex, as `digestOf` gives it, by the browser's own code where there is one: that is many times as fast,
 * and keeps the page free meanwhile. It is absent where a page is not served securely.
 */
export async function digestSoon(bytes: Uint8Array): Promise<string> {
  const subtle = (globalThis.crypto as Crypto | undefined)?.subtle
  if (!subtle) return digestOf(bytes)
  const digest = new Uint8Array(await subtle.digest('SHA-256', bytes as Uint8Array<ArrayBuffer>))
  return Array.from(digest, (b) => b.toString(16).padStart(2, '0')).join('')
}
