/** "24 November 2026", in the zone in which it was written. */
export function dateWords(iso: string): string {
  const months =
    'January February March April May June July August September October November December'.split(' ')
  const found = /^(\d{4})-(\d{2})-(\d{2})/.exec(iso)
  return found ? `${Number(found[3])} ${months[Number(found[2]) - 1]} ${found[1]}` : iso
}
