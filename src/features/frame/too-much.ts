import { thousands } from '@/core/base'

/** So many characters a field takes at once, where it does not say otherwise by `data-takes`: as many as an entry may hold. */
export const MOST_AT_ONCE = 200_000

/** Why so many characters are not put into a field, and what to do instead; undefined where they are few enough. */
export const tooMuch = (length: number, most = MOST_AT_ONCE): string | undefined =>
  length > most
    ? `What you put in has ${thousands(length)} characters; this field takes ${thousands(most)} at once. Nothing was put in. Records and histories can be brought in as files.`
    : undefined
