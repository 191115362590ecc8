import { thousands } from '../base'
import { escapedXml as escaped, FIGURE_FONT } from '../picture'
import { faultsOf, undecided, type Flow, type FlowColumn } from './flow'

/** Words for what the flow says, so that a figure and its text say the same. */
export interface FlowWords {
  sourceOf: (id: string) => string
  /** A reason as it is told: the words of a question, or those that were given. */
  reasonOf: (reason: string) => string
}

export interface FlowBox {
  /** What leads to its works: the round from 0, the column, and which box it is. */
  id: string
  lines: string[]
  /** It stands to the side: what left here. */
  aside?: true
  /** The last one. */
  end?: true
}
export interface FlowPart {
  title: string
  boxes: FlowBox[]
}

const TITLES = {
  databases: 'Databases',
  registers: 'Registers',
  other: 'Other ways',
} as const

const some = (n: number, words: string): string => `${thousands(n)} ${words}`
/** The same of one: "1 full text read". */
const ofOne = (what: string): string =>
  what
    .replace(/^records /, 'record ')
    .replace(/^whose records are/, 'whose record is')
    .replace(/^titles and abstracts /, 'title and abstract ')
    .replace(/^full texts /, 'full text ')
const most = <T>(list: readonly T[], count: number): { shown: readonly T[]; left: readonly T[] } => ({
  shown: list.slice(0, count),
  left: list.slice(count),
})

/** One column of the flow as boxes, as PRISMA 2020 (Page et al., BMJ 2021;372:n71) has them; empty ones are left out. */
export function boxesOf(c: FlowColumn, words: FlowWords): FlowBox[] {
  const box = (id: string, n: number, what: string, more: string[] = [], aside = false): FlowBox[] =>
    n || id === 'identified' || id === 'included'
      ? [
          {
            id: `${c.column}/${id}`,
            lines: [some(n, n === 1 ? ofOne(what) : what), ...more],
            ...(aside ? { aside: true } : {}),
          },
        ]
      : []
  const reasons = (list: FlowColumn['outReasons'], count: number): string[] => {
    const { shown, left } = most(list, count)
    const rest = left.reduce((n, r) => n + r.count, 0)
    return [
      ...shown.map((r) => some(r.count, words.reasonOf(r.reason))),
      ...(rest ? [some(rest, 'for other reasons')] : []),
    ]
  }
  const { shown, left } = most(
    [...c.sources].sort((a, b) => b.count - a.count),
    6,
  )
  const others = left.reduce((n, s) => n + s.count, 0)
  return [
    ...box('identified', c.identified, 'records identified', [
      ...shown.map((s) => some(s.count, words.sourceOf(s.sourceId))),
      ...(others ? [some(others, 'from other sources')] : []),
    ]),
    ...box('missing', c.missing, 'whose records are not here', [], true),
    ...box('duplicates', c.duplicates, 'described a work already found', [], true),
    ...box('removed', c.removed, 'removed before screening', reasons(c.removedReasons, 3), true),
    ...box('unread', c.unread, 'not read yet', [], true),
    ...box('screened', c.screened, 'titles and abstracts read'),
    ...box('set aside', c.setAside, 'set aside', [], true),
    ...box('open', c.open, 'left open', [], true),
    ...box('to settle', c.toSettle, 'ruled differently, to settle', [], true),
    ...box('sought', c.sought, 'full texts to be sought'),
    ...box('not had', c.notHad, 'not to be had', [], true),
    ...box('not looked', c.notLooked, 'not looked for yet', [], true),
    ...box('awaited', c.awaited, 'awaited or unread', [], true),
    ...box(
      'assessed',
      c.assessed,
      'full texts read',
      c.noText ? [some(c.noText, 'without a text noted')] : [],
    ),
    ...box('out', c.out, 'set aside', reasons(c.outReasons, 8), true),
    ...box('close open', c.closeOpen, 'left open', [], true),
    ...box('close to settle', c.closeToSettle, 'ruled differently, to settle', [], true),
  ]
}

/**
 * All columns of a flow as boxes. Of an update, the rounds before the last are one box each, as PRISMA 2020 has previous
 * studies; `whole` shows all of them in full.
 */
export function flowParts(flow: Flow, words: FlowWords, whole = false): FlowPart[] {
  const { rounds } = flow
  const called = (n: number): string =>
    n === 0 ? 'first search' : rounds.length === 2 ? 'update' : `update ${n}`
  return rounds.flatMap(({ columns, included }, n): FlowPart[] =>
    n < rounds.length - 1 && !whole
      ? [
          {
            title: n === 0 ? 'Before the update' : `Update ${n}`,
            boxes: [
              {
                id: `${n}/all/included`,
                lines: [
                  some(
                    included,
                    `${included === 1 ? 'work' : 'works'} included by ${rounds.length > 2 && n ? '' : 'the '}${called(n)}`,
                  ),
                ],
              },
            ],
          },
        ]
      : columns.map((c) => ({
          title: rounds.length === 1 ? TITLES[c.column] : `${TITLES[c.column]}, ${called(n)}`,
          boxes: boxesOf(c, words).map((b) => ({ ...b, id: `${n}/${b.id}` })),
        })),
  )
}

/** What is included in the end, in words. */
export const includedWords = ({ included, studies, noticed }: Flow): string[] => [
  `${thousands(included)} ${included === 1 ? 'work' : 'works'} included`,
  ...(noticed
    ? [
        included === 1
          ? 'with a notice on it'
          : `${thousands(noticed)} of them with a notice on ${noticed === 1 ? 'it' : 'them'}`,
      ]
    : []),
  ...(studies === included
    ? []
    : [`reports of ${thousands(studies)} ${studies === 1 ? 'study' : 'studies'}`]),
]

/** What keeps the figure from being final: what does not add up, and works that nobody has decided about. */
export function openMatters(flow: Flow): { faults: string[]; undecided: number } {
  const columns = flow.rounds.flatMap((r) => r.columns)
  return {
    faults: columns.flatMap(faultsOf),
    undecided: columns.reduce((n, c) => n + undecided(c), 0),
  }
}

/** The flow as text, for whoever does not see the figure. */
export const flowText = (flow: Flow, words: FlowWords, whole = false): string =>
  [
    ...flowParts(flow, words, whole).map(
      ({ title, boxes }) =>
        `${title}: ${boxes
          .map(({ lines: [first, ...more] }) => (more.length ? `${first} (${more.join('; ')})` : first))
          .join('; ')}.`,
    ),
    `${includedWords(flow).join(', ')}.`,
  ].join('\n')

const WIDE = 250
const SIDE = 230
const GAP = 34
/** From one part to the next: two of them beside each other are read in eight points across a page (698 points). */
const STEP = WIDE + SIDE + GAP + 26
/** So many parts stand beside each other. */
const ACROSS_PAGE = 2
/** Where lines from rows above go down. */
const MARGIN = 6
const LINE = 17
const PAD = 10
const SPACE = 22
const INK = { ink: '#24303a', quiet: '#5b6770', hair: '#c3cad0', ground: '#ffffff' }

/** Breaks a line at words so that it stays within a box; by signs, for nothing here can measure letters. */
function broken(line: string, signs: number): string[] {
  const lines: string[] = []
  for (const word of line.split(' ')) {
    const last = lines.at(-1)
    if (last !== undefined && last.length + word.length < signs) lines[lines.length - 1] = `${last} ${word}`
    else lines.push(word.length > signs ? `${word.slice(0, signs - 1)}…` : word)
  }
  return lines
}

/**
 * The flow as a drawing in SVG. Throws where something does not add up: such a figure is not drawn.
 */
export function drawFlow(flow: Flow, words: FlowWords, whole = false): string {
  const { faults } = openMatters(flow)
  if (faults.length) throw new Error(`The flow does not add up: ${faults.join('; ')}.`)
  const parts = flowParts(flow, words, whole)
  const drawn: string[] = []
  const heightOf = (lines: readonly string[]): number => lines.length * LINE + 2 * PAD
  const text = (x: number, y: number, lines: readonly string[], fill: string, bold = 1): void =>
    lines.forEach((line, n) => {
      drawn.push(
        `<text x="${x + PAD}" y="${y + PAD + 12 + n * LINE}" font-size="12.5" fill="${fill}"${n < bold ? ' font-weight="600"' : ''}>${escaped(line)}</text>`,
      )
    })
  const titled = (x: number, y: number, title: string): void => {
    drawn.push(
      `<text x="${x}" y="${y}" font-size="13" font-weight="600" fill="${INK.ink}">${escaped(title)}</text>`,
    )
  }
  // Rounds before the last are a box each: they stand in a row above, so that the last has the width of the page.
  const past = parts.filter(({ boxes }) => boxes.length === 1 && boxes[0]!.id.endsWith('/all/included'))
  const now = parts.filter((p) => !past.includes(p))
  const pastHigh = Math.max(0, ...past.map(({ boxes }) => heightOf(broken(boxes[0]!.lines[0]!, 36))))
  past.forEach(({ title, boxes }, n) => {
    const x = 16 + n * (WIDE + 26)
    const own = broken(boxes[0]!.lines[0]!, 36)
    titled(x, 26, title)
    drawn.push(
      `<rect x="${x}" y="42" width="${WIDE}" height="${heightOf(own)}" fill="${INK.ground}" stroke="${INK.quiet}"/>`,
    )
    text(x, 42, own, INK.ink, own.length)
  })
  /** Below the row of rounds before. */
  const top = past.length ? 42 + pastHigh + SPACE * 2 : 0
  /** One part with its boxes, from this place on: where its line begins, where its last box ends, and its lowest place. */
  const lay = (
    { title, boxes }: FlowPart,
    x: number,
    from0: number,
  ): { x: number; from: number; low: number } => {
    titled(x, from0 + 26, title)
    let y = from0 + 42
    let side = y
    let from: number | undefined
    /** Where the line begins on which the side boxes of this step hang. */
    let hangs: number | undefined
    for (const { lines, aside } of boxes) {
      const parted = lines.map((line) => broken(line, aside ? 32 : 36))
      const own = parted.flat()
      const bold = parted[0]?.length ?? 0
      const high = heightOf(own)
      if (aside) {
        drawn.push(
          hangs === undefined
            ? `<path d="M${x + WIDE} ${side + 18}H${x + WIDE + GAP}" stroke="${INK.quiet}" fill="none"/>`
            : `<path d="M${x + WIDE + GAP / 2} ${hangs}V${side + 18}H${x + WIDE + GAP}" stroke="${INK.quiet}" fill="none"/>`,
          `<rect x="${x + WIDE + GAP}" y="${side}" width="${SIDE}" height="${high}" fill="${INK.ground}" stroke="${INK.hair}"/>`,
        )
        text(x + WIDE + GAP, side, own, INK.quiet, bold)
        hangs ??= side + 18
        side += high + 8
        continue
      }
      const at = from === undefined ? y : Math.max(y, side) + SPACE - 8
      if (from !== undefined)
        drawn.push(`<path d="M${x + 40} ${from}V${at}" stroke="${INK.quiet}" fill="none"/>`)
      drawn.push(
        `<rect x="${x}" y="${at}" width="${WIDE}" height="${high}" fill="${INK.ground}" stroke="${INK.quiet}"/>`,
      )
      text(x, at, own, INK.ink, bold)
      from = at + high
      y = from
      side = at
      hangs = undefined
    }
    return { x: x + 40, from: from ?? y, low: Math.max(y, side) }
  }
  // Two stand beside each other; more stand below them, so that letters stay as large on a page.
  const rows = [...Array(Math.ceil(now.length / ACROSS_PAGE)).keys()].map((n) =>
    now.slice(n * ACROSS_PAGE, (n + 1) * ACROSS_PAGE),
  )
  let rowTop = top
  const passed: number[] = []
  let laid: { x: number; from: number; low: number }[] = []
  rows.forEach((row, n) => {
    laid = row.map((part, p) => lay(part, 16 + p * STEP, rowTop))
    if (n === rows.length - 1) return
    // Down the margin, past the row below.
    const under = Math.max(...laid.map((l) => l.low)) + SPACE
    for (const { x, from } of laid)
      drawn.push(`<path d="M${x} ${from}V${under}H${MARGIN}" stroke="${INK.quiet}" fill="none"/>`)
    passed.push(under)
    rowTop = under + SPACE / 2
  })
  const low = Math.max(rowTop + 60, ...laid.map((l) => l.low)) + SPACE
  for (const { x, from } of laid)
    drawn.push(`<path d="M${x} ${from}V${low}" stroke="${INK.quiet}" fill="none"/>`)
  const last = laid.at(-1)
  if (last && laid.length > 1)
    drawn.push(`<path d="M${laid[0]!.x} ${low}H${last.x}" stroke="${INK.quiet}" fill="none"/>`)
  const end = includedWords(flow)
  const high = heightOf(end)
  drawn.push(`<rect x="16" y="${low}" width="${WIDE}" height="${high}" fill="${INK.ink}"/>`)
  text(16, low, end, INK.ground)
  if (passed.length)
    drawn.push(`<path d="M${MARGIN} ${passed[0]!}V${low + high / 2}H16" stroke="${INK.quiet}" fill="none"/>`)
  if (past.length) {
    // Down the margin to what is included.
    const under = 42 + pastHigh + SPACE / 2
    for (let n = 0; n < past.length; n++)
      drawn.push(
        `<path d="M${16 + n * (WIDE + 26) + 40} ${42 + heightOf(broken(past[n]!.boxes[0]!.lines[0]!, 36))}V${under}" stroke="${INK.quiet}" fill="none"/>`,
      )
    drawn.push(
      `<path d="M${16 + (past.length - 1) * (WIDE + 26) + 40} ${under}H${MARGIN}V${low + high / 2}H16" stroke="${INK.quiet}" fill="none"/>`,
    )
  }
  const width =
    Math.max(Math.min(ACROSS_PAGE, Math.max(1, now.length)) * STEP, past.length * (WIDE + 26)) - 26 + 32
  const height = low + high + 16
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" width="${width}" height="${height}" font-family="${FIGURE_FONT}" role="img" aria-label="${escaped(flowText(flow, words, whole))}"><rect width="100%" height="100%" fill="${INK.ground}"/>${drawn.join('')}</svg>`
}
