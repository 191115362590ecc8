/** Can a reason that a person gave stand within a sentence? One of several sentences cannot, and none cannot. */
export const standsInside = (reason: string): boolean =>
  reason.trim() !== '' && !/[.!?]\s+\p{Lu}/u.test(reason.trim())
