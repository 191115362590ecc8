import { foldLabel } from '@/core/base'
import { parse, walk } from '@/core/query'
import { singular, type Harvested } from '@/core/strategy'
import type { OpenStandin } from '@/standins'
import type { ConceptTerms } from './word-desk'

/**
 * The concept that something harvested is another word for: of a heading, the one with a planned heading above, below or beside it;
 * of anything, the one that has its head word, else another of its words. Undefined where two concepts have as much of a claim,
 * or none has: then somebody has to say which.
 */
export function conceptOf(
  { kind, text, sourceId }: Pick<Harvested, 'kind' | 'text' | 'sourceId'>,
  concepts: readonly ConceptTerms[],
  sources: readonly OpenStandin[],
): string | undefined {
  const source = sources.find((s) => s.info.id === sourceId)
  const near = kind === 'heading' && source ? byPlace(text, source, concepts) : undefined
  if (near) return near
  const words = foldLabel(text).split(' ').map(singular)
  // English puts the thing last: a listening test is a test, classroom noise is noise.
  const head = words.at(-1)!
  return (
    oneOf(concepts, (c) => c.words.some((w) => alike(singular(w), head))) ??
    oneOf(concepts, (c) => c.words.some((w) => words.some((own) => alike(singular(w), own))))
  )
}

const LEAST = 5
/** The same word, or one that begins as the other does: “acoustic” and “acoustics”, “reverberant” and “reverberat*”. */
const alike = (a: string, b: string): boolean =>
  a === b || (a.length >= LEAST && b.startsWith(a)) || (b.length >= LEAST && a.startsWith(b))

function oneOf(concepts: readonly ConceptTerms[], has: (c: ConceptTerms) => boolean): string | undefined {
  const [first, ...others] = concepts.filter(has)
  return others.length ? undefined : first?.id
}

/** The one concept with a planned heading of which this is a narrower, broader or related one, or which it has a parent with. */
function byPlace(
  label: string,
  { thesaurus, info }: OpenStandin,
  concepts: readonly ConceptTerms[],
): string | undefined {
  const heading = thesaurus?.byLabel(label)
  if (!thesaurus || !heading) return undefined
  const around = new Set([...heading.broader, ...heading.narrower, ...heading.related])
  const parents = new Set(heading.broader)
  const planned = (c: ConceptTerms) => {
    const tree = parse(c.text[info.id] ?? '').tree
    return tree
      ? [...walk(tree)].flatMap((e) => (e.kind === 'heading' ? (thesaurus.byLabel(e.label) ?? []) : []))
      : []
  }
  return (
    oneOf(concepts, (c) => planned(c).some((h) => around.has(h.id))) ??
    oneOf(concepts, (c) => planned(c).some((h) => h.broader.some((b) => parents.has(b))))
  )
}
