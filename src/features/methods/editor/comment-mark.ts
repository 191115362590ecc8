import { Mark } from '@tiptap/core'

const ATTRIBUTES = ['id', 'by', 'at', 'words'] as const

/** What somebody says of words to those who write with them; several may be of the same words. */
export const CommentMark = Mark.create({
  name: 'comment',
  inclusive: false,
  excludes: '',
  addAttributes: () =>
    Object.fromEntries(
      ATTRIBUTES.map((name) => [
        name,
        { default: '', parseHTML: (el: HTMLElement) => el.getAttribute(`data-comment-${name}`) ?? '' },
      ]),
    ),
  parseHTML: () => [{ tag: 'span[data-comment-id]' }],
  renderHTML: ({ mark }) => [
    'span',
    {
      class: 'commented',
      title: String(mark.attrs.words),
      ...Object.fromEntries(ATTRIBUTES.map((name) => [`data-comment-${name}`, String(mark.attrs[name])])),
    },
    0,
  ],
})
