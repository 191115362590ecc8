import { flowParts, flowWords, includedWords, type FlowWords } from '../selection'
import { courseFigures } from './course'
import { resolveFact, type FactContext, type Stage } from './facts'
import type { NumberTold } from './numbers-told'

/** What each number of the course counts, and of what. */
const COURSE: Partial<Record<Stage, string>> = {
  question: 'the concepts of the plan',
  terms: 'the terms of the grid that are in use',
  searches: 'the hits of the lines that count, of all databases together',
  records: 'the works behind all records that are here, each counted once',
  selection: 'the works that passed titles and abstracts',
}

/**
 * The numbers that screens show beside the section: the course, every line of the sheets that was run as it stands, and the
 * boxes of the flow. `part` is where each is seen, and `sentence` what is read there.
 */
export const numbersShown = (context: FactContext): NumberTold[] => [
  ...inCourse(context),
  ...inSheets(context),
  ...inFlow(context),
]

const inCourse = ({ figures }: FactContext): NumberTold[] =>
  courseFigures(figures).flatMap(({ stage, name, words }) => {
    const from = COURSE[stage]
    return from && /\d/.test(words)
      ? [
          {
            ref: `course:${stage}`,
            text: words,
            from,
            stage,
            part: 'The course',
            sentence: `${name}: ${words}`,
          },
        ]
      : []
  })

const inSheets = (context: FactContext): NumberTold[] =>
  context.review.sources.flatMap(({ id, name }) =>
    (context.review.strategies[id] ?? []).flatMap((line, n): NumberTold[] => {
      const ref = `hits.line:${id}/${line.id}`
      const { text, from, stage, anchor, missing } = resolveFact(context, ref)
      if (missing) return []
      const asked = line.described ?? line.text
      return [
        {
          ...{ ref, text, from, stage, ...(anchor === undefined ? {} : { anchor }) },
          part: `Sheet of ${name}`,
          sentence: `Line ${n + 1}, ${asked}: ${text}`,
        },
      ]
    }),
  )

function inFlow({ review, figures: { flow } }: FactContext): NumberTold[] {
  if (!flow.rounds.length) return []
  const words: FlowWords = flowWords(review, (s) => s.name)
  const box = (ref: string, title: string, lines: readonly string[]): NumberTold[] =>
    lines.slice(0, 1).map((line) => ({
      ref: `flow:${ref}`,
      text: /^[\d,]+/.exec(line)?.[0] ?? line,
      from: `the box “${line.replace(/^[\d,]+ /, '')}” under ${title}: what the records are, and where the rulings put each work`,
      stage: 'selection',
      part: 'The flow',
      sentence: `${title.replace(/^./, (c) => c.toUpperCase())}: ${lines.join('; ')}`,
    }))
  return [
    ...flowParts(flow, words).flatMap(({ title, boxes }) => boxes.flatMap((b) => box(b.id, title, b.lines))),
    ...box('included', 'all columns', includedWords(flow)),
  ]
}
