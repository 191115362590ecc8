import { thousands } from '../base'
import { escapedXml as escaped, FIGURE_FONT } from '../picture'
import type { Overlap } from './overlap'

/** How a drawing looks; the default prints well on white. */
export interface DrawingInk {
  ink: string
  quiet: string
  hair: string
  ground: string
  font: string
}
const PRINT: DrawingInk = {
  ink: '#24303a',
  quiet: '#5b6770',
  hair: '#d5dade',
  ground: '#ffffff',
  font: FIGURE_FONT,
}

const ROW = 26
const STEP = 30
const LEFT = 16
const BAR = 300
/** Names are slanted by so much, their letters about so wide; longer ones end in … and have a title. */
const SLANT = (52 * Math.PI) / 180
const LETTER = 6.6
const LONGEST_NAME = 34
const shortened = (name: string): string =>
  name.length > LONGEST_NAME ? `${name.slice(0, LONGEST_NAME - 1).trimEnd()}…` : name

/**
 * The overlap as a drawing of its own in SVG: one row for each set of sources, a filled dot under every source of it, a
 * line through them, and a bar as long as the works are many. At most `most` rows; how many are left out is said.
 */
export function drawOverlap(
  { sources, sets, works }: Overlap,
  nameOf: (id: string) => string,
  { ink = PRINT, most = 20 }: { ink?: DrawingInk; most?: number } = {},
): string {
  const columns = sources.filter((s) => s.works > 0).map((s) => s.id)
  const shown = sets.slice(0, most)
  const left = sets.slice(most)
  const letters = Math.max(0, ...columns.map((id) => shortened(nameOf(id)).length))
  const top = Math.ceil(letters * LETTER * Math.sin(SLANT)) + 34
  const barAt = LEFT + columns.length * STEP + 18
  const width = barAt + BAR + 90
  const height = top + shown.length * ROW + (left.length ? 44 : 20)
  const longest = Math.max(1, ...shown.map((s) => s.works))
  const x = (id: string): number => LEFT + columns.indexOf(id) * STEP + STEP / 2
  const parts: string[] = []
  for (const id of columns)
    parts.push(
      `<text transform="translate(${x(id) + 4} ${top - 12}) rotate(-52)" font-size="12" fill="${ink.ink}"><title>${escaped(nameOf(id))}</title>${escaped(shortened(nameOf(id)))}</text>`,
    )
  shown.forEach((set, n) => {
    const y = top + n * ROW + ROW / 2
    if (n)
      parts.push(`<path d="M${LEFT} ${y - ROW / 2}H${width - LEFT}" stroke="${ink.hair}" stroke-width=".6"/>`)
    for (const id of columns)
      if (!set.sources.includes(id)) parts.push(`<circle cx="${x(id)}" cy="${y}" r="2" fill="${ink.hair}"/>`)
    const own = set.sources.map(x)
    if (own.length > 1)
      parts.push(`<path d="M${own[0]} ${y}H${own[own.length - 1]}" stroke="${ink.ink}" stroke-width="1.4"/>`)
    for (const at of own) parts.push(`<circle cx="${at}" cy="${y}" r="5" fill="${ink.ink}"/>`)
    const length = Math.max(1.5, (set.works / longest) * BAR)
    parts.push(
      `<rect x="${barAt}" y="${y - 6}" width="${length.toFixed(1)}" height="12" fill="${set.sources.length === 1 ? ink.quiet : ink.ink}"/>`,
      `<text x="${(barAt + length + 7).toFixed(1)}" y="${y + 4}" font-size="12" fill="${ink.ink}">${thousands(set.works)}</text>`,
    )
  })
  if (left.length)
    parts.push(
      `<text x="${barAt}" y="${top + shown.length * ROW + 24}" font-size="12" fill="${ink.quiet}">and ${left.length} smaller sets with ${thousands(left.reduce((n, s) => n + s.works, 0))} works</text>`,
    )
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" width="${width}" height="${height}" font-family="${escaped(ink.font)}" role="img" aria-label="${thousands(works)} works by the sources that found them"><rect width="100%" height="100%" fill="${ink.ground}"/>${parts.join('')}</svg>`
}

/** The overlap as a table for people and programs: each source, then each set. */
export function overlapTable({ sources, sets }: Overlap, nameOf: (id: string) => string): string[][] {
  return [
    [
      'Source',
      'Works',
      'Found nowhere else',
      'Share found elsewhere too',
      'New when searched',
      'Known after it',
    ],
    ...sources.map((s) => [
      nameOf(s.id),
      String(s.works),
      String(s.alone),
      `${Math.round(s.shared * 100)} %`,
      String(s.added),
      String(s.known),
    ]),
    [],
    ['Found in', 'Works'],
    ...sets.map((s) => [s.sources.map(nameOf).join(' + '), String(s.works)]),
  ]
}
