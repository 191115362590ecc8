export { rasteriser, type Rasteriser } from './rasteriser'
export {
  escapedXml,
  FIGURE_FONT,
  figureSize,
  FIGURE_FONTS,
  RASTER_PROGRAM,
  selfContained,
  type FigureFont,
} from './svg'
