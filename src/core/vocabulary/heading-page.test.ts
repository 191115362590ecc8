import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { listOfNoted, readHeadingPage, readTermList, Thesaurus } from '.'

const IN_WORDS = `
Classroom sound
Add to search   Explode
Scope note: Sound in rooms where classes are taught.
It may be wanted or not.
Broader terms
  School buildings (1,204)
Narrower terms
  • Classroom noise (312)
  • Reverberation in classrooms
Related terms: Speech perception; Hearing aids
Used for
Sound in classrooms | Schoolroom sound
`

describe('a page of a thesaurus, pasted', () => {
  it('is read by the names of its parts, with what stands behind them or below', () => {
    expect(readHeadingPage(IN_WORDS)).toEqual({
      label: 'Classroom sound',
      scopeNote: 'Sound in rooms where classes are taught. It may be wanted or not.',
      broader: ['School buildings'],
      narrower: ['Classroom noise', 'Reverberation in classrooms'],
      related: ['Speech perception', 'Hearing aids'],
      usedFor: ['Sound in classrooms', 'Schoolroom sound'],
      unread: ['Add to search Explode'],
    })
  })

  it('is read by the signs of a printed thesaurus, and where its name stands behind its own', () => {
    const { label, broader, narrower, usedFor } = readHeadingPage(
      'Descriptor: Noise\nUF Din\nBT Sound\nNT1 Traffic noise\nNT1 Background noise',
    )!
    expect([label, usedFor, broader, narrower]).toEqual([
      'Noise',
      ['Din'],
      ['Sound'],
      ['Traffic noise', 'Background noise'],
    ])
  })

  it('may be of a heading that is called like a part', () => {
    expect(readHeadingPage('Notes\nBroader terms: Writing')).toMatchObject({
      label: 'Notes',
      broader: ['Writing'],
    })
  })

  it('is none where no part is named, and loses no word of any text', () => {
    expect(readHeadingPage('Classroom sound\nfound in 300 records')).toBeUndefined()
    expect(readHeadingPage('')).toBeUndefined()
    const line = fc.constantFrom(
      'Broader terms',
      'NT',
      'Narrower: Hum; Buzz',
      'Hum',
      'SN a note',
      'RT Din',
      'Export',
    )
    fc.assert(
      fc.property(fc.array(line, { maxLength: 12 }), (lines) => {
        const page = readHeadingPage(lines.join('\n'))
        if (!page) return
        const kept = JSON.stringify(page)
        for (const word of ['Hum', 'Buzz', 'note', 'Din', 'Export'])
          if (lines.some((l) => l.includes(word))) expect(kept).toContain(word)
      }),
    )
  })

  it('joins others as a vocabulary, with what each says of the other', () => {
    const pages = [readHeadingPage(IN_WORDS)!, readHeadingPage('Classroom noise\nSN loud\nNT Chair noise')!]
    const read = readTermList(listOfNoted(pages), { id: 'n', title: 'Seen', version: '' })
    if (!read.ok) throw new Error('It is a list of terms.')
    const thesaurus = new Thesaurus(read.value)
    const sound = thesaurus.byLabel('classroom sound')!
    expect(thesaurus.withNarrower(sound).map((h) => h.label)).toEqual([
      'Classroom sound',
      'Classroom noise',
      'Reverberation in classrooms',
      'Chair noise',
    ])
    expect(thesaurus.byEntryTerm('Schoolroom sound')).toEqual([sound])
    expect(thesaurus.byLabel('Classroom noise')!.scopeNote).toBe('loud')
  })
})
