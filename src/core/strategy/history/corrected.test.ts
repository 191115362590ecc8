import { describe, expect, it } from 'vitest'
import { correctedAnew, recogniseHistory } from '.'

describe('corrections of a history', () => {
  const rows = (text: string) => recogniseHistory(text).rows
  const PASTE = '1\tnoise\t10\n2\treading\t20\n3\t#1 AND #2\t5'

  it('outlive a change of the paste, each with its own search', () => {
    const [first, second, third] = rows(PASTE)
    const before = [
      { given: first!, now: { ...first!, text: 'noises' } },
      { given: second!, now: undefined },
      { given: third!, now: third },
    ]
    const after = correctedAnew(before, rows(`Search history\n${PASTE}\n4\trooms\t7`))
    expect(after.map((r) => r.now?.text)).toEqual(['noises', undefined, '#1 AND #2', 'rooms'])
    expect(after[0]!.now!.lines).toEqual([2])
  })

  it('go with a search that is no longer the same', () => {
    const [first] = rows(PASTE)
    const before = [{ given: first!, now: { ...first!, text: 'noises' } }]
    expect(correctedAnew(before, rows('1\tnoise\t11'))[0]!.now!.text).toBe('noise')
    expect(correctedAnew(before, [])).toEqual([])
    expect(correctedAnew([], rows(PASTE)).map((r) => r.now)).toEqual(rows(PASTE))
  })

  it('are kept in turn where two searches are the same', () => {
    const twice = rows('1\tnoise\t10\n1\tnoise\t10')
    const before = twice.map((given, i) => ({ given, now: { ...given, hits: i } }))
    expect(correctedAnew(before, twice).map((r) => r.now?.hits)).toEqual([0, 1])
  })
})
