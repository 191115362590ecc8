import { z } from 'zod'
import { Id } from '../../base'
import type { Place } from '../place'
import type { PlainReview } from '../plain-review'
import type { SideTaken } from '../side-taken'
import type { Review } from '../values'

/** What a command knows of the entry it stands in. */
export interface Written {
  seq: number
  at: string
  /** The id of the person; in journals of the first form, a name. */
  by: string
  /** A side journal that lies beside the journal; undefined where it is not here. */
  side?: ((digest: string) => SideTaken | undefined) | undefined
  /** A state that lies beside the journal; undefined where it is not here. */
  state?: ((digest: string) => PlainReview | undefined) | undefined
}

/** What a deed is called where it is told. */
export interface Words {
  /** In the journal: "line changed". */
  journal: string
  /** In the message of undo, which has "Undone:" before it. */
  undo: string
  /** In the strip at the edge, where it was the last thing done. */
  strip: string
}

/**
 * May it be taken back? `yes`: by undo. `happened`: never, it is a fact of the world or of the journal. `superseded`: not
 * by undo either, but another deed of its kind takes its place.
 */
export type Undo = 'yes' | 'happened' | 'superseded'

/** Everything that there is to know of one kind of command; whatever deals with commands reads it here. */
export interface Kind<S extends z.ZodType = z.ZodType> {
  schema: S
  /**
   * Changes the review in place. Does nothing where it meets nothing to work on; throws where it would break what stands
   * (then it is passed over whole, and named).
   */
  apply: (review: Review, payload: z.infer<S>, written: Written) => void
  /** The digests of all that it reaches beside the journal, at any depth. */
  blobs: (payload: z.infer<S>) => readonly string[]
  undo: Undo
  /** Where on the screen the thing stands that it was done to. */
  place: (payload: z.infer<S>) => Place | undefined
  words: Words
  /**
   * What the field that it writes holds now, as much of it as the payload would set, in the form of the payload. `never`
   * where it writes no field that is typed into.
   */
  held: ((review: Review, payload: z.infer<S>) => unknown) | 'never'
  /** May it stand in a side journal, because it says what its person thinks and nothing else? */
  bearsPerson: boolean
}

/** Holds a kind to its schema. */
export const kind = <S extends z.ZodType>(of: Kind<S>): Kind<S> => of

/** The same words everywhere. */
export const said = (words: string): Words => ({ journal: words, undo: words, strip: words })

export const NO_BLOBS = (): readonly string[] => []
/** What most kinds have in common: they can be taken back, reach nothing and are of the review, not of a person. */
export const PLAIN = { blobs: NO_BLOBS, undo: 'yes', held: 'never', bearsPerson: false } as const

/** Puts a value in the place of the one with the same id, or at the end. */
export function put<T extends { id: string }>(list: T[], value: T): void {
  const at = list.findIndex((v) => v.id === value.id)
  if (at < 0) list.push(value)
  else list[at] = value
}

export function drop<T extends { id: string }>(list: T[], id: string): void {
  const at = list.findIndex((v) => v.id === id)
  if (at >= 0) list.splice(at, 1)
}

export const one = <T extends { id: string }>(list: readonly T[], id: string): T | undefined =>
  list.find((v) => v.id === id)

export const atStage = (stage: Place['stage'], anchor?: string): Place => ({
  stage,
  ...(anchor === undefined ? {} : { anchor }),
})

/** The kind that sets one thing of a list, which is typed into: in the place of the one with its id, or at the end. */
export const sets = <S extends z.ZodType<{ id: string }>>(
  schema: S,
  list: (review: Review) => z.infer<S>[],
  place: (payload: z.infer<S>) => Place,
  words: string,
): Kind<S> =>
  kind({
    ...PLAIN,
    schema,
    apply: (r, p) => put(list(r), p),
    place,
    words: said(words),
    held: (r, p) => one(list(r), p.id),
  })

/** The kind that takes one thing out of a list by its id; where it is not in the list, nothing happens. */
export const removes = (list: (review: Review) => { id: string }[], place: Place, words: string) =>
  kind({
    ...PLAIN,
    schema: z.object({ id: Id }),
    apply: (r, p) => drop(list(r), p.id),
    place: () => place,
    words: said(words),
  })
