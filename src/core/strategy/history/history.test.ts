import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readProfile, type Profile } from '../../profile'
import { foldLimitLines, limitsInWords, readHistory, recogniseHistory, type History } from '.'

function profile(value: unknown): Profile {
  const read = readProfile(value)
  if (!read.ok) throw new Error(read.problems.map((p) => p.message).join('\n'))
  return read.value
}

const lantern = profile({
  id: 'lantern',
  name: 'Lantern Index',
  kind: 'index with vocabulary',
  operators: { and: ['and'], or: ['or'], not: ['except'], binding: [['not'], ['and'], ['or']] },
  sideBySide: 'all',
  quotes: { open: '"', close: '"' },
  truncation: { any: '+' },
  fields: [
    { of: ['title'], form: 'name:({expr})' },
    { of: ['title', 'abstract', 'keywords'], form: 'topic:({expr})' },
  ],
  any: ['title', 'abstract', 'keywords', 'subject'],
  headings: { plain: 'subj:"{label}"', below: 'subj:"{label}/all"' },
  lines: { reference: 'line {n}', kept: 'session' },
  limits: { years: { form: 'year:{from}-{to}' }, language: { form: 'lang:({values})' } },
})

/** The searches that every layout below says, as plain notation with hits. */
const SAID = [
  ['text: (noise OR reverberat*)', 4812],
  ['heading.below: "Listening"', 1204],
  ['#1 AND #2', 318],
  ['#3', 97],
] as const

const LAYOUTS: Record<string, { text: string; newestFirst?: boolean }> = {
  'columns parted by tabs, the newest first, with a head that comes back': {
    text: `\ufeffLine\tStatement\tHits\tRun on
4\tline 3 and year:2016-2026\t97\t2026-03-12 14:11
3\tline 1 and line 2\t318\t2026-03-12 14:09
Line\tStatement\tHits\tRun on
2\tsubj:"Listening/all"\t1\u00a0204\t2026-03-12 14:05
1\ttopic:(noise or reverberat+)\t4\u00a0812\t2026-03-12 14:02

Page 1 of 1`,
    newestFirst: true,
  },
  'semicolons, no head, hits before the text, quotes doubled': {
    text: `4.812;#1;topic:(noise or reverberat+)
1.204;#2;"subj:""Listening/all"""
318;#3;line 1 and line 2
97;#4;line 3 and year:2016-2026`,
    newestFirst: false,
  },
  'commas inside quotes and in numbers': {
    text: `"No.","Query","Results"\r
"1","topic:(noise or reverberat+)","4,812"\r
"2","subj:""Listening/all""","1,204"\r
"3","line 1 and line 2","318"\r
"4","line 3 and year:2016-2026","97"\r
`,
    newestFirst: false,
  },
  'a numbered list with arrows': {
    text: `My searches
1. topic:(noise or reverberat+) → 4 812
2. subj:"Listening/all" → 1 204
3. line 1 and line 2 → 318
4. line 3 and year:2016-2026 → 97`,
    newestFirst: false,
  },
  'a list with brackets behind, broken over lines': {
    text: `#1  topic:(noise or
      reverberat+)  [4812]
#2  subj:"Listening/all"  [1204]
#3  line 1 and line 2  [318]
#4  line 3 and
      year:2016-2026  [97]`,
    newestFirst: false,
  },
  'a table drawn with strokes, columns turned round': {
    text: `| hits   | what                           | line |
|-------:|--------------------------------|------|
|     97 | line 3 and year:2016-2026      | 4    |
|    318 | line 1 and line 2              | 3    |
|  1'204 | subj:"Listening/all"           | 2    |
|  4'812 | topic:(noise or reverberat+)   | 1    |`,
    newestFirst: true,
  },
  'blocks with labels and turned quotes': {
    text: `Search: 1
Query: topic:(noise or
  reverberat+)
Results: 4812

Search: 2
Query: subj:“Listening/all”
Results: 1204

Search: 3
Query: line 1 and line 2
Results: 318

Search: 4
Query: line 3 and year:2016-2026
Results: 97`,
    newestFirst: false,
  },
  'one cell on each line, with buttons between': {
    text: `4
line 3 and year:2016-2026
97
Show
Change
3
line 1 and line 2
318
Show
Change
2
subj:"Listening/all"
1,204
Show
Change
1
topic:(noise or reverberat+)
4,812
Show
Change`,
    newestFirst: true,
  },
  'columns set apart by spaces, a text that goes on below': {
    text: `line   search                              records
1      topic:(noise or                       4,812
       reverberat+)
2      subj:"Listening/all"                  1,204
3      line 1 and line 2                       318
4      line 3 and year:2016-2026                97`,
    newestFirst: false,
  },
  'a page that was saved, with buttons in a column': {
    text: `<html><head><title>History</title><style>td { color: red }</style></head><body><p>My searches</p>
<table><tr><th>Line</th><th>Search</th><th>Hits</th><th></th></tr>
<tr><td>4</td><td>line 3 and
  year:2016-2026</td><td>97</td><td><a href="#">Open</a></td></tr>
<tr><td>3</td><td>line 1 and line 2</td><td>318</td><td><a href="#">Open</a></td></tr>
<tr><td>2</td><td>subj:&quot;Listening/all&quot;</td><td>1&nbsp;204</td><td><a href="#">Open</a></td></tr>
<tr><td>1</td><td>topic:(<b>noise</b> or <b>reverberat</b>+)</td><td>4&#160;812</td><td><a href="#">Open</a></td></tr>
</table></body></html>`,
    newestFirst: true,
  },
  'limits in a column of their own': {
    text: `#\tsearch\tlimits\tfound
1\ttopic:(noise or reverberat+)\t\t4812
2\tsubj:"Listening/all"\t-\t1204
3\tline 1 and line 2\tnone\t318
4\tline 3\t2016–2026\t97`,
    newestFirst: false,
  },
}

const said = (history: History): unknown[] => readHistory(history.rows, lantern).map((s) => [s.text, s.hits])

describe('a history that was pasted', () => {
  for (const [name, { text, newestFirst }] of Object.entries(LAYOUTS))
    it(`is read: ${name}`, () => {
      const history = recogniseHistory(text)
      expect(said(history)).toEqual(SAID)
      expect(readHistory(history.rows, lantern)[3]!.limits).toEqual([{ kind: 'years', from: 2016, to: 2026 }])
      expect(history.newestFirst).toBe(newestFirst)
    })

  it('takes the order from the days where there are no numbers', () => {
    const history = recogniseHistory(`noise and reading = 12 records, 2026-03-14
noise = 4,812 records, 2026-03-12`)
    expect(history.newestFirst).toBe(true)
    expect(history.rows.map((r) => [r.text, r.hits, r.when])).toEqual([
      ['noise', 4812, '2026-03-12'],
      ['noise and reading', 12, '2026-03-14'],
    ])
  })

  it('keeps what belongs to no search, with its place', () => {
    const { unread } = recogniseHistory(
      LAYOUTS['columns parted by tabs, the newest first, with a head that comes back']!.text,
    )
    expect(unread.map((u) => u.text)).toContain('Page 1 of 1')
    expect(unread.map((u) => u.line)).toEqual([1, 4, 8])
  })

  it('says what helps where nothing is recognised', () => {
    for (const text of ['', '   \n ', 'Dear colleague, thank you.']) {
      const history = recogniseHistory(text)
      expect(history.rows).toEqual([])
      expect(history.problems[0]!.message).toContain('copy the whole table')
    }
  })

  it('names lines with the same number, and counts that are not exact', () => {
    const history = recogniseHistory('1\tnoise\t12\n2\treading\tabout 1200\n2\thearing\t7')
    expect(history.problems.map((p) => p.code)).toEqual(['number-twice', 'no-count'])
    expect(history.rows.map((r) => r.hits)).toEqual([12, undefined, 7])
  })

  it('never throws and never loses a line, whatever is pasted', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.oneof(
            fc.string(),
            fc.constantFrom(
              '1\tnoise\t12',
              '#2 reading (7)',
              '| 3 | x | 4 |',
              'Query: a',
              'Results: 3',
              '',
              '4',
              ';',
            ),
          ),
          { maxLength: 12 },
        ),
        (parts) => {
          const text = parts.join('\n')
          const { rows, unread } = recogniseHistory(text)
          const placed = [...rows.flatMap((r) => r.lines), ...unread.map((u) => u.line)].sort((a, b) => a - b)
          const lines = text
            .replace(/[\ufeff\u200b-\u200d\u00ad]/g, '')
            .replace(/\r\n?|\u2028/g, '\n')
            .normalize('NFC')
            .split('\n')
          const filled = lines.flatMap((l, i) => (l.trim() ? [i + 1] : []))
          expect(filled.filter((n) => !placed.includes(n))).toEqual([])
        },
      ),
      { numRuns: 300 },
    )
  })
})

describe('reading a history by the profile', () => {
  const history = (text: string) => readHistory(recogniseHistory(text).rows, lantern)

  it('follows references where the history has gaps in its numbers', () => {
    const read = history('3\tnoise\t10\n7\treading\t20\n9\tline 3 and line 7\t5')
    expect(read.map((s) => s.text)).toEqual(['noise', 'reading', '#1 AND #2'])
  })

  it('keeps what it cannot read, as it was typed, and says why', () => {
    const [bad, lost] = history('1\ttopic:(noise or\t10\n2\tline 1 and line 8\t5')
    expect(bad).toMatchObject({ text: '', described: 'topic:(noise or', hits: 10 })
    expect(bad!.problems.map((p) => p.severity)).toContain('error')
    expect(lost).toMatchObject({ described: 'line 1 and line 8' })
    expect(lost!.problems.map((p) => p.code)).toContain('line-missing')
  })

  it('names a count that the searches before it make impossible', () => {
    const said = history('1\tnoise\t100\n2\treading\t30\n3\tline 1 and line 2\t318\n4\tline 1 or line 2\t120')
    expect(said.map((s) => s.problems.map((p) => p.message))).toEqual([
      [],
      [],
      ['By the lines it is built on it has at most 30 hits.'],
      [],
    ])
    const limited = history('1\tnoise\t100\n2\tline 1 and year:2016-2026\t101')
    expect(limited[1]!.problems.map((p) => p.code)).toEqual(['count-impossible'])
    expect(limited[1]!.text).toBe('#1')
  })

  it('takes a limit out of a query only where it holds for the whole of it', () => {
    const [whole, inside] = history(
      '1\tyear:2016-2026 and noise\t10\n2\tnoise or reading and year:2016-2026\t20',
    )
    expect(whole).toMatchObject({ text: 'noise', limits: [{ kind: 'years', from: 2016, to: 2026 }] })
    expect(inside!.described).toBeDefined()
    expect(inside!.problems.map((p) => p.code)).toContain('limit-inside')
  })

  it('takes a line that is nothing but a limit as a limit of the line that joins it', () => {
    const read = history('1\tnoise\t100\n2\tlang:(English or German)\t9000\n3\tline 1 and line 2\t60')
    expect(read[1]).toMatchObject({ text: '', limits: [{ kind: 'language', values: ['en', 'de'] }] })
    expect(read[2]).toMatchObject({ text: '#1', limits: [{ kind: 'language', values: ['en', 'de'] }] })
    expect(foldLimitLines(read).map((s) => [s.text, s.hits])).toEqual([['noise', 60]])
  })

  it('folds lines that only limit another into it, as each limit makes a line of its own in many histories (common practice)', () => {
    const read = history(
      '1\tnoise\t100\n2\tline 1 and year:2016-2026\t60\n3\tline 2 and lang:(English)\t50\n4\treading\t80\n5\tline 3 and line 4\t9',
    )
    const folded = foldLimitLines(read)
    expect(folded.map((s) => [s.text, s.hits])).toEqual([
      ['noise', 50],
      ['reading', 80],
      ['#1 AND #2', 9],
    ])
    expect(folded[0]!.limits.map((l) => l.kind)).toEqual(['years', 'language'])
    expect(folded[0]!.folded).toEqual([
      { number: 2, hits: 100 },
      { number: 3, hits: 60 },
    ])
  })

  it('does not fold where another line needs the line without its limit', () => {
    const read = history('1\tnoise\t100\n2\tline 1 and year:2016-2026\t60\n3\tline 1 and reading\t9')
    expect(foldLimitLines(read).map((s) => s.text)).toEqual(['noise', '#1', '#1 AND reading'])
  })
})

describe('limits in a column of a history', () => {
  const said = (text: string) => limitsInWords(text, lantern)

  it('are read in words and in the form of the database', () => {
    expect(said('2016–2026')).toEqual([{ kind: 'years', from: 2016, to: 2026 }])
    expect(said('2016 to 2026; English; peer-reviewed')).toEqual([
      { kind: 'years', from: 2016, to: 2026 },
      { kind: 'language', values: ['en'] },
      { kind: 'peer reviewed' },
    ])
    expect(said('since 2016')).toEqual([{ kind: 'years', from: 2016 }])
    expect(said('2016-')).toEqual([{ kind: 'years', from: 2016 }])
    expect(said('English or German')).toEqual([{ kind: 'language', values: ['en', 'de'] }])
    expect(said('Peer Reviewed, open access')).toEqual([{ kind: 'peer reviewed' }, { kind: 'open access' }])
    expect(said('year:2016-2026')).toEqual([{ kind: 'years', from: 2016, to: 2026 }])
    expect(said('lang:(English or German)')).toEqual([{ kind: 'language', values: ['en', 'de'] }])
  })

  it('are none where the column says so, and kept as they stand where they are not understood', () => {
    for (const text of ['', ' ', '-', '—', 'none', 'No limits']) expect(said(text)).toEqual([])
    expect(said('trade journals only')).toEqual([{ kind: 'other', text: 'trade journals only' }])
  })
})
