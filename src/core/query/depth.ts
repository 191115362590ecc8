import { problem, type Problem } from '../base'
import { DEEPEST } from './parse'
import { children, type Expr } from './tree'

/** How many levels a tree has, counted without recursion: what reads it must not run away either. */
export function depthOf(e: Expr): number {
  let level: Expr[] = [e]
  let depth = 0
  while (level.length) {
    depth++
    level = level.flatMap((part) => [...children(part)])
  }
  return depth
}

/** Says that a tree is deeper than plain notation can write; undefined where it is not. */
export const tooDeep = (e: Expr): Problem | undefined =>
  depthOf(e) > DEEPEST
    ? problem(
        'deep',
        'error',
        `Operators change so often here that more than ${DEEPEST} levels of brackets would be needed: split the query over lines.`,
      )
    : undefined
