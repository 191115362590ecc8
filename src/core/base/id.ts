import { z } from 'zod'

/**
 * The name of a thing within a review. Names that every object has of itself (`__proto__`, `constructor`, `toString` …)
 * are refused: a map by id would answer with what nobody put there.
 */
export const Id = z
  .string()
  .min(1)
  .max(200)
  .refine((id) => !(id in Object.prototype), { message: 'is a name that cannot be used' })

/** The name of a review: it stands in addresses and file names, so it is letters, digits, hyphens and underscores. */
export const ReviewId = Id.max(100).regex(/^[\w-]+$/, {
  message: 'must be made of letters, digits, hyphens and underscores',
})
