import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { canonicalJson } from '../core/base'
import { fold, plainReview } from '../core/review'
import { journalOf } from '../core/review/journal.fixture'
import { at, firstOther, pathWords, reviewDiffers, whatDiffers } from './what-differs'

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text)

describe('what a file of a package says otherwise', () => {
  it('is found at its place, and nowhere where nothing differs', () => {
    const value = fc.jsonValue({ noUnicodeString: false, maxDepth: 3 })
    fc.assert(
      fc.property(value, value, (a, b) => {
        // JSON knows one zero.
        const [one, two] = [a, b].map((v) => JSON.parse(JSON.stringify(v)) as unknown)
        const found = firstOther(one, two)
        expect(found === undefined).toBe(canonicalJson(one) === canonicalJson(two))
        if (!found) return
        expect([at(one, found.path), at(two, found.path)]).toEqual([found.a, found.b])
        expect(found.a).not.toEqual(found.b)
      }),
    )
    expect(pathWords(['sources', 2, 'why'])).toBe('sources[2].why')
  })

  it('is told of a text with its line, from a little before what differs', () => {
    const text = (n: number): Uint8Array =>
      bytes(
        `# Search\n\nFive databases were searched by two people in spring and autumn, which found ${n} works.\n`,
      )
    expect(whatDiffers('data/account/section.md', text(488), text(487))).toBe(
      'data/account/section.md, line 3, says “…autumn, which found 488 works.”, and the review comes to “…autumn, which found 487 works.”.',
    )
    expect(whatDiffers('a.csv', bytes('x\ny\nz'), bytes('u\nv\nw'))).toBe(
      'a.csv, line 1, says “x”, and the review comes to “u”; 2 of the lines below it differ too.',
    )
    expect(whatDiffers('a.txt', bytes('x'), bytes('x\ny'))).toContain('line 2, says “”')
  })

  it('is told of other files by the byte, and of those that only one of them has', () => {
    expect(whatDiffers('figures/flow.png', bytes('abc'), bytes('abd'))).toContain('from byte 2 on')
    expect(whatDiffers('figures/flow.png', bytes('ab'), bytes('abd'))).toContain('from byte 2 on')
    expect(whatDiffers('a.md', undefined, bytes(''))).toContain('is not in the package')
    expect(whatDiffers('a.md', bytes(''), undefined)).toContain('does not pack to it')
  })

  it('is told of the review with the value, and the entry since which it is what it is', () => {
    const entries = journalOf([
      { kind: 'review.create', payload: { id: 'feedback', title: 'Feedback' } },
      { kind: 'question.set', payload: { text: 'Does feedback help?' } },
      { kind: 'review.rename', payload: { title: 'Feedback in class' } },
      { kind: 'question.set', payload: { text: 'When does feedback help?' } },
      { kind: 'review.rename', payload: { title: 'Feedback' } },
    ])
    const file = (n: number): Uint8Array =>
      bytes(canonicalJson(JSON.parse(JSON.stringify(plainReview(fold(entries.slice(0, n)).review)))))
    expect(reviewDiffers('review.json', file(3), file(5), entries, {})).toBe(
      'review.json: question is "Does feedback help?", and in the review "When does feedback help?" since entry 3.',
    )
    expect(reviewDiffers('review.json', file(4), file(5), entries, {})).toContain(
      'title is "Feedback in class", and in the review "Feedback" since entry 4.',
    )
    expect(reviewDiffers('review.json', bytes('no json'), file(5), entries, {})).toContain(
      'line 1, says “no json”',
    )
  })
})
