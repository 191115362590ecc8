import { describe, expect, it } from 'vitest'
import { DARK, LIGHT, type Palette } from './palette'

type Triple = readonly [number, number, number]
const LETTERS = ['A', 'B', 'C', 'D', 'E', 'F', 'G', 'H'] as const

// Outside check: simulation of colour vision deficiency at full severity after Machado, Oliveira and Fernandes, IEEE
// Transactions on Visualization and Computer Graphics 15 (2009) 1291–1298; the matrices are quoted from memory. They are
// applied to linear sRGB. Differences are those of CIE 1976 L*a*b* under D65; contrast is that of WCAG 2.
const SIGHT: Readonly<Record<string, readonly [Triple, Triple, Triple]>> = {
  'usual sight': [
    [1, 0, 0],
    [0, 1, 0],
    [0, 0, 1],
  ],
  'sight without red': [
    [0.152286, 1.052583, -0.204868],
    [0.114503, 0.786281, 0.099216],
    [-0.003882, -0.048116, 1.051998],
  ],
  'sight without green': [
    [0.367322, 0.860646, -0.227968],
    [0.280085, 0.672501, 0.047413],
    [-0.01182, 0.04294, 0.968881],
  ],
  'sight without blue': [
    [1.255528, -0.076749, -0.178779],
    [-0.078411, 0.930809, 0.147602],
    [0.004733, 0.691367, 0.3039],
  ],
}

const linear = (hex: string): Triple => {
  const [r, g, b] = [1, 3, 5].map((i) => {
    const c = parseInt(hex.slice(i, i + 2), 16) / 255
    return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4
  })
  return [r!, g!, b!]
}
const seen = ([r, g, b]: Triple, by: readonly [Triple, Triple, Triple]): Triple => {
  const [x, y, z] = by.map(([a, b2, c]) => Math.min(1, Math.max(0, a * r + b2 * g + c * b)))
  return [x!, y!, z!]
}
function lab([r, g, b]: Triple): Triple {
  const f = (t: number): number => (t > 216 / 24389 ? Math.cbrt(t) : ((24389 / 27) * t + 16) / 116)
  const x = f((0.4124564 * r + 0.3575761 * g + 0.1804375 * b) / 0.95047)
  const y = f(0.2126729 * r + 0.7151522 * g + 0.072175 * b)
  const z = f((0.0193339 * r + 0.119192 * g + 0.9503041 * b) / 1.08883)
  return [116 * y - 16, 500 * (x - y), 200 * (y - z)]
}
const apart = (a: Triple, b: Triple): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2])
const contrast = (a: string, b: string): number => {
  const [light, dark] = [a, b]
    .map(linear)
    .map(([r, g, b2]) => 0.2126 * r + 0.7152 * g + 0.0722 * b2)
    .sort((x, y) => y - x)
  return (light! + 0.05) / (dark! + 0.05)
}

describe.each<[string, Palette]>([
  ['light', LIGHT],
  ['dark', DARK],
])('the colours of concepts, %s', (_, palette) => {
  it.each(Object.entries(SIGHT))('are ten steps apart and more for %s', (_name, by) => {
    const near = LETTERS.flatMap((a, i) =>
      LETTERS.slice(i + 1).flatMap((b) => {
        const d = apart(lab(seen(linear(palette[a]), by)), lab(seen(linear(palette[b]), by)))
        return d < 10 ? [`${a} and ${b}: ${d.toFixed(1)}`] : []
      }),
    )
    expect(near).toEqual([])
  })

  it('can be read as text on the page and on their own ground', () => {
    for (const letter of LETTERS) {
      expect(contrast(palette[letter], palette.paper), letter).toBeGreaterThanOrEqual(4.5)
      expect(contrast(palette[letter], palette[`${letter}bg`]), letter).toBeGreaterThanOrEqual(4.5)
    }
  })
})

it('knows two greys to be apart by their lightness alone', () => {
  expect(apart(lab(linear('#777777')), lab(linear('#777777')))).toBe(0)
  expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 5)
})
