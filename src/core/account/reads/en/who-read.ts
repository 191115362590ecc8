import { numberIn } from './number'

/** Works of which a sentence says that so many people read each; `same`: the same ones all of them. */
export interface ReadByMany {
  /** Absent: all works that the sentence is about. */
  works?: number
  each: number
  same: boolean
  /** Among how many people the reading was shared. */
  among?: number
}

const N = '([A-Za-z]+|[\\d,]+)'
const PEOPLE = '(?:of us|readers?)'

/** Takes a sentence apart that says who read; `them` is what it calls the works of its pass. */
export function whoRead(sentence: string, them: 'titles' | 'texts'): ReadByMany[] | undefined {
  const titles = them === 'titles'
  const one = new RegExp(
    `^(?:${N} ${PEOPLE} read (?:all|each)|(?:All|Each)) ?${titles ? 'of them' : 'of these full texts'}(?: (?:were|was) read by ${N} ${PEOPLE})?\\.$`,
  ).exec(sentence)
  const shared = new RegExp(
    titles
      ? `^(?:The reading was shared among|Among) ${N} ${PEOPLE}(?: the reading was shared)?, and each work was read by ${N}\\.$`
      : `^(?:The full texts were shared among|Among) ${N} ${PEOPLE}(?: the full texts were shared)?, and each was read by ${N}\\.$`,
  ).exec(sentence)
  if (shared) {
    const [among, each] = [numberIn(shared[1]), numberIn(shared[2])]
    return among === undefined || each === undefined ? undefined : [{ each, among, same: false }]
  }
  const each = numberIn(one?.[1] ?? one?.[2])
  if (each !== undefined) return [{ each, same: true }]
  const groups = new RegExp(`^(?:Of|Among) ${titles ? 'these works' : 'the full texts'}, (.*)\\.$`).exec(
    sentence,
  )
  if (!groups || !/ read by /.test(groups[1]!)) return undefined
  const list = groups[1]!
    .replace(/, not always the same/g, ' (not always the same)')
    .replace(/, but ruled with others by what a filter found/g, '')
    .split(/, | and /)
  const found = list.map((part) => {
    const m = new RegExp(
      `^${N}(?: (?:was|were) read)? by ${N}(?: ${PEOPLE})?(?: each)?( \\(not always the same\\))?$`,
    ).exec(part)
    const [works, people] = [numberIn(m?.[1]), m?.[2] === 'nobody' ? 0 : numberIn(m?.[2])]
    return works === undefined || people === undefined
      ? undefined
      : { works, each: people, same: m?.[3] === undefined }
  })
  return found.every((f) => f !== undefined) ? found : undefined
}
