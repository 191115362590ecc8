import { readFileSync } from 'node:fs'
import path from 'node:path'
import { describe, expect, it } from 'vitest'
import { escapedXml, FIGURE_FONT, FIGURE_FONTS, rasteriser, selfContained, type FigureFont } from '.'
import { openTypeOf } from './woff'

const modules = path.join(import.meta.dirname, '..', '..', '..', 'node_modules')
const bytes = (...at: string[]): Uint8Array<ArrayBuffer> =>
  new Uint8Array(readFileSync(path.join(modules, ...at)))
const fonts: FigureFont[] = FIGURE_FONTS.map((f) => ({
  ...f,
  woff: bytes('@fontsource', 'atkinson-hyperlegible-next', 'files', f.file),
}))
const figure = (text: string): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="120" height="40" font-family="${FIGURE_FONT}"><rect width="100%" height="100%" fill="#ffffff"/><text x="4" y="20">${escapedXml(text)}</text></svg>`

/** Sum of a table in words of four bytes (ISO/IEC 14496-22, section 5.2, "Calculating checksums"). */
function sumOf(table: Uint8Array): number {
  let sum = 0
  for (let at = 0; at < table.length; at += 4)
    for (let k = 0; k < 4; k++) sum = (sum + (table[at + k] ?? 0) * 2 ** (8 * (3 - k))) % 2 ** 32
  return sum
}

describe('a packed font', () => {
  it('is unpacked into tables whose sums are those that the font states', () => {
    for (const { woff } of fonts) {
      const font = openTypeOf(woff)
      const view = new DataView(font.buffer)
      const count = view.getUint16(4)
      expect(count).toBeGreaterThan(8)
      for (let n = 0; n < count; n++) {
        const entry = 12 + n * 16
        const tag = new TextDecoder().decode(font.subarray(entry, entry + 4))
        const at = view.getUint32(entry + 8)
        const table = font.slice(at, at + view.getUint32(entry + 12))
        expect(at % 4).toBe(0)
        // The table "head" states the sum of the whole font, which is left out of its own.
        if (tag === 'head') table.fill(0, 8, 12)
        expect([tag, sumOf(table)]).toEqual([tag, view.getUint32(entry + 4)])
      }
    }
  })

  it('is refused where the bytes are something else', () => {
    expect(() => openTypeOf(new Uint8Array(10))).toThrow('not a WOFF file')
    expect(() => openTypeOf(new Uint8Array(100))).toThrow('not a WOFF file')
  })
})

describe('a figure', async () => {
  const drawing = await rasteriser(bytes('@resvg', 'resvg-wasm', 'index_bg.wasm'), fonts)

  it('is drawn at twice its size, the same each time, with its letters', () => {
    const png = drawing.png(figure('Works'))
    expect([...png.subarray(1, 4)]).toEqual([...'PNG'].map((c) => c.charCodeAt(0)))
    const view = new DataView(png.buffer, png.byteOffset)
    expect([view.getUint32(16), view.getUint32(20)]).toEqual([240, 80])
    expect(drawing.png(figure('Works'))).toEqual(png)
    expect(drawing.png(figure(''))).not.toEqual(png)
    expect(drawing.png(figure('Wörks ő'))).not.toEqual(drawing.png(figure('Wörks')))
  })

  it('has no letters but outlines where they are asked for', () => {
    const outlined = drawing.outlined(figure('Works'))
    expect(outlined).not.toContain('<text')
    expect(outlined).toContain('<path')
  })

  it('carries its letters, the extended ones only where they stand in it, and is drawn as without them', () => {
    const plain = selfContained(figure('Wörks – “so”'), fonts)
    expect(plain.match(/@font-face/g)).toHaveLength(2)
    expect(selfContained(figure('ő'), fonts).match(/@font-face/g)).toHaveLength(4)
    expect(plain).toContain('>Wörks – “so”</text>')
    expect(drawing.png(plain)).toEqual(drawing.png(figure('Wörks – “so”')))
  })

  it('lets nothing through that is not text', () => {
    expect(escapedXml('<script>"a" & b')).toBe('&lt;script&gt;&quot;a&quot; &amp; b')
  })
})
