import { expect, it } from 'vitest'
import { describedProfile, filledByExamples, freshDraft, printFor, readDescription } from '..'
import { parse } from '../../query'

const PAGE = [
  'title words\t<t>noise',
  'words of the abstract\t<a>noise',
  'either word\tnoise | din',
  'both words\tnoise & din',
  'phrase\t"sound field"',
].join('\n')

it('fills what examples show into what is typed, and leaves what nobody showed empty rather than wrong', () => {
  const { draft, doubts, emptied, shown } = filledByExamples(freshDraft('Lantern Index'), PAGE)
  expect([doubts, shown]).toEqual([[], 5])
  expect(draft.fields).toEqual({ title: '<t>{expr}', abstract: '<a>{expr}' })
  expect(emptied).toEqual(['the truncation sign', 'how a line is referred to'])
  const read = readDescription(JSON.parse(JSON.stringify(describedProfile(draft))))
  if (!read.ok) throw new Error(read.problems.map((p) => p.message).join('\n'))
  expect(printFor(parse('title: (noise OR din)').tree!, read.value).text).toBe('<t>(noise | din)')
})

it('never erases what was typed', () => {
  const typed = { ...freshDraft('Lantern Index'), fields: { author: 'w={expr}' }, any: '$' }
  const { draft } = filledByExamples(typed, PAGE)
  expect(draft.fields).toEqual({ author: 'w={expr}', title: '<t>{expr}', abstract: '<a>{expr}' })
  expect(draft.any).toBe('$')
  expect(filledByExamples(typed, 'nothing of use').draft).toEqual(typed)
})
