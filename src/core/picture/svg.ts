import { plainSigns } from '../base'
/** The letters of every figure. The second name is the one under which the app has them loaded. */
export const FIGURE_FONT = "'Atkinson Hyperlegible Next', 'Atkinson Hyperlegible Next Variable', sans-serif"

/** A font of the figures, packed as WOFF: its weight, and the part of the letters that it holds. */
export interface FigureFont {
  weight: 400 | 600
  part: 'latin' | 'latin-ext'
  woff: Uint8Array
}

/** The files of the fonts, as they lie beside the app and in the package that brings them. */
export const FIGURE_FONTS = (['latin', 'latin-ext'] as const).flatMap((part) =>
  ([400, 600] as const).map((weight) => ({
    part,
    weight,
    file: `atkinson-hyperlegible-next-${part}-${weight}-normal.woff`,
  })),
)

/** The program that draws, as it lies beside the app. */
export const RASTER_PROGRAM = 'rasteriser.wasm'

const MARKS: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' }

/** Text as it may stand in XML, as content and in an attribute; what may stand in none is left out. */
export const escapedXml = (text: string): string => plainSigns(text).replace(/[&<>"]/g, (c) => MARKS[c]!)

function base64(bytes: Uint8Array): string {
  let text = ''
  for (let at = 0; at < bytes.length; at += 8192)
    text += String.fromCharCode(...bytes.subarray(at, at + 8192))
  return btoa(text)
}

/**
 * A figure that looks the same where these fonts are not installed: they are put into it. Its text stays text. The
 * extended letters are put in only where the figure has some beyond the first block.
 */
export function selfContained(svg: string, fonts: readonly FigureFont[]): string {
  const extended = /[^\u0000-\u00ff\u2000-\u206f\u20ac\u2212]/.test(svg)
  const faces = fonts
    .filter((f) => f.part === 'latin' || extended)
    .map(
      (f) =>
        `@font-face{font-family:'Atkinson Hyperlegible Next';font-weight:${f.weight};src:url(data:font/woff;base64,${base64(f.woff)})${f.part === 'latin' ? '' : ';unicode-range:U+100-1FFF,U+2100-2BFF'}}`,
    )
  return svg.replace(/^<svg[^>]*>/, (head) => `${head}<style>${faces.join('')}</style>`)
}

/** The size that a figure states of itself, in pixels. */
export function figureSize(svg: string): { width: number; height: number } {
  const stated = (name: string): number =>
    Number(new RegExp(`^<svg[^>]* ${name}="(\\d+)"`).exec(svg)?.[1] ?? 600)
  return { width: stated('width'), height: stated('height') }
}
