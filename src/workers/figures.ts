import { FIGURE_FONTS, RASTER_PROGRAM, rasteriser, selfContained, type FigureFont } from '@/core/picture'
import { asksOnce } from './data/asks-once'
import { fetchData } from './data/data-door'
import { drawnWith } from './data/data-files'

const fonts = asksOnce((): Promise<FigureFont[]> =>
  Promise.all(FIGURE_FONTS.map(async (f) => ({ ...f, woff: await fetchData(drawnWith(f.file)) }))),
)
/** What draws figures here, with its letters; loaded when it is first asked for. */
export const drawing = asksOnce(async () =>
  rasteriser((await fetchData(drawnWith(RASTER_PROGRAM))) as BufferSource, await fonts()),
)

/** A figure as bytes: as PNG, as SVG with its letters in it, or as SVG with its letters as outlines. */
export async function figure(svg: string, as: 'png' | 'svg' | 'outlined'): Promise<Uint8Array> {
  if (as === 'png') return (await drawing()).png(svg)
  const text = as === 'svg' ? selfContained(svg, await fonts()) : (await drawing()).outlined(svg)
  return new TextEncoder().encode(text)
}
