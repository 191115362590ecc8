import { foldWord } from '../../base'

/** Words that only bodies have in their names, in small letters without marks: English, German, Spanish, French, Nordic. */
const HEADS = new Set(
  `institute institut instituto institution ministry ministerium ministerio ministere department departamento departement
  office agency council committee commission association society university universitat universidad universite college
  board bureau centre center zentrum centro foundation stiftung fundacion fondation union network netzwerk group gruppe
  groupe team consortium konsortium federation verband academy akademie academia academie laboratory organization
  organisation organizacion authority government programme project taskforce company inc ltd gmbh llc corporation verein
  gesellschaft amt kommission ausschuss arbeitsgruppe asociacion sociedad consejo comite comision conseil societe hochschule
  collaborative collaboration initiative alliance partnership secretariat directorate inspectorate parliament senate
  statistics press publishers forum congress working study library museum school schools services administration`
    .split(/\s+/)
    .filter(Boolean),
)
/** Of these, alone or as a family name, a person may be called so too. */
const ALSO_NAMES = new Set(
  'board college press study working forum school schools services library statistics project congress'.split(
    ' ',
  ),
)

const wordsIn = (text: string): string[] => foldWord(text).match(/[\p{L}\p{N}’']+/gu) ?? []
const LINKS = /\s(?:of|for|on|de|del|der|des|du|für|zu|pour|para|voor)\s/iu

/** "Lund, Eva": one word before the comma, as most names are. */
const PLAIN = /^[^\s,{}]+(?:,\s[^\s,{}]+(?:\s[^\s,{}]+)?)?$/

/**
 * Is this the name of a body and not of a person? It has a word that only bodies have; words that may be names of persons
 * too count only beside "of" or "for", or among three and more.
 */
export function isBody(text: string): boolean {
  if (PLAIN.test(text)) return false
  const words = wordsIn(text)
  const heads = words.filter(
    (w) => HEADS.has(w) || /(?:ministerium|institut|gesellschaft|verband|universitat|zentrum|amt)$/.test(w),
  )
  if (!heads.length) return /^the\s+\p{Lu}/iu.test(text) && words.length > 2
  if (heads.some((w) => !ALSO_NAMES.has(w))) return words.length > 1
  return (
    LINKS.test(text) ||
    (words.length > 1 && ALSO_NAMES.has(words.at(-1)!) && words.length <= 4) ||
    words.length > 2
  )
}
