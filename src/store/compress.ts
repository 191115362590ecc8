/** Below this many bytes nothing is gained. */
const WORTH = 1024

/** Bytes as they are stored: compressed where that makes them fewer. */
export interface Stored {
  bytes: Uint8Array
  /** How they are compressed; absent: not at all. */
  packed?: 'deflate-raw'
}

const through = async (
  bytes: Uint8Array,
  way: CompressionStream | DecompressionStream,
): Promise<Uint8Array> => {
  const stream = new Blob([bytes as Uint8Array<ArrayBuffer>]).stream().pipeThrough(way as TransformStream)
  return new Uint8Array(await new Response(stream).arrayBuffer())
}

export async function stored(bytes: Uint8Array): Promise<Stored> {
  if (bytes.length < WORTH) return { bytes }
  const packed = await through(bytes, new CompressionStream('deflate-raw'))
  return packed.length < bytes.length * 0.9 ? { bytes: packed, packed: 'deflate-raw' } : { bytes }
}

export const unstored = async ({ bytes, packed }: Stored): Promise<Uint8Array> =>
  packed ? through(bytes, new DecompressionStream(packed)) : bytes
