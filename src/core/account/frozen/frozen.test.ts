import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { canonicalJson, digestWords } from '../../base'
import { draftAccount } from '../draft'
import { sectionDocument } from '../appendices'
import { resolved } from '../documents/tree'
import { inlineWords, resolveFact, type FactContext } from '../facts'
import { OTHERS } from '../other-reviews.fixture'
import { fact, text, type Inline, type Paragraph } from '../document'
import { factsChanged, factsIn, freezeText, frozenBytes, readFrozen, sentenceChanges, withSentence } from '.'

const here = (): FactContext => OTHERS['no limits']!()
const words = (c: FactContext, p: readonly Paragraph[]): string =>
  p.map((x) => (x.content ?? []).map((n) => inlineWords(c, n)).join('')).join('\n')

describe('a frozen text', () => {
  const c = here()
  const tree = resolved(sectionDocument(c), (ref) => resolveFact(c, ref).text)
  const journal = { seq: 40, digest: 'ab12'.repeat(16) }
  const frozen = freezeText(tree, factsIn(c, draftAccount(c)), c.figures, journal, '2026-11-26T09:00:00Z')

  it('is the same when it is read again, with the digest of the entry before in it', () => {
    const read = readFrozen(frozenBytes(frozen))
    expect(read.ok && canonicalJson(read.value)).toBe(canonicalJson(JSON.parse(JSON.stringify(frozen))))
    const said = JSON.stringify(frozen.tree.blocks)
    expect(said).toContain(journal.digest)
    expect(said).toContain(`The same to read out: ${digestWords(journal.digest)}`)
  })

  it('holds no fact that could change', () => {
    expect(JSON.stringify(frozen.tree)).not.toContain('"fact"')
  })

  it('is refused in plain words where it is damaged or newer', () => {
    expect(readFrozen(new TextEncoder().encode('{'))).toMatchObject({ ok: false })
    const newer = new TextEncoder().encode(JSON.stringify({ ...frozen, form: 2 }))
    const read = readFrozen(newer)
    expect(!read.ok && read.problems[0]!.message).toContain('newer')
  })
})

describe('facts that changed since the section was read', () => {
  it('are told with what they were, what they are, and the deed behind it', () => {
    const c = here()
    const passages = draftAccount(c)
    const facts = factsIn(c, passages)
    const [ref] = Object.keys(facts).filter((r) => r.startsWith('source.name:'))
    const read = (seq: number): FactContext => ({
      ...c,
      review: {
        ...c.review,
        textRead: { at: '2026-05-05T09:00:00Z', facts: { ...facts, [ref!]: 'Old Name' }, seq },
      },
    })
    const [change, ...others] = factsChanged(read(0), passages)
    expect(others).toEqual([])
    expect(change).toMatchObject({ ref, from: 'Old Name', to: facts[ref!] })
    expect(change?.because?.words).toBeTruthy()
    expect(factsChanged(read(c.entries!.at(-1)!.seq), passages)[0]?.because).toBeUndefined()
    expect(factsChanged(c, passages)).toEqual([])
  })
})

const sentence = fc
  .constantFrom('Noise was loud.', 'We asked. ', 'Rooms differ!', 'Who reads?')
  .map((s) => s.trim())
const inline: fc.Arbitrary<Inline[]> = fc
  .tuple(sentence, fc.boolean())
  .map(([s, bound]) => (bound ? [text('It says '), fact('question'), text(' '), text(s)] : [text(s)]))
const paragraphs = fc.array(
  fc.array(inline, { minLength: 1, maxLength: 4 }).map((list): Paragraph => ({
    type: 'paragraph',
    content: list.flatMap((x, n) => (n ? [text(' '), ...x] : x)),
  })),
  { minLength: 1, maxLength: 3 },
)

describe('a text beside its draft', () => {
  it('has every sentence of both, in their orders, whatever was changed', () => {
    const c = here()
    fc.assert(
      fc.property(paragraphs, paragraphs, (mine, drafted) => {
        const changes = sentenceChanges(c, mine, drafted)
        const of = (who: 'mine' | 'drafted'): string =>
          changes
            .filter((x) => x.is === 'same' || x.is === who)
            .map((x) => x.words)
            .join(' ')
        expect(of('mine')).toBe(words(c, mine).replaceAll('\n', ' '))
        expect(of('drafted')).toBe(words(c, drafted).replaceAll('\n', ' '))
        if (JSON.stringify(mine) === JSON.stringify(drafted))
          expect(changes.every((x) => x.is === 'same')).toBe(true)
      }),
    )
  })

  it('takes a drafted sentence in with its facts bound, and loses none of its own', () => {
    const c = here()
    fc.assert(
      fc.property(paragraphs, paragraphs, fc.nat(20), (mine, drafted, n) => {
        const changes = sentenceChanges(c, mine, drafted)
        const offered = changes.filter((x) => x.is === 'drafted')
        if (!offered.length) return
        const taken = offered[n % offered.length]!
        const after = withSentence(mine, changes, taken)
        const sentences = sentenceChanges(c, after, after).map((x) => x.words)
        const before = sentenceChanges(c, mine, mine).map((x) => x.words)
        expect([...sentences].sort()).toEqual([...before, taken.words].sort())
        const facts = (p: readonly Paragraph[]): number => JSON.stringify(p).split('"fact"').length
        expect(facts(after)).toBe(facts(mine) + facts([{ type: 'paragraph', content: taken.content }]) - 1)
      }),
    )
  })
})
