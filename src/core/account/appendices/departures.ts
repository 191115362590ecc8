import { text } from '../document'
import { cell, type Block } from '../documents/tree'
import { departures, differenceWords, planDifferences } from '../protocol'
import { dateWords } from '../words'
import type { AppendixContext } from './context'

/** J: how the protocol was amended, and in what the review departed from it. */
export function departuresAppendix(c: AppendixContext): Block[] {
  const versions = c.review.protocol ?? []
  const found = departures(c)
  const amended = versions
    .slice(1)
    .flatMap((v, n) =>
      planDifferences(versions[n]!.plan, v.plan).map((d) => [
        cell(dateWords(v.at)),
        cell(differenceWords(d)),
        cell(v.why ?? ''),
      ]),
    )
  const head = ['When', 'What', 'Why']
  return [
    ...(amended.length
      ? [
          {
            kind: 'table',
            caption: [text('Amendments of the protocol')],
            head,
            rows: amended,
          } satisfies Block,
        ]
      : []),
    ...(found.length
      ? [
          {
            kind: 'table',
            caption: [text('Departures from the protocol')],
            head,
            rows: found.map((d) => [
              cell(d.at ? dateWords(d.at) : ''),
              cell(
                `${differenceWords(d)}${d.amended ? ` (the protocol was amended for it on ${dateWords(d.amended)})` : ''}`,
              ),
              cell(d.reason || 'no reason given'),
            ]),
          } satisfies Block,
        ]
      : []),
  ]
}
