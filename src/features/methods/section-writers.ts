export { toHtml, toLatex, toMarkdown } from '@/core/account'
export { sectionOf } from './section-files'
