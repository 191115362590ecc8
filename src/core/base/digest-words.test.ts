import { describe, expect, it } from 'vitest'
import { digestWords } from '.'

describe('a digest in words', () => {
  it('is spelled as the proposal spells 127.0.0.1 and 255.255.255.255 (examples of the proposal, from memory)', () => {
    expect(
      digestWords(`7f000001ffffffff${'0'.repeat(48)}`)
        .split(' ')
        .slice(0, 4),
    ).toEqual(['lusab', 'babad', 'zuzuz', 'zuzuz'])
  })

  it('is eight words, another wherever one of the first 32 digits is another', () => {
    const digest = '0123456789abcdef'.repeat(4)
    expect(digestWords(digest).split(' ')).toHaveLength(8)
    for (let i = 0; i < 32; i++)
      expect(
        digestWords(`${digest.slice(0, i)}${digest[i] === '0' ? '1' : '0'}${digest.slice(i + 1)}`),
      ).not.toBe(digestWords(digest))
  })
})
