/**
 * Every byte of an archive that is no content of a file: headers, what stands behind contents, the list at the end. Read by
 * APPNOTE.TXT, 4.3.7, 4.3.12 and 4.3.16.
 */
export function frameOf(whole: Uint8Array): number[] {
  const view = new DataView(whole.buffer, whole.byteOffset)
  const end = Buffer.from(whole).lastIndexOf(Buffer.from([0x50, 0x4b, 5, 6]))
  const content = new Set<number>()
  let at = view.getUint32(end + 16, true)
  for (let n = view.getUint16(end + 10, true); n > 0; n--) {
    const header = view.getUint32(at + 42, true)
    const start = header + 30 + view.getUint16(header + 26, true) + view.getUint16(header + 28, true)
    for (let i = start; i < start + view.getUint32(at + 20, true); i++) content.add(i)
    at += 46 + [28, 30, 32].reduce((sum, o) => sum + view.getUint16(at + o, true), 0)
  }
  return [...whole.keys()].filter((i) => !content.has(i))
}
