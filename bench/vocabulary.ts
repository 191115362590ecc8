// Look-up in a generated vocabulary of 30,000 headings, beside reading every name one by one. Same answers are checked.
import { foldLabel } from '../src/core/base'
import { Thesaurus, writeSkos, readSkos, candidates, type Heading } from '../src/core/vocabulary'
import { Random } from '../src/standins/corpus/random'

const SIZE = Number(process.env.HEADINGS ?? 30_000)
const random = new Random('vocabulary bench')
const SYLLABLES = 'ba re no ti sol ken ma dur vi lo pha gen tri mor sta qui ner ost al em ur'.split(' ')
const word = (): string => Array.from({ length: random.int(2, 4) }, () => random.pick(SYLLABLES)).join('')
const WORDS = Array.from({ length: 6_000 }, word)
const label = (): string => Array.from({ length: random.int(1, 3) }, () => random.pick(WORDS)).join(' ')

const headings: Heading[] = []
for (let n = 0; n < SIZE; n++)
  headings.push({
    id: `h${n}`,
    label: `${label()} ${n}`,
    entryTerms: Array.from({ length: random.int(0, 4) }, label),
    broader: n < 20 ? [] : [`h${random.int(0, Math.min(n - 1, 4_000))}`],
    narrower: [],
    related: [],
  })
const byId = new Map(headings.map((h) => [h.id, h]))
for (const h of headings) for (const b of h.broader) byId.get(b)!.narrower.push(h.id)
const vocabulary = { id: 'bench', title: 'Bench', version: '', headings }
const names = headings.flatMap((h) => [h.label, ...h.entryTerms])

const timed = <T>(what: () => T): [T, number] => {
  const start = performance.now()
  const value = what()
  return [value, performance.now() - start]
}
const turtle = writeSkos(vocabulary)
const [, reading] = timed(() => readSkos(turtle))
const [thesaurus, building] = timed(() => new Thesaurus(vocabulary))
const [, first] = timed(() => thesaurus.lookUp('zz'))

/** Every name read one by one, as before there was an index: which headings have all the words begun. */
const folded = headings.map((h) => [h.label, ...h.entryTerms].map((n) => foldLabel(n).split(' ')))
const plainly = (asked: string[]): number => {
  let found = 0
  for (const own of folded) if (own.some((w) => asked.every((a) => w.some((x) => x.startsWith(a))))) found++
  return found
}

const asked: string[] = []
for (let i = 0; i < 400; i++) {
  const whole = random.pick(names).toLowerCase()
  asked.push(whole.slice(0, random.int(1, Math.min(12, whole.length))).trim())
}
const ours: number[] = []
const theirs: number[] = []
for (const text of asked) {
  const [, ms] = timed(() => thesaurus.lookUp(text, 12))
  ours.push(ms)
  const words = foldLabel(text).split(' ')
  const [count, plain] = timed(() => plainly(words))
  theirs.push(plain)
  const begun = thesaurus.lookUp(text, SIZE).filter((l) => l.kind !== 'part of a word').length
  if (begun !== count) throw new Error(`"${text}": ${begun} here, ${count} by reading all`)
}
const at = (list: number[], part: number): number =>
  [...list].sort((a, b) => a - b)[Math.floor(list.length * part)]!
const say = (what: string, list: number[]): void =>
  console.log(
    `${what}: median ${at(list, 0.5).toFixed(2)} ms, 95th ${at(list, 0.95).toFixed(2)} ms, most ${at(list, 0.999).toFixed(2)} ms`,
  )
console.log(
  `${headings.length} headings, ${names.length} names; Turtle of ${(turtle.length / 1e6).toFixed(1)} MB read in ${(reading / 1000).toFixed(1)} s, made ready in ${building.toFixed(0)} ms, first look-up ${first.toFixed(0)} ms`,
)
say('look-up through the index', ours)
say('reading every name       ', theirs)
console.log(
  `ratio: median ${(at(ours, 0.5) / at(theirs, 0.5)).toFixed(3)}, 95th ${(at(ours, 0.95) / at(theirs, 0.95)).toFixed(3)}`,
)
const matches = Array.from({ length: 40 }, () => timed(() => candidates(random.pick(headings), thesaurus))[1])
say('the same elsewhere       ', matches.slice(1))
