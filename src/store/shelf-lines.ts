import { openDatabase, type ShelfItem } from './database'

/** What stands on the shelf, and what who works here is called, read for showing it alone. */
export interface ShelfLines {
  items: ShelfItem[]
  reader: string
}

/** Reads the shelf before what works on it is there; rejects where the browser does not give it. */
export async function shelfLines(): Promise<ShelfLines> {
  const nothing = (): void => undefined
  const db = await openDatabase({ onBlocked: nothing, onBlocking: nothing, onTerminated: nothing })
  const [items, reader] = await Promise.all([db.getAll('shelf'), db.get('settings', 'reader')])
  db.close()
  return { items: inOrder(items), reader: nameIn(reader?.value) }
}

/**
 * The lines of the shelf, the newest first. One that is damaged is shown as far as it says something, and harms no other:
 * its review lies elsewhere, and the line is written anew when that is opened.
 */
export const inOrder = (items: readonly unknown[]): ShelfItem[] =>
  items.flatMap((item) => lineOf(item) ?? []).sort((a, b) => (a.at === b.at ? 0 : a.at < b.at ? 1 : -1))

const isRow = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null

function lineOf(value: unknown): ShelfItem | undefined {
  if (!isRow(value) || typeof value.id !== 'string' || !value.id) return undefined
  const words = (key: string): string => (typeof value[key] === 'string' ? value[key] : '')
  const list = <T>(key: string, is: (item: unknown) => item is T): T[] | undefined => {
    const of = value[key]
    return Array.isArray(of) && of.every(is) ? of : undefined
  }
  const figures = list('figures', (n): n is number => Number.isFinite(n))
  const letters = list('letters', (l): l is string => typeof l === 'string')
  const whole =
    figures?.length === STAGES &&
    letters &&
    ['title', 'question', 'at'].every((k) => typeof value[k] === 'string')
  return {
    id: value.id,
    title: words('title'),
    question: words('question'),
    at: words('at'),
    figures: figures?.length === STAGES ? figures : Array.from({ length: STAGES }, () => 0),
    letters: letters ?? [],
    demo: value.demo === true,
    ...(Number.isInteger(value.entries) ? { entries: value.entries as number } : {}),
    ...(typeof value.putAway === 'string' ? { putAway: value.putAway } : {}),
    ...(whole ? {} : { damaged: true }),
  }
}
/** Figures of a line, one a stage. */
const STAGES = 6

/** A name that an earlier version gave to everybody is nobody's. */
export const nameIn = (value: unknown): string =>
  typeof value === 'string' && value !== 'First reader' ? value : ''
