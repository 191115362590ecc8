/** One thing that studies vary, watch or measure. */
export interface Item {
  /** As a noun phrase in running text. */
  np: string
  plural: boolean
  /** Less of it is better (annoyance, complaints). */
  unwanted: boolean
  /** Words that authors put among their keywords; the first is the usual one. */
  keywords: string[]
  /** Headings by vocabulary; a record is given some of them. */
  headings: { fernhollow: string[]; girder: string[]; mindmere: string[] }
  classes: string[]
  /** How it is measured, as a noun phrase with its article: "a sentence-repetition task". */
  measure?: string
  /** A name under which an index lists the measure. */
  test?: string
  /** Values with their unit: the better and the worse end. */
  levels?: { unit: string; good: [number, number]; bad: [number, number]; decimals: number }
}

export type Stage = 'preschool' | 'primary' | 'secondary' | 'university' | 'special' | 'adults' | 'none'
export type Design =
  | 'experiment'
  | 'field trial'
  | 'survey'
  | 'observation'
  | 'longitudinal'
  | 'interviews'
  | 'review'
  | 'modelling'
  | 'measurement'

export interface Topic {
  id: string
  /** Share among all works. */
  weight: number
  /** How likely each database covers a work of this topic. */
  covered: { fernhollow: number; girder: number; mindmere: number }
  stages: Partial<Record<Stage, number>>
  designs: Partial<Record<Design, number>>
  exposures: Item[]
  outcomes: Item[]
  /** Who takes part, where it is not who learns; with their ages left out. */
  who?: string[]
  /** What is counted and where: classrooms in schools, unless said otherwise. */
  sites?: [string, string]
  /** Opening phrases of titles. */
  leads: string[]
  /** Sentences that only this topic has; slots as in the general patterns. */
  background: string[]
  methods: string[]
  findings: string[]
}

interface ItemDetails {
  f?: string
  g?: string
  m?: string
  classes?: string
  measure?: string
  test?: string
  levels?: Item['levels']
}

const parts = (text: string | undefined): string[] => (text ? text.split(';').map((t) => t.trim()) : [])

/**
 * An item in one line: lists are separated by ";". A plural noun phrase begins with "+", one of which less is better
 * with "-" (before the "+").
 */
export function item(np: string, keywords: string, details: ItemDetails = {}): Item {
  const { f, g, m, classes, measure, test, levels } = details
  return {
    np: np.replace(/^-?\+?/, ''),
    plural: /^-?\+/.test(np),
    unwanted: np.startsWith('-'),
    keywords: parts(keywords),
    headings: { fernhollow: parts(f), girder: parts(g), mindmere: parts(m) },
    classes: parts(classes),
    ...(measure ? { measure } : {}),
    ...(test ? { test } : {}),
    ...(levels ? { levels } : {}),
  }
}

export const levels = (
  unit: string,
  good: [number, number],
  bad: [number, number],
  decimals = 0,
): NonNullable<Item['levels']> => ({ unit, good, bad, decimals })
