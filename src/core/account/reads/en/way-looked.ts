import { TIMES, timesIn, type Time } from './days'
import { numberIn } from './number'

/** What a sentence says of what was logged of another way. */
export interface Looked {
  /** Asked of people, looked through elsewhere, or neither is said. */
  how?: 'asked' | 'looked'
  times: Time[]
  /** Absent: nobody noted it. */
  count?: number
  /** Of so many of how many times it was not noted; absent: of none, or of all. */
  uncounted?: { of: number; times: number }
  taken?: number
  stopped?: string
  /** One stopped more than once, and where stands elsewhere. */
  stoppedOften: boolean
}

export function wayLooked(sentence: string): Looked | undefined {
  const end =
    '(?:, and (?:([\\d,]+) taken on|(nothing) was taken on))?' +
    '(?:; (\\w+|[\\d,]+) of (\\w+|[\\d,]+) times it was not noted how many)?' +
    '(?:; how many (works were named|records were looked through) was not noted)?' +
    '(?:; (where one stopped stands in Appendix B)|; one stopped at (.*))?\\.$'
  const m =
    new RegExp(`^(?:This|It) was done ${TIMES}()()${end}`).exec(sentence) ??
    new RegExp(`^There, ()([\\d,]+) records? were looked through ${TIMES}${end}`).exec(sentence) ??
    new RegExp(`^Looked through there were ()([\\d,]+) records? ${TIMES}${end}`).exec(sentence) ??
    new RegExp(`^(?:They were asked|Asked) ${TIMES}(?:, they| and) (named) ([\\d,]+) works?${end}`).exec(
      sentence,
    )
  if (!m) return undefined
  const when = [m[1], m[2], m[3]].find((p) => /^(?:on|between) /.test(p ?? ''))
  const times = timesIn(when ?? '')
  if (!times) return undefined
  const asked = m[2] === 'named'
  const unsaid = m[8]
  const count = numberIn([m[1], m[2], m[3]].find((p) => /^[\d,]+$/.test(p ?? '')))
  if ((count === undefined) === (unsaid === undefined)) return undefined
  const [of, all] = [numberIn(m[6]), numberIn(m[7])]
  return {
    how: asked || unsaid === 'works were named' ? 'asked' : 'looked',
    times,
    ...(count === undefined ? {} : { count }),
    ...(of === undefined || all === undefined ? {} : { uncounted: { of, times: all } }),
    ...(m[5] ? { taken: 0 } : m[4] ? { taken: numberIn(m[4]) ?? Number.NaN } : {}),
    ...(m[10] ? { stopped: m[10] } : {}),
    stoppedOften: m[9] !== undefined,
  }
}
