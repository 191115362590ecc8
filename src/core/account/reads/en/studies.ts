import { numberIn } from './number'

export function studies(sentence: string): { studies: number } | undefined {
  const m = /^(?:Those that remain|Between them, those that remain) report ([\d,]+) stud(?:y|ies)\.$/.exec(
    sentence,
  )
  const n = numberIn(m?.[1])
  return n === undefined ? undefined : { studies: n }
}
