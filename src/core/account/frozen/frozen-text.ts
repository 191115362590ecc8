import { z } from 'zod'
import { plainJson, digestWords, fail, ok, problem, type Result } from '../../base'
import { FIGURES_VERSION, type Figures } from '../../figures'
import { text } from '../document'
import { withoutComments, type Block, type DocumentTree } from '../documents/tree'
import { dateWords } from '../words'

/** Raised when the section is drafted or its appendices are made otherwise: words are compared under one version only. */
export const GENERATOR = 13

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
  /** The version of the figures that they were counted by; absent: 1. */
  figuresVersion?: number
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
        // What writers say to each other is none of what is handed in.
        ...withoutComments(tree).blocks,
        { kind: 'heading', level: 1, content: [text('State of the record')] },
        note(`Frozen on ${dateWords(at)}, behind entry ${journal.seq} of the journal.`),
        note(`Digest of that entry: ${journal.digest}`),
        note(`The same to read out: ${digestWords(journal.digest)}`),
      ],
    },
    facts: { ...facts },
    figures,
    figuresVersion: FIGURES_VERSION,
    journal,
  }
}

/** The bytes under whose digest a frozen text lies beside the journal. */
export const frozenBytes = (frozen: FrozenDocument): Uint8Array => new TextEncoder().encode(plainJson(frozen))

const Cell = z.array(
  z.union([
    z.object({
      type: z.literal('text'),
      text: z.string(),
      marks: z.array(z.object({ type: z.enum(['italic', 'bold']) })).optional(),
    }),
    z.object({ type: z.literal('footnote'), attrs: z.object({ words: z.string() }) }),
    z.object({ type: z.literal('fact'), attrs: z.object({ ref: z.string() }) }),
  ]),
)
const BlockShape = z.discriminatedUnion('kind', [
  z.looseObject({ kind: z.literal('heading'), level: z.int().min(1).max(3), content: Cell }),
  z.looseObject({ kind: z.literal('paragraph'), content: Cell }),
  z.looseObject({ kind: z.literal('list'), ordered: z.boolean(), items: z.array(Cell) }),
  z.looseObject({ kind: z.literal('quote'), content: z.array(Cell) }),
  z.looseObject({
    kind: z.literal('table'),
    caption: Cell,
    head: z.array(z.string()),
    rows: z.array(z.array(Cell)),
    notes: z.array(Cell).optional(),
    mono: z.array(z.int()).optional(),
  }),
  z.looseObject({ kind: z.literal('figure'), caption: Cell, svg: z.string(), alt: z.string() }),
])
/** It comes with packages of other people: what is shown of it has to be what can be shown. */
const Shape = z.looseObject({
  form: z.literal(1),
  generator: z.int(),
  tree: z.object({ title: z.string(), blocks: z.array(BlockShape) }),
  facts: z.record(z.string(), z.string()),
  figures: z.looseObject({}),
  figuresVersion: z.int().min(1).optional(),
  journal: z.object({ seq: z.int().min(0), digest: z.string().regex(/^[0-9a-f]{64}$/) }),
})

/** Reads a frozen text; one that is damaged or of a later form says so. */
export function readFrozen(bytes: Uint8Array): Result<FrozenDocument> {
  const no = (words: string): Result<never> => fail(problem('frozen-refused', 'error', words))
  let value: unknown
  try {
    value = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes))
  } catch {
    return no('This frozen text is damaged.')
  }
  const { form } = (value ?? {}) as { form?: unknown }
  if (typeof form === 'number' && form > 1) return no('This frozen text was written by a newer version.')
  return Shape.safeParse(value).success ? ok(value as FrozenDocument) : no('This frozen text is damaged.')
}
