import { expect, it } from 'vitest'
import { commentsIn, withoutComment } from './comments'

const said = (id: string) => ({
  type: 'comment',
  attrs: { id, by: 'p-1', at: '2026-11-20T10:00:00Z', words: `why ${id}` },
})
const content = [
  {
    type: 'paragraph',
    content: [
      { type: 'text', text: 'loud ', marks: [said('a')] },
      { type: 'text', text: 'rooms', marks: [{ type: 'italic' }, said('a'), said('b')] },
      { type: 'fact', attrs: { ref: 'databases.searched' } },
    ],
  },
  {
    type: 'bulletList',
    content: [
      {
        type: 'listItem',
        content: [{ type: 'paragraph', content: [{ type: 'text', text: 'deep', marks: [said('c')] }] }],
      },
    ],
  },
]

it('finds what is said of words, however deep they stand and in however many parts, in their order', () => {
  expect(commentsIn([{ id: 'searched', content }]).map((c) => [c.id, c.quoted, c.words, c.passage])).toEqual([
    ['a', 'loud rooms', 'why a', 'searched'],
    ['b', 'rooms', 'why b', 'searched'],
    ['c', 'deep', 'why c', 'searched'],
  ])
})

it('takes one comment away and nothing else', () => {
  const left = withoutComment(withoutComment(content, 'a'), 'c')
  expect(commentsIn([{ id: 'searched', content: left }]).map((c) => c.id)).toEqual(['b'])
  expect(left[0]).toEqual({
    type: 'paragraph',
    content: [
      { type: 'text', text: 'loud ' },
      { type: 'text', text: 'rooms', marks: [{ type: 'italic' }, said('b')] },
      { type: 'fact', attrs: { ref: 'databases.searched' } },
    ],
  })
  expect(withoutComment(content, 'none')).toEqual(content)
})
