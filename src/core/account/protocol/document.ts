import { canonicalJson, digestOf, digestWords, pluralInWords } from '../../base'
import { limitWords } from '../../query'
import type { FrozenPlan, ProtocolVersion, Review } from '../../review'
import { text } from '../document'
import { cell, type Block, type DocumentTree } from '../documents/tree'
import { askedWords, dateWords } from '../words'
import { planDifferences, type Difference } from './differences'

/** Identifies a frozen plan: the SHA-256 of its canonical JSON. */
export const planDigest = (plan: FrozenPlan): string =>
  digestOf(new TextEncoder().encode(canonicalJson(plan)))

const heading = (words: string): Block => ({ kind: 'heading', level: 1, content: cell(words) })
const list = (items: readonly string[], ordered = false): Block[] =>
  items.length ? [{ kind: 'list', ordered, items: items.map(cell) }] : []
const because = (reason: string): string => (reason.trim() ? `: ${reason.trim()}` : '')

/** What changed, in one line. */
export const differenceWords = ({ about: matter, from, to }: Difference): string => {
  const about = matter[0]!.toUpperCase() + matter.slice(1)
  return from === undefined
    ? `${about} added: ${to}`
    : to === undefined
      ? `${about} dropped: ${from}`
      : `${about} changed from ${marked(from)} to ${marked(to)}`
}
/** A whole sentence stands in quotation marks, so that it ends where it ends. */
const marked = (words: string): string => (/[.?!]$/.test(words) ? `“${words}”` : words)

/** The protocol as a document of its own, as it stands in force, with its amendments. */
export function protocolDocument({
  title,
  registration,
  protocol = [],
}: Pick<Review, 'title' | 'registration' | 'protocol'>): DocumentTree | undefined {
  const first = protocol[0]
  const last = protocol.at(-1)
  if (!first || !last) return undefined
  const { plan } = last
  const digest = planDigest(plan)
  const frozen = `Frozen on ${dateWords(first.at)}${first === last ? '' : `, amended last on ${dateWords(last.at)}`}.`
  const registered = registration
    ? ` Registered with ${registration.place}${registration.number ? ` under ${registration.number}` : ''}${registration.on ? ` on ${dateWords(registration.on)}` : ''}.`
    : ''
  const asked = (pass: 'broad' | 'close'): Block[] => {
    const own = plan.criteria.filter((c) => c.pass === pass && c.text.trim())
    return own.length
      ? [
          {
            kind: 'paragraph',
            content: cell(pass === 'broad' ? 'Of title and abstract:' : 'Of the full text:'),
          },
          ...list(own.map(askedWords), true),
        ]
      : []
  }
  const section = (words: string, blocks: Block[]): Block[] =>
    blocks.length ? [heading(words), ...blocks] : []
  return {
    title: `Protocol: ${title || 'Search and selection'}`,
    blocks: [
      { kind: 'paragraph', content: cell(`${frozen}${registered}`) },
      { kind: 'paragraph', note: true, content: cell(`Digest of this plan: ${digest}`) },
      { kind: 'paragraph', note: true, content: cell(`The same to read out: ${digestWords(digest)}`) },
      ...section(
        'Question',
        plan.question.trim() ? [{ kind: 'paragraph', content: cell(plan.question) }] : [],
      ),
      ...section(
        'Concepts',
        list(plan.concepts.map((c) => `${c.name}${c.essential ? '' : ' (not required)'}`)),
      ),
      ...section('Sources', list(plan.sources.map((s) => `${s.name} (${s.kind})${because(s.why)}`))),
      ...section('Limits', list(plan.limits.map((l) => `${limitWords(l.limit)}${because(l.reason)}`))),
      ...section('Questions asked of each work', [...asked('broad'), ...asked('close')]),
      ...section(
        'Known items that a good search has to find',
        list(plan.knownItems.map((k) => [k.title, k.doi].filter(Boolean).join(', '))),
      ),
      heading('Readers'),
      {
        kind: 'paragraph',
        content: cell(`Each work is to be read by ${pluralInWords(plan.readers, 'person', 'people')}.`),
      },
      ...amendments(protocol),
    ],
  }
}

function amendments(protocol: readonly ProtocolVersion[]): Block[] {
  const later = protocol.slice(1)
  if (!later.length) return []
  return [
    heading('Amendments'),
    ...later.flatMap((v, n): Block[] => [
      { kind: 'paragraph', content: [text(`${dateWords(v.at)}${because(v.why ?? '')}`)] },
      ...list(planDifferences(protocol[n]!.plan, v.plan).map(differenceWords)),
    ]),
  ]
}
