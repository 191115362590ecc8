import { ZodError } from 'zod'
import { issuesInWords, messageOf } from '@/core/base'

/** Something that a person asked for and that was not done, in words that say why. */
export class Refusal extends Error {}

/** A package holds a review that is here already, and goes another way than the one here. */
export class Parted extends Refusal {
  constructor(readonly reviewId: string) {
    super(
      'This review is on the shelf already, with another history: the two parted. The one here was not touched.',
    )
  }
}

/** What went wrong, in words for the person who asked for it. */
export function errorInWords(error: unknown): string {
  if (error instanceof ZodError) {
    const [first, ...others] = issuesInWords(error)
    const at = first?.at.replace(/^payload\.?/, '')
    const words = first ? `${at ? `“${at}” ` : 'it '}${first.words}` : 'it is not well formed'
    return `This was not taken: ${words}${others.length ? `, and ${others.length} more` : ''}. What you wrote is still here.`
  }
  return messageOf(error)
}
