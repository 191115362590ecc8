import { canonicalJson, digestWords, fail, ok, problem, type Result } from '../../base'
import type { Figures } from '../../figures'
import { text } from '../document'
import type { Block, DocumentTree } from '../documents/tree'
import { dateWords } from '../words'

/** Raised when the section is drafted or its appendices are made otherwise: words are compared under one version only. */
export const GENERATOR = 1

/** A section as it was frozen: nothing that happens later changes a word or number of it. */
export interface FrozenDocument {
  form: 1
  generator: number
  /** Text, tables and appendices, every fact written out. */
  tree: DocumentTree
  /** Each fact of the text as it read, by its reference. */
  facts: Record<string, string>
  /** Every number of the review as it stood. */
  figures: Figures
  /** The last entry before the one that froze it. */
  journal: { seq: number; digest: string }
}

/** A section frozen: the digest of the journal is printed at its end, also in words that can be read out. */
export function freezeText(
  tree: DocumentTree,
  facts: Readonly<Record<string, string>>,
  figures: Figures,
  journal: FrozenDocument['journal'],
  at: string,
): FrozenDocument {
  const note = (words: string): Block => ({ kind: 'paragraph', note: true, content: [text(words)] })
  return {
    form: 1,
    generator: GENERATOR,
    tree: {
      ...tree,
      blocks: [
        ...tree.blocks,
        { kind: 'heading', level: 1, content: [text('State of the record')] },
        note(`Frozen on ${dateWords(at)}, behind entry ${journal.seq} of the journal.`),
        note(`Digest of that entry: ${journal.digest}`),
        note(`The same to read out: ${digestWords(journal.digest)}`),
      ],
    },
    facts: { ...facts },
    figures,
    journal,
  }
}

/** The bytes under whose digest a frozen text lies beside the journal. */
export const frozenBytes = (frozen: FrozenDocument): Uint8Array =>
  new TextEncoder().encode(canonicalJson(JSON.parse(JSON.stringify(frozen))))

/** Reads a frozen text; one that is damaged or of a later form says so. */
export function readFrozen(bytes: Uint8Array): Result<FrozenDocument> {
  const no = (words: string): Result<never> => fail(problem('frozen-refused', 'error', words))
  let value: unknown
  try {
    value = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes))
  } catch {
    return no('This frozen text is damaged.')
  }
  const { form, tree, facts, journal } = (value ?? {}) as Partial<FrozenDocument>
  if (form !== 1) return no('This frozen text was written by a newer version.')
  if (!Array.isArray(tree?.blocks) || typeof facts !== 'object' || !journal)
    return no('This frozen text is damaged.')
  return ok(value as FrozenDocument)
}
