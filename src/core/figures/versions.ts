import type { Entry } from '../review'
import type { Figures } from './figures'
import { settledBefore4 } from './settled-before-4'
import { figuresAt, toldAt, type FiguresBeside } from './told'
import { figures1Of, type Figures1 } from './version-1'

/** Raised when a number of the figures is counted otherwise, or another one is told. */
export const FIGURES_VERSION = 4

type FiguresOf<T> = (entries: readonly Entry[], upTo: number, beside: FiguresBeside) => T

const first: FiguresOf<Figures1> = (entries, upTo, beside) => {
  const { review, ruled } = toldAt(entries, upTo, beside)
  return figures1Of(review, ruled)
}

/** Frozen. Version 2 did not ask why a known item was not found. */
type Figures2 = Omit<Figures, 'knownOutside'>
const second: FiguresOf<Figures2> = (entries, upTo, beside) => {
  const { knownOutside: _outside, ...figures } = third(entries, upTo, beside)
  return figures
}

/** Frozen. Version 3 took every work that somebody settled for one that readers had seen differently. */
function third(entries: readonly Entry[], upTo: number, beside: FiguresBeside): Figures {
  const { review, ruled, figures } = toldAt(entries, upTo, beside)
  return { ...figures, settled: settledBefore4(review, ruled) }
}

/**
 * The figures as each version counted them. A version that was ever released stays here as it was: texts were frozen with its
 * numbers, and are held against it.
 */
const BY_VERSION: Readonly<Record<number, FiguresOf<Figures | Figures1 | Figures2>>> = {
  1: first,
  2: second,
  3: third,
  4: figuresAt,
}

/** The figures behind an entry by the version that is named; undefined where it is not known here. */
export const figuresOfVersion = (
  version: number,
  entries: readonly Entry[],
  upTo: number,
  beside: FiguresBeside,
): Figures | Figures1 | Figures2 | undefined => BY_VERSION[version]?.(entries, upTo, beside)
