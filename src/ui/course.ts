/** A ribbon through points with a thickness at each: flat at the stages, flowing between them. */
export interface RibbonPoint {
  from: number
  to: number
  middle: number
  thickness: number
}

/** The outline of a ribbon as an SVG path. Empty for fewer than two points. */
export function ribbon(points: readonly RibbonPoint[]): string {
  if (points.length < 2) return ''
  const edge = (side: 1 | -1): [number, number][] =>
    points.flatMap((p): [number, number][] => [
      [p.from, p.middle + (side * p.thickness) / 2],
      [p.to, p.middle + (side * p.thickness) / 2],
    ])
  const flow = (list: [number, number][]): string =>
    list
      .slice(1)
      .map(([x, y], i) => {
        const [x0, y0] = list[i]!
        const half = (x0 + x) / 2
        return `C${half} ${y0} ${half} ${y} ${x} ${y}`
      })
      .join('')
  const top = edge(-1)
  const bottom = edge(1).reverse()
  return `M${top[0]!.join(' ')}${flow(top)}L${bottom[0]!.join(' ')}${flow(bottom)}Z`
}

/** Thickness by the logarithm of a count: nothing is a hair, ten thousand fill the band. */
export const thickness = (count: number, most: number): number =>
  Math.min(most, 1.2 + (Math.log10(1 + count) / 4) * (most - 1.2))
