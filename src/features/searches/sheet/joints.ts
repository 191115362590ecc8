import { parse, referredLines } from '@/core/query'

export interface Joint {
  from: number
  to: number
  /** How far left the joint runs: 0 is next to the numbers. */
  lane: number
}

/**
 * Which lines feed which, for drawing in the margin: each joint gets the innermost lane in which it crosses no other
 * line's joints. Joints into the same line share a lane.
 */
export function jointsOf(texts: readonly string[]): Joint[] {
  const groups: { to: number; from: number[] }[] = []
  texts.forEach((text, i) => {
    const { tree } = parse(text)
    const from = tree ? referredLines(tree).filter((n) => n >= 1 && n <= i) : []
    if (from.length) groups.push({ to: i + 1, from })
  })
  const lanes: { low: number; high: number }[][] = []
  return groups.flatMap(({ to, from }) => {
    const low = Math.min(...from)
    let lane = lanes.findIndex((taken) => taken.every((t) => t.high <= low || t.low >= to))
    if (lane < 0) lane = lanes.push([]) - 1
    lanes[lane]!.push({ low, high: to })
    return from.map((f) => ({ from: f, to, lane }))
  })
}
