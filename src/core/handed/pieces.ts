/** How many of many things are written before what is written of them is handed on. */
const AT_ONCE = 100

/** A list written some at a time. */
export function* inPieces<T>(list: readonly T[], write: (some: T[]) => string): Generator<string> {
  for (let at = 0; at < list.length; at += AT_ONCE) yield write(list.slice(at, at + AT_ONCE))
}

/**
 * The same words as bytes. Each piece is good until the next one is asked for: all are written into the same room of `size`
 * bytes (4 at least, for one character), so that what is written of many records leaves nothing to be collected.
 */
export function* encodedPieces(pieces: Iterable<string>, size = 1 << 16): Generator<Uint8Array> {
  const encoder = new TextEncoder()
  const room = new Uint8Array(Math.max(4, size))
  for (const piece of pieces)
    for (let left = piece; left;) {
      const { read, written } = encoder.encodeInto(left, room)
      yield room.subarray(0, written)
      left = left.slice(read)
    }
}
