/** Bytes that are read part by part: a file, or what is in memory already. */
export interface ByteSource {
  size: number
  /** The bytes from `start` up to `end`, which lie within `size`. */
  read: (start: number, end: number) => Promise<Uint8Array>
}

/** Bytes in memory as such a source. */
export const inMemory = (bytes: Uint8Array): ByteSource => ({
  size: bytes.length,
  read: (start, end) => Promise.resolve(bytes.subarray(start, end)),
})

/** A file as such a source: only the parts that are asked for are ever read. */
export const ofFile = (file: Blob): ByteSource => ({
  size: file.size,
  read: async (start, end) => new Uint8Array(await file.slice(start, end).arrayBuffer()),
})
