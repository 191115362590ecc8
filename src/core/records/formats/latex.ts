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

/** Commands with a text behind them that CSL has a tag for. */
const STYLES: Readonly<Record<string, string>> = byName({
  emph: 'i',
  textit: 'i',
  textsl: 'i',
  textbf: 'b',
  textsuperscript: 'sup',
  textsubscript: 'sub',
})
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
 * has them. Formulas in dollars and commands that are not known stay as they are.
 */
export function fromLatex(text: string): string {
  if (!/[\\{}~$]|--|``|''/.test(text)) return text
  return new Decoder(text).all().normalize('NFC')
}

class Decoder {
  private at = 0
  constructor(private readonly text: string) {}

  /** Everything to the end of the group, or of the text. */
  all(inGroup = false): string {
    const { text } = this
    let out = ''
    while (this.at < text.length) {
      const sign = text[this.at]!
      if (sign === '}') {
        this.at++
        if (inGroup) return out
      } else if (sign === '{') {
        this.at++
        out += this.all(true)
      } else if (sign === '\\') out += this.command()
      else if (sign === '$') out += this.formula()
      else if (sign === '~') {
        out += '\u00a0'
        this.at++
      } else {
        const pair = /^(?:---|--|``|'')/.exec(text.slice(this.at, this.at + 3))?.[0]
        out += pair ? PAIRS[pair]! : sign
        this.at += pair?.length ?? 1
      }
    }
    return out
  }

  private formula(): string {
    const end = this.text.indexOf('$', this.at + 1)
    const stop = end < 0 ? this.at : end
    const found = this.text.slice(this.at, stop + 1)
    this.at = stop + 1
    return found
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
    if (PLAIN.has(name)) return this.text[this.at] === '{' ? this.argument() : ''
    const sign = SIGNS[name]
    if (sign === undefined) return whole
    // The space behind a command ends it and is not a space.
    this.at += /^(?:\{\}|\s+)?/.exec(this.text.slice(this.at, this.at + 20))![0].length
    return sign
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
