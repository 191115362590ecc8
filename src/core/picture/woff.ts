import { unzlibSync } from 'fflate'

const WOFF = 0x774f4646

/**
 * A WOFF 1.0 file as the OpenType file that is packed in it (W3C Recommendation "WOFF File Format 1.0", sections 4 and
 * 5): header, table directory in its order, and the tables unpacked, each beginning at a multiple of four. Throws where
 * the bytes are no such file.
 */
export function openTypeOf(woff: Uint8Array): Uint8Array {
  const from = new DataView(woff.buffer, woff.byteOffset, woff.byteLength)
  if (woff.length < 44 || from.getUint32(0) !== WOFF) throw new Error('This is not a WOFF file.')
  const count = from.getUint16(12)
  const tables = Array.from({ length: count }, (_, n) => {
    const at = 44 + n * 20
    const [offset, packed, length] = [4, 8, 12].map((k) => from.getUint32(at + k)) as [number, number, number]
    const bytes = woff.subarray(offset, offset + packed)
    return {
      tag: from.getUint32(at),
      sum: from.getUint32(at + 16),
      bytes: packed < length ? unzlibSync(bytes) : bytes,
    }
  })
  const padded = (n: number): number => Math.ceil(n / 4) * 4
  const head = 12 + 16 * count
  const out = new Uint8Array(head + tables.reduce((n, t) => n + padded(t.bytes.length), 0))
  const to = new DataView(out.buffer)
  const power = Math.floor(Math.log2(count))
  to.setUint32(0, from.getUint32(4))
  to.setUint16(4, count)
  to.setUint16(6, 16 * 2 ** power)
  to.setUint16(8, power)
  to.setUint16(10, 16 * (count - 2 ** power))
  let at = head
  tables.forEach(({ tag, sum, bytes }, n) => {
    const entry = 12 + n * 16
    to.setUint32(entry, tag)
    to.setUint32(entry + 4, sum)
    to.setUint32(entry + 8, at)
    to.setUint32(entry + 12, bytes.length)
    out.set(bytes, at)
    at += padded(bytes.length)
  })
  return out
}
