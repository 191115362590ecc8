import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { describe, expect, it } from 'vitest'
import { packReview } from '../core/review'
import { journalOf, newerEntryAfter } from '../core/review/journal.fixture'
import { parseArguments } from './arguments'
import { COMMANDS } from './commands'

const folder = mkdtempSync(path.join(tmpdir(), 'luvren-newer-'))
const file = path.join(folder, 'newer.zip')
const known = journalOf([
  { kind: 'review.create', payload: { id: 'feedback', title: 'Feedback' } },
  { kind: 'question.set', payload: { text: 'Does feedback help?' } },
])
const entries = [...known, newerEntryAfter(known.at(-1)!, { kind: 'wish.set', payload: { text: 'peace' } })]
writeFileSync(file, packReview({ entries, blobs: new Map() }, 'Feedback'))

const run = async ([name = '', ...words]: string[]) => {
  const command = COMMANDS[name]!
  return command.run(parseArguments(words, command.options, command.files))
}

describe('a package in which a newer version has written, on the command line', () => {
  it('is listed, with a word of warning', async () => {
    const { exit, output, errors } = await run(['open', file])
    expect(exit).toBe(0)
    expect(output).toContain('3 entries')
    expect(errors).toEqual([expect.stringContaining('A newer Luvren has written in this review')])
  })

  it('is checked as far as it is known, and what is not known is no fault', async () => {
    const { exit, output } = await run(['verify', file, '--json'])
    const states = (JSON.parse(output!) as { about: string; state: string }[]).map((c) => [c.about, c.state])
    expect(exit).toBe(3)
    expect(Object.fromEntries(states)).toEqual({
      Package: 'right',
      Archive: 'right',
      'Files made from it': 'not checked',
      Description: 'right',
      'Text read back': 'not checked',
      Works: 'not checked',
      Flow: 'not checked',
      'Frozen texts': 'not checked',
      'Typed numbers': 'not checked',
      Runs: 'not checked',
    })
  })

  it('is told of and packed by nothing that would not say what is missing', async () => {
    for (const call of [
      ['account', file, path.join(folder, 'section.md')],
      ['flow', file],
      ['difference', file, file],
      ['again', file, '--release', '2026-09'],
      ['pack', file, path.join(folder, 'again.zip')],
      ['pack', file, path.join(folder, 'plan.zip'), '--plan-only'],
      ['pack', file, path.join(folder, 'less.zip'), '--without', 'names'],
    ]) {
      const { exit, errors } = await run(call)
      expect(exit, call[0]).toBe(1)
      expect(errors?.join(), call[0]).toContain('use the newer one')
    }
  })
})
