import { plural, thousands } from '../../base'
import type { Contact, Review, WebPage } from '../../review'
import { wayWords } from '../../selection'
import { cell, type Block, type Cell } from '../documents/tree'
import { text } from '../document'
import { otherWays } from '../ways-gone'
import { dateWords } from '../words'

const joined = (parts: readonly (string | undefined)[]): string =>
  parts.flatMap((p) => p?.trim() || []).join('; ')

const contactWords = ({ who, way, asked, answered, what }: Contact): string =>
  joined([
    who.trim() || 'somebody',
    way.trim() && `by ${way.trim()}`,
    asked && `asked on ${dateWords(asked)}`,
    answered ? `answered on ${dateWords(answered)}` : what.trim() ? undefined : 'no answer noted',
    what,
  ])

const pageWords = ({ title, address, searched, publisher, dated, evidence, purpose }: WebPage): string =>
  joined([
    title,
    address,
    searched.trim() && `searched for ${searched.trim()}`,
    publisher.trim() && `published by ${publisher.trim()}`,
    dated.trim() && `dated ${dated.trim()}`,
    evidence.trim() && `rests on ${evidence.trim()}`,
    purpose.trim() && `for ${purpose.trim()}`,
  ])

/** Each time at which a way that is no database was gone, as it was noted; none where none was. */
export function waysTable(review: Review): Block[] {
  const rows = otherWays(review).flatMap((id) => {
    const name = review.sources.find((s) => s.id === id)!.name
    const own = <T extends { sourceId: string }>(all: readonly T[] | undefined): T[] =>
      (all ?? []).filter((x) => x.sourceId === id)
    const steps = own(review.steps).map((s) => ({
      day: s.at.slice(0, 10),
      words: `of ${plural(s.of.length, 'work')}; ${thousands(s.named)} named; ${thousands(s.known)} known already`,
    }))
    const logged = own(review.ways).map((w) => ({ day: w.day, words: wayWords(w) }))
    const asked = own(review.contacts).flatMap((c) =>
      c.asked ? [{ day: c.asked, words: contactWords(c) }] : [],
    )
    const seen = own(review.pages).flatMap((p) => (p.seen ? [{ day: p.seen, words: pageWords(p) }] : []))
    return [...steps, ...logged, ...asked, ...seen]
      .sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0))
      .map(({ day, words }): Cell[] => [cell(name), cell(dateWords(day)), cell(words)])
  })
  return rows.length
    ? [
        {
          kind: 'table',
          caption: [text('Other ways, each time as it was noted')],
          head: ['Where', 'When', 'What was done, and what came of it'],
          rows,
          wide: true,
        },
      ]
    : []
}
