import { existsSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { unzipSync, zipSync } from 'fflate'
import { beforeAll, describe, expect, it } from 'vitest'
import { openReview, type OpenedReview } from '../../core/handed'
import { inMemory } from '../../core/review'
import { checkText } from './check-text'

const DEMO = path.join(import.meta.dirname, '../../../public/data/demo.luvren.zip')
const there = existsSync(DEMO)
let opened: OpenedReview
let files: Record<string, Uint8Array>
const words = (bytes: Uint8Array): string => new TextDecoder().decode(bytes)
const bytesOf = (text: string): Uint8Array => new TextEncoder().encode(text)

/** The demo with one file otherwise: as if somebody had written another text, and all else were in order. */
function faults(name: string, change: (text: string) => string): string[] {
  const key = `data/${name}`
  const own = files[key]!
  let changed: Uint8Array
  if (name.endsWith('.docx')) {
    const parts = unzipSync(own)
    const was = words(parts['word/document.xml']!)
    expect(change(was)).not.toBe(was)
    changed = zipSync({ ...parts, 'word/document.xml': bytesOf(change(was)) }, { level: 0 })
  } else {
    expect(change(words(own))).not.toBe(words(own))
    changed = bytesOf(change(words(own)))
  }
  return checkText(zipSync({ ...files, [key]: changed }, { level: 0 }), opened).faults
}
/** The text of a file with one row taken for another: what stands under an appendix, changed. */
const under =
  (letter: string, change: (own: string) => string) =>
  (text: string): string => {
    // In Word its name is a mark of its own.
    const mark = text.lastIndexOf(`w:name="_Appendix_${letter}"`)
    const at = mark < 0 ? text.lastIndexOf(`Appendix ${letter}.`) : mark
    return text.slice(0, at) + change(text.slice(at))
  }

/** The first address is another one, in what is shown and where it leads. */
function otherAddress(own: string, other: string): string {
  const first = /10\.5555\/\w+\.\d+\.\d+/.exec(own)![0]
  return own.replaceAll(first, other)
}

describe.runIf(there)('the text of a package, read back', () => {
  beforeAll(async () => {
    const whole = new Uint8Array(readFileSync(DEMO))
    const read = await openReview(inMemory(whole))
    if (!read.ok) throw new Error('The demo does not open.')
    opened = read.value
    files = unzipSync(whole)
  })

  it('is right as it was packed', () => {
    const check = checkText(zipSync(files, { level: 0 }), opened)
    expect(check.faults).toEqual([])
    expect(check.says).toMatch(/^5 files, 348 references/)
  })

  it.each(['account/section.md', 'account/section.docx', 'account/section.tex', 'index.html'])(
    'is wrong in %s where a number, a list or a reason is another',
    (name) => {
      const said = faults(name, (t) =>
        // One more than were counted.
        t.replace(
          /(no comparison of conditions: )(\d+)/,
          (_all, words: string, n) => `${words}${Number(n) + 1}`,
        ),
      )
      expect(said).toEqual([
        expect.stringMatching(/says “Of \d+ works .*which the journal does not bear out\.$/),
      ])
      const gone = faults(
        name,
        under('F', (own) => otherAddress(own, '10.5555/none.2020.0001')),
      )
      expect(gone.join()).toMatch(/no work of the review is|not in its list/)
      const other = faults(
        name,
        under('E', (own) => own.replace('levels were not measured', 'it was too long')),
      )
      expect(other).toEqual([expect.stringContaining('stands beside another reason than its own')])
    },
  )

  it('is wrong where a work included stands among those set aside, in any of its files', () => {
    const judged = /10\.5555\/\w+\.\d+\.\d+/.exec(
      words(files['data/account/section.md']!).split('## Appendix F.')[1]!,
    )![0]
    const swapped = faults(
      'account/section.md',
      under('E', (own) => otherAddress(own, judged)),
    )
    expect(swapped.join()).toContain('stands among works set aside, and was not')
    const row = faults('records/works.csv', (t) => t.replace(',included,', ',out,'))
    expect(row).toEqual([expect.stringMatching(/^works\.csv: .* stands as out\.$/)])
  })
})
