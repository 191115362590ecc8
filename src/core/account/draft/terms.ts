import { listed } from '../../base'
import { termsInUse } from '../../review'
import type { FactContext } from '../facts'
import { triedAndDropped } from '../standing'
import { concept, named, type Say } from './say'

/** The terms of the plan by concept, what a vocabulary has nothing for, and what was tried and dropped. */
export function terms({ review }: FactContext, say: Say): string[] {
  const used = termsInUse(review)
  if (!used.length) return []
  const sentences = [
    say(
      'We gathered search terms for the concepts, {terms.count} in all.',
      'Search terms were gathered for the concepts, {terms.count} in all.',
    ),
  ]
  for (const k of review.concepts) {
    const own = used.filter((t) => t.conceptId === k.id)
    const words = own.filter((t) => t.kind === 'text').length
    const headings = review.sources.flatMap((s) => {
      const count = own.filter((t) => t.sourceId === s.id && t.kind === 'heading').length
      return count
        ? [`the ${count === 1 ? 'heading' : 'headings'} {terms.headings:${k.id}/${s.id}} of ${named(s)}`]
        : []
    })
    const names = own.filter((t) => t.kind === 'named').length
    const said = [
      ...(words ? [`the ${words === 1 ? 'word' : 'words'} {terms.words:${k.id}}`] : []),
      ...headings,
      ...(names ? [`the ${names === 1 ? 'name' : 'names'} {terms.names:${k.id}}`] : []),
    ]
    if (said.length)
      sentences.push(
        say(
          `For ${concept(k.id)} we took ${listed(said)}.`,
          `For ${concept(k.id)}, ${listed(said)} ${said.length + words + names > 2 || headings.length > 1 ? 'were' : 'was'} taken.`,
        ),
      )
  }
  for (const gap of review.gaps) {
    const at = review.sources.find((s) => s.id === gap.sourceId)
    if (at) sentences.push(`The vocabulary of ${named(at)} has no heading for {gap.about:${gap.id}}.`)
  }
  const tried = triedAndDropped(review)
  if (tried.length) {
    const kept = tried.every((t) => t.reason?.trim()) ? '; the reasons are kept with the terms' : ''
    sentences.push(
      say(
        `We tried and dropped {terms.tried} more${kept}.`,
        `Another {terms.tried} ${tried.length === 1 ? 'was' : 'were'} tried and dropped${kept}.`,
      ),
    )
  }
  return [sentences.join(' ')]
}
