import { byName } from '../../base'
/** Accent commands and the mark that each puts on the letter behind it (The TeXbook, chapter 9; LaTeX 2e, T1). */
const ACCENTS: Readonly<Record<string, string>> = byName({
  '`': '\u0300',
  "'": '\u0301',
  '^': '\u0302',
  '~': '\u0303',
  '=': '\u0304',
  u: '\u0306',
  '.': '\u0307',
  '"': '\u0308',
  r: '\u030a',
  H: '\u030b',
  v: '\u030c',
  d: '\u0323',
  c: '\u0327',
  k: '\u0328',
  b: '\u0331',
})

/** Commands that stand for a letter or sign. */
const SIGNS: Readonly<Record<string, string>> = byName({
  ss: 'ß',
  SS: 'ẞ',
  ae: 'æ',
  AE: 'Æ',
  oe: 'œ',
  OE: 'Œ',
  o: 'ø',
  O: 'Ø',
  l: 'ł',
  L: 'Ł',
  aa: 'å',
  AA: 'Å',
  dh: 'ð',
  DH: 'Ð',
  th: 'þ',
  TH: 'Þ',
  dj: 'đ',
  DJ: 'Đ',
  ng: 'ŋ',
  NG: 'Ŋ',
  i: 'ı',
  j: 'ȷ',
  textendash: '–',
  textemdash: '—',
  textquoteleft: '‘',
  textquoteright: '’',
  textquotedblleft: '“',
  textquotedblright: '”',
  guillemotleft: '«',
  guillemotright: '»',
  textbackslash: '\\',
  textasciitilde: '~',
  textasciicircum: '^',
  textunderscore: '_',
  textdegree: '°',
  textregistered: '®',
  texttrademark: '™',
  textcopyright: '©',
  ldots: '…',
  dots: '…',
  textellipsis: '…',
  S: '§',
  P: '¶',
  copyright: '©',
  pounds: '£',
  euro: '€',
  texteuro: '€',
  textgreater: '>',
  textless: '<',
  slash: '/',
})

/** Signs that the readers from version 3 on know besides: names of programs, dashes that many define, letters in formulas. */
const MORE_SIGNS: Readonly<Record<string, string>> = byName({
  TeX: 'TeX',
  LaTeX: 'LaTeX',
  LaTeXe: 'LaTeX2ε',
  BibTeX: 'BibTeX',
  emdash: '—',
  endash: '–',
  mdash: '—',
  ndash: '–',
  textquotesingle: "'",
  textquotedbl: '"',
  textbullet: '•',
  textperiodcentered: '·',
  textbar: '|',
  textdollar: '$',
  textpercent: '%',
  textampersand: '&',
  textbraceleft: '{',
  textbraceright: '}',
  ...Object.fromEntries(
    `alpha α beta β gamma γ delta δ epsilon ε varepsilon ε zeta ζ eta η theta θ iota ι kappa κ lambda λ mu μ nu ν xi ξ pi π rho ρ
    sigma σ tau τ upsilon υ phi φ varphi φ chi χ psi ψ omega ω Gamma Γ Delta Δ Theta Θ Lambda Λ Xi Ξ Pi Π Sigma Σ Phi Φ Psi Ψ
    Omega Ω times × cdot · pm ± leq ≤ le ≤ geq ≥ ge ≥ neq ≠ ne ≠ approx ≈ sim ∼ infty ∞ rightarrow → to → leftarrow ← sum ∑
    int ∫ partial ∂ nabla ∇ in ∈ subset ⊂ cup ∪ cap ∩ forall ∀ exists ∃ circ ° degree ° prime ′ star ⋆ ast ∗ equiv ≡ propto ∝`
      .split(/\s+/)
      .reduce<[string, string][]>(
        (pairs, word, n, all) => (n % 2 ? pairs : [...pairs, [word, all[n + 1]!]]),
        [],
      ),
  ),
})
/** Commands that set how everything behind them in their group looks. */
const SWITCHES: Readonly<Record<string, string>> = byName({
  em: 'i',
  it: 'i',
  itshape: 'i',
  sl: 'i',
  slshape: 'i',
  bf: 'b',
  bfseries: 'b',
  tt: '',
  ttfamily: '',
  sc: '',
  scshape: '',
  rm: '',
  rmfamily: '',
  sf: '',
  sffamily: '',
  small: '',
  footnotesize: '',
  normalfont: '',
  upshape: '',
  mdseries: '',
})

/** Commands with a text behind them that CSL has a tag for. */
const STYLES: Readonly<Record<string, string>> = byName({
  emph: 'i',
  textit: 'i',
  textsl: 'i',
  textbf: 'b',
  textsuperscript: 'sup',
  textsubscript: 'sub',
})
/** Commands of which the words are all that is wanted. */
const KNOWN_WORDS = new Set(
  'mathrm mathit mathbf mathsf mathcal mathbb ensuremath textquote enquote href noopsort sortnoop newblock penalty nocase hbox'.split(
    ' ',
  ),
)
/** Commands that change only how their text looks, in ways nothing here has. */
const PLAIN = new Set([
  'text',
  'textrm',
  'textsf',
  'texttt',
  'textup',
  'textnormal',
  'textsc',
  'mbox',
  'url',
  'uppercase',
  'protect',
  'relax',
])

/**
 * A LaTeX text as Unicode: accents and letters composed, protecting braces gone, italics and the like as HTML tags as CSL
 * has them. `words`, as from version 3 of the readers on: formulas become text, and of commands that are not known the
 * words behind them stay; without it both stay as they are.
 */
export function fromLatex(text: string, words = false): string {
  if (!/[\\{}~$]|--|``|''/.test(text)) return text
  return new Decoder(text, words).all().normalize('NFC')
}

/** The commands in a text of which `fromLatex` keeps only the words behind them, each once. */
export function unknownCommands(text: string): string[] {
  if (!text.includes('\\')) return []
  const decoder = new Decoder(text, true)
  decoder.all()
  return [...decoder.unknown]
}

class Decoder {
  private at = 0
  readonly unknown = new Set<string>()
  constructor(
    private readonly text: string,
    private readonly words: boolean,
    private readonly math = false,
  ) {}

  /** Everything to the end of the group, or of the text. */
  all(inGroup = false): string {
    const { text } = this
    let out = ''
    let style = ''
    const styled = (): string => (style && out ? `<${style}>${out}</${style}>` : out)
    while (this.at < text.length) {
      const sign = text[this.at]!
      if (sign === '}') {
        this.at++
        if (inGroup) return styled()
      } else if (sign === '{') {
        this.at++
        out += this.all(true)
      } else if (sign === '\\') {
        const found = this.words && this.switched()
        if (found !== undefined && found !== false) style = inGroup && !out.trim() ? found : style
        else out += this.command()
      } else if (sign === '$') out += this.formula()
      else if (this.math && (sign === '^' || sign === '_')) out += this.raised(sign)
      else if (sign === '~') {
        out += '\u00a0'
        this.at++
      } else {
        const pair = /^(?:---|--|``|'')/.exec(text.slice(this.at, this.at + 3))?.[0]
        out += pair ? PAIRS[pair]! : sign
        this.at += pair?.length ?? 1
      }
    }
    return inGroup ? styled() : out
  }

  /** A command that sets how its group looks; undefined where none stands here. */
  private switched(): string | undefined {
    const found = /^\\([A-Za-z]+)(?![A-Za-z])\s*/.exec(this.text.slice(this.at, this.at + 40))
    const style = found ? SWITCHES[found[1]!] : undefined
    if (style !== undefined) this.at += found![0].length
    return style
  }

  private raised(sign: string): string {
    this.at++
    const tag = sign === '^' ? 'sup' : 'sub'
    const of = this.argument()
    return of && `<${tag}>${of}</${tag}>`
  }

  private formula(): string {
    const end = this.text.indexOf('$', this.at + 1)
    const stop = end < 0 ? this.at : end
    const found = this.text.slice(this.at, stop + 1)
    this.at = stop + 1
    if (!this.words || end < 0) return found
    const inside = new Decoder(found.slice(1, -1), true, true)
    const text = inside.all()
    for (const command of inside.unknown) this.unknown.add(command)
    return text
  }

  private command(): string {
    const from = this.at
    const [whole, name] = /^\\([A-Za-z]+|[^])?/.exec(this.text.slice(from, from + 40))!
    this.at += whole.length
    if (name === undefined) return '\\'
    const word = /^[A-Za-z]/.test(name)
    const mark = ACCENTS[name]
    if (mark !== undefined && (!word || /^[\s{\\]/.test(this.text.slice(this.at, this.at + 1)))) {
      const letter = this.argument()
      const first = /^./su.exec(letter)?.[0] ?? ''
      return first === 'ı' || first === 'ȷ'
        ? (first === 'ı' ? 'i' : 'j') + mark + letter.slice(1)
        : first + mark + letter.slice(first.length)
    }
    if (!word) return /[\s\\]/.test(name) ? ' ' : ['-', '/', ','].includes(name) ? '' : name
    const style = STYLES[name]
    if (style && this.text[this.at] === '{') return `<${style}>${this.argument()}</${style}>`
    if (this.words && (name === 'url' || name === 'path') && this.text[this.at] === '{') return this.address()
    if (PLAIN.has(name)) return this.text[this.at] === '{' ? this.argument() : ''
    const sign = SIGNS[name] ?? (this.words ? MORE_SIGNS[name] : undefined)
    if (sign === undefined) {
      if (!this.words) return whole
      if (!KNOWN_WORDS.has(name)) this.unknown.add(whole)
      // What it takes in square brackets says how, not what.
      this.at += /^(?:\[[^\]]*\])?/.exec(this.text.slice(this.at, this.at + 80))![0].length
      if (this.text[this.at] === '{') return this.argument()
      this.at += /^\s*/.exec(this.text.slice(this.at, this.at + 20))![0].length
      return ''
    }
    // The space behind a command ends it and is not a space.
    this.at += /^(?:\{\}|\s+)?/.exec(this.text.slice(this.at, this.at + 20))![0].length
    return sign
  }

  /** An address, in which every sign means itself. */
  private address(): string {
    const end = this.text.indexOf('}', this.at)
    const stop = end < 0 ? this.text.length : end
    const found = this.text.slice(this.at + 1, stop).replace(/\\([_%&#$~{}])/g, '$1')
    this.at = stop + 1
    return found
  }

  /** What a command is of: a group, another command, or one letter. */
  private argument(): string {
    this.at += /^\s*/.exec(this.text.slice(this.at, this.at + 20))![0].length
    const sign = this.text[this.at]
    if (sign === '{') {
      this.at++
      return this.all(true)
    }
    if (sign === '\\') return this.command()
    const letter = /^./su.exec(this.text.slice(this.at, this.at + 2))?.[0] ?? ''
    if (letter === '}') return ''
    this.at += letter.length
    return letter
  }
}
const PAIRS: Readonly<Record<string, string>> = byName({ '---': '—', '--': '–', '``': '“', "''": '”' })

const ESCAPES: Readonly<Record<string, string>> = byName({
  '\\': '\\textbackslash{}',
  '^': '\\textasciicircum{}',
  '~': '\\textasciitilde{}',
  '\u00a0': '~',
})

/** A text for a BibTeX value: what LaTeX would understand otherwise is escaped; letters stay in UTF-8. */
export const toLatex = (text: string): string =>
  text
    .replace(/[\\^~\u00a0]|[{}$&%#_]/g, (sign) => ESCAPES[sign] ?? `\\${sign}`)
    .replace(/-(?=-)|`(?=`)|'(?=')/g, '$&{}')
    .replace(/<i>([^<]*)<\/i>/g, '\\emph{$1}')
    .replace(/<b>([^<]*)<\/b>/g, '\\textbf{$1}')
    .replace(/<sup>([^<]*)<\/sup>/g, '\\textsuperscript{$1}')
    .replace(/<sub>([^<]*)<\/sub>/g, '\\textsubscript{$1}')

/** Depth of braces may be deep in a hostile text: deeper than this a value is kept as it stands. */
export const tooDeep = (text: string, most = 200): boolean => {
  let depth = 0
  for (let i = 0; i < text.length; i++) {
    if (text[i] === '{' && ++depth > most) return true
    if (text[i] === '}' && depth) depth--
  }
  return false
}
