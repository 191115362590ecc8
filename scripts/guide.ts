// npm run guide: writes docs/guide from the words that the app shows.
import { mkdirSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { guideText } from '../src/features/shared/guide/guide-text'
import { GUIDE } from '../src/features/shared/guide/pages'

const folder = path.join(import.meta.dirname, '..', 'docs', 'guide')
mkdirSync(folder, { recursive: true })
for (const page of GUIDE) writeFileSync(path.join(folder, `${page.stage}.md`), guideText(page))
