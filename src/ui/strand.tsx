/** The mark of a concept: its letter in its colour. `letters` of several concepts give one mark each. */
export function Strand({ letter }: { letter: string }) {
  return <span className={`strand ${letter}`}>{letter}</span>
}
