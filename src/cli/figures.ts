import { readFileSync } from 'node:fs'
import path from 'node:path'
import { FIGURE_FONTS, rasteriser, type FigureFont, type Rasteriser } from '../core/picture'
import { ROOT } from './root'

const modules = path.join(ROOT, 'node_modules')

/** The letters of the figures, as the app has them. */
export const figureFonts = (): FigureFont[] =>
  FIGURE_FONTS.map((f) => ({
    ...f,
    woff: new Uint8Array(
      readFileSync(path.join(modules, '@fontsource', 'atkinson-hyperlegible-next', 'files', f.file)),
    ),
  }))

/** What draws figures on the command line: the same program and letters as in the app. */
export const rasteriserHere = (): Promise<Rasteriser> =>
  rasteriser(readFileSync(path.join(modules, '@resvg', 'resvg-wasm', 'index_bg.wasm')), figureFonts())
