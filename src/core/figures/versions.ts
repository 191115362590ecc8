import type { Entry } from '../review'
import type { Figures } from './figures'
import { figuresAt, type FiguresBeside } from './told'

/** Raised when a number of the figures is counted otherwise, or another one is told. */
export const FIGURES_VERSION = 1

/**
 * The figures as each version counted them. A version that was ever released stays here as it was: texts were frozen with its
 * numbers, and are held against it.
 */
const BY_VERSION: Readonly<Record<number, typeof figuresAt>> = { 1: figuresAt }

/** The figures behind an entry by the version that is named; undefined where it is not known here. */
export const figuresOfVersion = (
  version: number,
  entries: readonly Entry[],
  upTo: number,
  beside: FiguresBeside,
): Figures | undefined => BY_VERSION[version]?.(entries, upTo, beside)
