import { thousands } from '../base'
import type { Figures } from '../figures'
import type { Stage } from './facts'

export interface CourseFigure {
  stage: Stage
  name: string
  value: number
  /** The figure with what it counts: "64 terms". */
  words: string
}

const counted = (n: number, one: string, many = `${one}s`): string =>
  `${thousands(n)} ${n === 1 ? one : many}`

/**
 * What flows through each stage: concepts, terms, hits of the last lines (where one has changed since, its figure says
 * so), works, works that passed titles and abstracts, facts in the account.
 */
export function courseFigures({ concepts, terms, hits: bySource, works, broad }: Figures): CourseFigure[] {
  const all = Object.values(bySource)
  const hits = all.reduce((n, s) => n + s.hits, 0)
  const passed = broad.in
  return [
    { stage: 'question', name: 'Question', value: concepts, words: counted(concepts, 'concept') },
    { stage: 'terms', name: 'Terms', value: terms, words: counted(terms, 'term') },
    {
      stage: 'searches',
      name: 'Searches',
      value: hits,
      words: all.some((s) => s.stale) ? 'run again' : counted(hits, 'hit'),
    },
    { stage: 'records', name: 'Records', value: works, words: counted(works, 'work') },
    { stage: 'selection', name: 'Selection', value: passed, words: `${thousands(passed)} in` },
    { stage: 'methods', name: 'Methods', value: passed, words: '' },
  ]
}
