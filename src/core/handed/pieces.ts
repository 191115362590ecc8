/** How many of many things are written before what is written of them is handed on. */
const AT_ONCE = 1000

/** A list written some at a time. */
export function* inPieces<T>(list: readonly T[], write: (some: T[]) => string): Generator<string> {
  for (let at = 0; at < list.length; at += AT_ONCE) yield write(list.slice(at, at + AT_ONCE))
}

/** The same words as bytes. */
export function* encodedPieces(pieces: Iterable<string>): Generator<Uint8Array> {
  const encoder = new TextEncoder()
  for (const piece of pieces) yield encoder.encode(piece)
}
