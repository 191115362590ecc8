/** The day that is so many working days after another, Saturdays and Sundays left out; days as ISO 8601 has them. */
export function workingDaysAfter(day: string, count: number): string {
  const date = new Date(`${day}T00:00:00Z`)
  for (let left = count; left > 0;) {
    date.setUTCDate(date.getUTCDate() + 1)
    if (![0, 6].includes(date.getUTCDay())) left--
  }
  return date.toISOString().slice(0, 10)
}

/** A loan is due so many working days after it was asked for, where nothing else is said. */
export const LOAN_DAYS = 3

const ORDER = ['loan asked', 'wanted', undefined, 'subscription', 'open copy', 'have', 'not to be had']

/** What is to be done about full texts, the most pressing first: overdue loans, loans by day, then what is not looked for. */
export function mostPressing<T extends { state?: string | undefined; due?: string | undefined }>(
  list: readonly T[],
  today: string,
): T[] {
  const late = (t: T): boolean => t.state === 'loan asked' && t.due !== undefined && t.due < today
  return [...list].sort(
    (a, b) =>
      Number(late(b)) - Number(late(a)) ||
      ORDER.indexOf(a.state) - ORDER.indexOf(b.state) ||
      ((a.due ?? '9') < (b.due ?? '9') ? -1 : (a.due ?? '9') > (b.due ?? '9') ? 1 : 0),
  )
}
