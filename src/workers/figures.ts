import { FIGURE_FONTS, RASTER_PROGRAM, rasteriser, selfContained, type FigureFont } from '@/core/picture'
import { asksOnce, fetchBytes } from './fetch-bytes'

const fonts = asksOnce((): Promise<FigureFont[]> =>
  Promise.all(FIGURE_FONTS.map(async (f) => ({ ...f, woff: await fetchBytes(`/data/${f.file}`) }))),
)
/** What draws figures here, with its letters; loaded when it is first asked for. */
export const drawing = asksOnce(async () =>
  rasteriser((await fetchBytes(`/data/${RASTER_PROGRAM}`)) as BufferSource, await fonts()),
)

/** A figure as bytes: as PNG, as SVG with its letters in it, or as SVG with its letters as outlines. */
export async function figure(svg: string, as: 'png' | 'svg' | 'outlined'): Promise<Uint8Array> {
  if (as === 'png') return (await drawing()).png(svg)
  const text = as === 'svg' ? selfContained(svg, await fonts()) : (await drawing()).outlined(svg)
  return new TextEncoder().encode(text)
}
