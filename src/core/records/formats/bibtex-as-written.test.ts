import { describe, expect, it } from 'vitest'
import { PARENT } from './bibtex-parents'
import { fromCsl, toCsl } from './csl'
import { readAll } from './format'
import { writeRis } from './ris-write'
import type { Rec } from '../record'

const read = (text: string) => readAll(text, { format: 'bibtex' })
const records = (text: string): Rec[] => read(text).items.flatMap((i) => i.record ?? [])
const problems = (text: string): string[] => read(text).items.flatMap((i) => i.problems.map((p) => p.message))

describe('BibTeX as people write it', () => {
  it('may have the bracket of an entry on the next line, and a line of a text may begin with a sign', () => {
    const text =
      '@incollection\n(\n one,\n title = {Rooms}\n)\n@book\n\n{two, title = {Halls}}\n@article{three, title={Doors}, abstract={It is\n@home\nwith us.}}'
    expect(records(text).map((r) => [r.id, r.title, r.type])).toEqual([
      ['one', 'Rooms', 'chapter'],
      ['two', 'Halls', 'book'],
      ['three', 'Doors', 'journal article'],
    ])
    expect(records(text)[2]!.abstract).toBe('It is @home with us.')
  })

  it('puts together strings from other strings', () => {
    const text =
      '@string{j = "Journal"}\n@string{jr = j # " of " # {Rooms}}\n@article{a, title={X}, journal = jr # { B}}'
    expect(records(text)[0]!.journal).toBe('Journal of Rooms B')
  })

  it('takes from a parent what an entry has not, wherever it stands, and keeps the order of entries', () => {
    const text = `@inproceedings{a, author={Lund, E.}, title={Part}, pages={1--5}, ${PARENT}={p}}
@article{b, title={Between}, journal={J}}
@proceedings{p, title={Meeting on rooms}, year=2019, publisher={Harbour Press}, editor={Quill, A.}, doi={10.5555/p}}
@inbook{c, title={Late}, xdata={x}, ${PARENT}={P}}
@xdata{x, location={Northwick}}
@set{s, entryset={a,b}}`
    const found = records(text)
    expect(found.map((r) => r.id)).toEqual(['a', 'b', 'p', 'c'])
    expect(found[0]).toMatchObject({
      journal: 'Meeting on rooms',
      year: 2019,
      publisher: 'Harbour Press',
      editors: ['Quill, A.'],
      pages: '1–5',
    })
    expect(found[0]!.doi).toBeUndefined()
    expect(found[3]).toMatchObject({ journal: 'Meeting on rooms', publisherPlace: 'Northwick' })
    expect(read(text).strays.map((p) => p.message)).toEqual([
      'Line 6: “s” groups other entries and is no work of its own.',
    ])
    expect(
      records(`@inbook{a, title={A}, ${PARENT}={a}}\n@inbook{b, title={B}, ${PARENT}={gone}}`).map(
        (r) => r.id,
      ),
    ).toEqual(['a', 'b'])
  })

  it('leaves no command in a text: styles are tags, names of programs words, unknown ones are told', () => {
    const text = String.raw`@article{a, title = {{\em Sound} in {\bf Rooms}: \TeX{} and \LaTeX\ at $\alpha_{2}$ {\tt x}},
 journal = {\booktitle{Computer} Rooms}, note={\emdash{}see \url{https://example.org/~me/x_y}, \cite{Lund}}}`
    const [r] = records(text)
    expect(r!.title).toBe('<i>Sound</i> in <b>Rooms</b>: TeX and LaTeX at α<sub>2</sub> x')
    expect(r!.journal).toBe('Computer Rooms')
    expect(r!.notes).toEqual(['—see https://example.org/~me/x_y, Lund'])
    expect(problems(text)).toEqual([
      String.raw`Line 1: \booktitle, \cite: not known here; of what stands behind it the words were kept.`,
    ])
  })

  it('words the keys that biblatex has for kinds', () => {
    expect(records('@thesis{a, title={X}, type={mathesis}, school={Northwick}}')[0]!.genre).toBe(
      'Master’s thesis',
    )
    expect(records('@phdthesis{a, title={X}, school={Northwick}}')[0]).toMatchObject({
      type: 'thesis',
      genre: 'PhD thesis',
    })
    expect(records('@report{a, title={X}, type={resreport}, number={RC-7}}')[0]!.genre).toBe(
      'Research report',
    )
    expect(records('@mvbook{a, title={X}}\n@periodical{b, title={Y}}').map((r) => r.type)).toEqual([
      'book',
      undefined,
    ])
  })

  it('has bodies without braces, and pages in several parts, which RIS keeps', () => {
    const [r] = records(
      '@article{a, title={X}, author={Institute for Rooms and Lund, Eva}, pages={1--5, 9--12}}',
    )
    expect(r!.authors).toEqual(['Institute for Rooms', 'Lund, Eva'])
    expect(r!.pages).toBe('1–5, 9–12')
    expect(readAll(writeRis([r!]), { format: 'ris' }).items[0]!.record!.pages).toBe('1–5, 9–12')
  })

  it('has people in fields of its own, which stand as text beside what CSL has names for', () => {
    const item = toCsl(records('@book{a, title={X}, illustrator={Eva Lund}}')[0]!)
    expect(item.illustrator).toBeUndefined()
    expect(fromCsl(item, 1).extra.illustrator).toEqual(['Eva Lund'])
  })

  it('with strings that double is told, and the others are read', () => {
    const doubling = Array.from({ length: 60 }, (_, n) => `@string{s${n + 1} = s${n} # s${n}}`).join('\n')
    const text = `@string{s0 = "${'noise '.repeat(10)}"}\n${doubling}\n@article{a, title = s60}\n@article{b, title={Rooms}}`
    const { items } = read(text)
    expect(items.at(-1)!.record!.title).toBe('Rooms')
    expect(items.some((i) => i.problems[0]?.message.includes('more than 2,000,000 letters'))).toBe(true)
  })

  it('is read by the second reader as it was', () => {
    const old = readAll('@phdthesis{a, title={\\TeX{} rooms}}', { format: 'bibtex' }, undefined, 2).items[0]!
      .record!
    expect(old.title).toBe('\\TeX rooms')
    expect(old.genre).toBeUndefined()
  })
})
