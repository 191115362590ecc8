import type { Rec } from '../record'
import { blockKeys } from './blocks'
import { judge as judgeFirst, plainlyDifferent as plainlyFirst, type Judgement } from './judge'
import { printOf, type Print } from './print'
import { judgeSecond, plainlyDifferent as plainlySecond } from './second'

/** The rules by which records are told apart, under their version: a change of what they come to is another version. */
export interface Rules {
  version: number
  print: (record: Rec) => Print
  plainlyDifferent: (a: Print, b: Print) => boolean
  judge: (a: Print, b: Print) => Judgement
  keys: (print: Print) => string[]
  /**
   * What records of one series have in common that comes again with another year: pairs of them are one question, not one
   * for each two years. Undefined where these rules know no series, or a record can be of none.
   */
  series?: (print: Print) => string | undefined
}

const ALL: readonly Rules[] = [
  {
    version: 1,
    print: (r) => printOf(r, 1),
    plainlyDifferent: plainlyFirst,
    judge: judgeFirst,
    keys: blockKeys,
  },
  {
    version: 2,
    print: (r) => printOf(r, 2),
    plainlyDifferent: plainlySecond,
    judge: judgeSecond,
    keys: blockKeys,
    series: (p) =>
      p.year === undefined || !p.title.length ? undefined : `${p.titleText}|${p.families[0] ?? ''}`,
  },
]

/** The version that new partitions are made by. */
export const RULES_VERSION = 2
/** The rules of a version; undefined where this program does not know them. */
export const rulesOf = (version: number): Rules | undefined => ALL.find((r) => r.version === version)
export const RULES = rulesOf(RULES_VERSION)!

/** What two records are to each other by the rules of now. */
export const judgeRecords = (a: Rec, b: Rec, rules = RULES): Judgement =>
  rules.judge(rules.print(a), rules.print(b))
