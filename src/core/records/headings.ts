import { foldWord } from '../base'
import { FIELDS } from './fields'

/** What columns are called in tables of other languages: German, Spanish, French, Portuguese, Italian; common practice. */
const ELSEWHERE: Readonly<Record<string, string>> = {
  id: 'datensatznummer, id-nummer, identifikator, número de registro, numéro de notice, numero di record',
  title:
    'titel, aufsatztitel, título, título del artículo, titre, titre de l’article, titolo, título do artigo',
  authors: `autor, autoren, autorinnen, autor/in, autor/innen, autorinnen und autoren, verfasser, verfasserin, verfasser/in, autores,
    autor(es), autoría, auteur, auteurs, auteur(s), autori, autore, autrice`,
  year: `jahr, erscheinungsjahr, publikationsjahr, veröffentlichungsjahr, año, año de publicación, ano, ano de publicação, année,
    année de publication, anno, anno di pubblicazione`,
  journal: `zeitschrift, zeitschriftentitel, quelle, titel der zeitschrift, zeitschrift/buch, revista, fuente, título de la revista, revue,
    périodique, titre de la revue, titre du périodique, rivista, fonte, periódico, título da revista`,
  volume: 'band, jahrgang, bd, volumen, tome, annata, jg',
  issue: 'heft, ausgabe, heftnummer, nr, número, fascículo, numéro, fascicule, numero, fascicolo, edição',
  pages: 'seiten, seite, seitenzahl, seitenzahlen, seitenangabe, páginas, pagine, página, pagination',
  abstract: 'zusammenfassung, kurzfassung, kurzreferat, resumen, resumo, résumé, riassunto, sommario',
  keywords: `schlagwörter, schlagworte, schlagwort, stichwörter, stichworte, schlüsselwörter, palabras clave, palabras-clave,
    palavras-chave, palavras chave, mots-clés, mots clés, parole chiave, parole-chiave`,
  headings:
    'deskriptoren, deskriptor, descriptores, descripteurs, descritores, descrittori, sachschlagwörter',
  type: `dokumenttyp, dokumentart, publikationstyp, publikationsart, medientyp, typ, tipo, tipo de documento, tipo de publicación,
    type de document, type de publication, tipo di documento, tipo de publicação`,
  language: 'sprache, idioma, langue, lingua, língua',
  url: 'adresse, webadresse, enlace, lien, indirizzo, endereço',
  publisher: 'verlag, verleger, editorial, éditeur, editora, editore, maison d’édition',
  publisherPlace:
    'ort, verlagsort, erscheinungsort, lugar, lugar de publicación, lieu, lieu de publication, luogo',
  editors:
    'herausgeber, herausgeberin, herausgeber/in, hrsg, hrsg., éditeurs scientifiques, curatori, a cura di',
  edition: 'auflage, edición, édition, edizione',
  series: 'reihe, schriftenreihe, colección, collection, collana, série',
  notes: 'anmerkung, anmerkungen, notiz, notas, remarques, note',
  timesCited: 'zitiert von, citado por, cité par, citato da',
}
const NUMBERS = ['id', 'number', 'accession number', 'record number', 'record id']

const plain = (heading: string): string => foldWord(heading.trim().replace(/’/g, "'")).replace(/[_\s]+/g, ' ')

const BY_HEADING = new Map<string, string>()
const put = (heading: string, key: string): void => {
  if (!BY_HEADING.has(plain(heading))) BY_HEADING.set(plain(heading), key)
}
for (const { key, label, also } of FIELDS) for (const name of [label, key, ...(also ?? [])]) put(name, key)
for (const name of NUMBERS) put(name, 'id')
for (const [key, names] of Object.entries(ELSEWHERE)) for (const name of names.split(',')) put(name, key)

/** The field, or `id`, that a heading of a table is of, in whatever of six languages; undefined where none is known. */
export const fieldOfHeading = (heading: string): string | undefined => BY_HEADING.get(plain(heading))
