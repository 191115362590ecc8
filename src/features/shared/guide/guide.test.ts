import { existsSync, readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { describe, expect, it } from 'vitest'
import { GUIDE, guideFor } from './pages'
import { guideText } from './guide-text'

const root = path.join(import.meta.dirname, '../../../..')
const sources = readdirSync(path.join(root, 'src/features'), { recursive: true, encoding: 'utf8' })
  .filter((name) => /\.tsx?$/.test(name) && !name.includes('.test.') && !name.startsWith('shared/guide'))
  .map((name) => readFileSync(path.join(root, 'src/features', name), 'utf8'))
  .join('\n')

/** Is there an action of this id, by itself or as one of the panes of a stage? */
const isAction = (id: string): boolean => {
  if (sources.includes(`id: '${id}'`)) return true
  const [, stage = '', pane = ''] = /^(records|selection|terms-pane)-(.+)$/.exec(id) ?? []
  return pane !== '' && sources.includes(`\`${stage}-\${`) && sources.includes(`id: '${pane}'`)
}

describe('the guide', () => {
  it('has a page for each stage, each with its aim and a few parts', () => {
    expect(GUIDE.map((p) => p.stage)).toEqual([
      'question',
      'terms',
      'searches',
      'records',
      'selection',
      'methods',
    ])
    for (const page of GUIDE) {
      expect(page.aim).toMatch(/\.$/)
      expect(page.parts.length).toBeGreaterThanOrEqual(3)
      for (const part of page.parts) expect(part.words, part.head).toMatch(/\.$/)
    }
  })

  it('speaks of actions that there are', () => {
    const named = GUIDE.flatMap((p) => p.parts.flatMap((part) => part.actions ?? []))
    expect(named.filter((id) => !isAction(id))).toEqual([])
  })

  it('is found by words of any stage, and by none that it has not', () => {
    const heads = (asked: string) =>
      guideFor(asked).flatMap((p) => p.parts.map((x) => `${p.stage}: ${x.head}`))
    expect(heads('history outside')).toContain('searches: A database outside')
    expect(heads('LOAN')).toEqual(['selection: Full texts'])
    expect(guideFor('  ')).toBe(GUIDE)
    expect(guideFor('zebra')).toEqual([])
  })

  it('stands in docs/guide as it is shown, with a picture that is there', () => {
    for (const page of GUIDE) {
      const file = path.join(root, 'docs/guide', `${page.stage}.md`)
      expect(readFileSync(file, 'utf8'), `${page.stage}: npm run guide`).toBe(guideText(page))
      expect(existsSync(path.join(root, 'docs/screenshots', `${page.stage}.png`))).toBe(true)
    }
  })
})
