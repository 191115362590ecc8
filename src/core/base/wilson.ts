/** A share with its 95 % interval (Wilson 1927, J. Am. Stat. Assoc. 22:209). */
export interface Share {
  value: number
  from: number
  to: number
}

/** The Wilson interval of `hits` of `of`; 1 from 0 to 1 where nothing was tried. */
export function wilson(hits: number, of: number): Share {
  if (!of) return { value: 1, from: 0, to: 1 }
  const z = 1.959963984540054
  const p = hits / of
  const centre = (p + (z * z) / (2 * of)) / (1 + (z * z) / of)
  const half = (z / (1 + (z * z) / of)) * Math.sqrt((p * (1 - p)) / of + (z * z) / (4 * of * of))
  return { value: p, from: Math.max(0, centre - half), to: Math.min(1, centre + half) }
}
