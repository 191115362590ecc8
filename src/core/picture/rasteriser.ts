import { initWasm, Resvg } from '@resvg/resvg-wasm'
import type { FigureFont } from './svg'
import { openTypeOf } from './woff'

/** Draws figures with the fonts that it was made with and no others: the same bytes in the browser and on a command line. */
export interface Rasteriser {
  /** A PNG, `zoom` times the size that the figure states. */
  png(svg: string, zoom?: number): Uint8Array
  /** The figure with its letters as outlines, for programs that would take other letters. */
  outlined(svg: string): string
}

let begun: Promise<void> | undefined

/** Makes the one rasteriser; the program and the fonts are handed in, for nothing here can fetch. */
export async function rasteriser(wasm: BufferSource, fonts: readonly FigureFont[]): Promise<Rasteriser> {
  await (begun ??= initWasm(wasm))
  const fontBuffers = fonts.map((f) => openTypeOf(f.woff))
  const drawn = <T>(svg: string, zoom: number, read: (figure: InstanceType<typeof Resvg>) => T): T => {
    const figure = new Resvg(svg, {
      font: { fontBuffers, defaultFontFamily: 'Atkinson Hyperlegible Next' },
      fitTo: { mode: 'zoom', value: zoom },
    })
    try {
      return read(figure)
    } finally {
      figure.free()
    }
  }
  return {
    png: (svg, zoom = 2) =>
      drawn(svg, zoom, (figure) => {
        const image = figure.render()
        try {
          return image.asPng()
        } finally {
          image.free()
        }
      }),
    outlined: (svg) => drawn(svg, 1, (figure) => figure.toString()),
  }
}
