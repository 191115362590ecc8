import { describe, expect, it } from 'vitest'
import { PLANTED } from './faults.fixture'
import { foundBy, judgePlanted, sheetOf } from './planted.fixture'

/** Each planted fault with what was remarked: was it told at its line by its name, and does a change mend the line? */
async function tried() {
  const rows = []
  for (const [i, { source, lines, at, codes, right }] of PLANTED.entries()) {
    const sheet = sheetOf(lines)
    const { remarks } = await judgePlanted(source, sheet)
    const told = remarks.find((r) => r.lineId === `l${at}` && codes.includes(r.code))
    const meant = right && sheetOf(lines.map((l, n) => right[n + 1] ?? l))
    const number = right ? Number(Object.keys(right)[0]) : 0
    const wanted = meant && (await foundBy(source, meant, number))
    let mended = false
    for (const fix of told?.fixes ?? []) {
      const after = sheet.map((l) =>
        l.id === fix.lineId
          ? { ...l, text: fix.text, ...(fix.limits ? { limits: [...fix.limits] } : {}) }
          : l,
      )
      if (wanted !== undefined && (await foundBy(source, after, number)) === wanted) mended = true
    }
    rows.push({ n: i + 1, told: told !== undefined, mended, remarks, at, codes })
  }
  return rows
}

describe('faults of everyday practice', () => {
  it('are told at their line and by their name, and a change that is offered mends them', async () => {
    const rows = (await tried()).filter((_, i) => PLANTED[i]!.sound === undefined)
    // Of the one the cause stands in the line before: what follows from it is not remarked on.
    expect(rows.flatMap((r) => (r.told ? [] : [r.n]))).toEqual([44])
    // For the others no single line is right, or the change that is offered finds more than was asked for.
    expect(rows.filter((r) => r.mended).length).toBeGreaterThanOrEqual(36)
  })
})
