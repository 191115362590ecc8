/** How many random trials a property has: fewer in `npm test`, all of them in `npm run explore`. */
export const trials = (short: number, whole: number): number => (process.env.EXPLORE ? whole : short)
