import { latexText } from './latex-text'

/** What a drawing of ours is made of; of anything else nothing is drawn. */
const PARTS = /<(rect|path|text)\b([^>]*?)(?:\/>|>([^<]*)<\/text>)/g
const KNOWN = /^(?:<svg\b[^>]*>|<\/svg>|<(?:rect|path)\b[^>]*\/>|<text\b[^>]*>[^<]*<\/text>|\s)*$/

const attribute = (of: string, name: string): string | undefined =>
  new RegExp(`(?:^|\\s)${name}="([^"]*)"`).exec(of)?.[1]
const plain = (xml: string): string =>
  xml
    .replace(/&lt;/g, '<')
    .replace(/&gt;/g, '>')
    .replace(/&quot;/g, '"')
    .replace(/&#39;|&apos;/g, '’')
    .replace(/&amp;/g, '&')

/** "M266 60H300" as places; only straight lines are drawn. */
function line(d: string): string | undefined {
  const places: [number, number][] = []
  for (const [, what, numbers = ''] of d.matchAll(/([A-Za-z])([^A-Za-z]*)/g)) {
    const [a, b] = numbers
      .trim()
      .split(/[\s,]+/)
      .map(Number) as [number, number]
    const [x, y] = places.at(-1) ?? [0, 0]
    if (what === 'M' || what === 'L') places.push([a, b])
    else if (what === 'H') places.push([a, y])
    else if (what === 'V') places.push([x, a])
    else return undefined
  }
  return places.map(([x, y]) => `(${x},${y})`).join(' -- ')
}

const colours = (all: readonly string[]): string =>
  [...new Set(all)].map((c) => `\\definecolor{c${c}}{HTML}{${c.toUpperCase()}}`).join('\n')
const colour = (value: string | undefined): string | undefined => /^#([0-9a-f]{6})$/i.exec(value ?? '')?.[1]

export interface Drawn {
  tikz: string
  width: number
  height: number
  /** Of its smallest text, in its own unit. */
  smallest: number
}

/**
 * A drawing of boxes, lines and words as commands of TikZ, one unit a point, so that it is drawn by TeX itself. Undefined
 * where it holds anything else: then its words stand for it.
 */
export function drawnInTex(svg: string): Drawn | undefined {
  const box = /viewBox="0 0 ([\d.]+) ([\d.]+)"/.exec(svg)
  if (!box || !KNOWN.test(svg)) return undefined
  const used: string[] = []
  const parts: string[] = []
  const sizes: number[] = []
  for (const [, kind, of = '', words = ''] of svg.matchAll(PARTS)) {
    const at = (name: string): number => Number(attribute(of, name))
    const fill = colour(attribute(of, 'fill'))
    const stroke = colour(attribute(of, 'stroke'))
    used.push(...[fill, stroke].flatMap((c) => c ?? []))
    if (kind === 'rect' && attribute(of, 'width') !== '100%') {
      const options = [stroke ? `draw=c${stroke}` : '', fill ? `fill=c${fill}` : ''].filter(Boolean)
      parts.push(
        `\\path[${options.join(',')}] (${at('x')},${at('y')}) rectangle (${at('x') + at('width')},${at('y') + at('height')});`,
      )
    } else if (kind === 'path') {
      const along = line(attribute(of, 'd') ?? '')
      if (along === undefined) return undefined
      parts.push(`\\draw[c${stroke ?? '000000'}] ${along};`)
      if (!stroke) used.push('000000')
    } else if (kind === 'text') {
      const size = at('font-size')
      sizes.push(size)
      const bold = Number(attribute(of, 'font-weight') ?? 400) >= 600 ? '\\bfseries' : ''
      const anchor =
        attribute(of, 'text-anchor') === 'end'
          ? 'base east'
          : attribute(of, 'text-anchor') === 'middle'
            ? 'base'
            : 'base west'
      parts.push(
        `\\node[anchor=${anchor},inner sep=0,text=c${fill ?? '000000'},font=\\fontsize{${size}}{${size + 2}}\\selectfont\\sffamily${bold}] at (${at('x')},${at('y')}) {${latexText(plain(words))}};`,
      )
      if (!fill) used.push('000000')
    }
  }
  return {
    tikz: `${colours(used)}\n\\begin{tikzpicture}[x=1pt,y=-1pt]\n${parts.join('\n')}\n\\end{tikzpicture}`,
    width: Number(box[1]),
    height: Number(box[2]),
    smallest: Math.min(...sizes),
  }
}
