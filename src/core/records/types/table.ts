import { byName } from '../../base'

/**
 * The types of works that are told apart here, each with what formats and people call it: RIS codes, CSL types, BibTeX and
 * biblatex entries (of several, the first is written), and words as databases and tables have them, in English, German,
 * Spanish and French, in small letters and in the singular.
 */
export interface TypeRow {
  type: string
  ris: string
  csl: string
  bibtex: string
  words: string
}

const row = (type: string, ris: string, csl: string, bibtex: string, words: string): TypeRow => ({
  type,
  ris,
  csl,
  bibtex,
  words,
})

/** In the order in which they are read: of two rows with one code, the first is what the code alone means. */
export const TYPE_ROWS: readonly TypeRow[] = [
  row(
    'journal article',
    'JOUR EJOUR ABST INPR',
    'article-journal',
    'article',
    `article, journal, journal paper, research article, research paper, original article, original research, original paper,
    review, review article, literature review, short communication, brief report, case report, editorial, letter,
    article in press, early access, academic journal, scholarly journal, peer reviewed article, jour, article journal,
    zeitschriftenartikel, zeitschriftenaufsatz, artikel, aufsatz, fachartikel, zeitschrift, übersichtsartikel, forschungsartikel,
    artículo, artículo de revista, artículo de investigación, artículo original, revista, artículo de revisión,
    article de revue, article de périodique, article scientifique, article de recherche, revue`,
  ),
  row(
    'conference paper',
    'CPAPER CONF',
    'paper-conference',
    'inproceedings conference',
    `conference, proceedings paper, conference article, conference proceeding, conference proceedings, conference presentation,
    conference contribution, meeting abstract, conference abstract, paper in proceedings, speeches/meeting papers, meeting paper,
    cpaper, paper conference, inproceedings, konferenzbeitrag, konferenzpaper, tagungsbeitrag, tagungspapier, konferenz,
    ponencia, comunicación, comunicación de congreso, contribución a congreso, actas de congreso, ponencia de congreso,
    communication, communication de congrès, actes de congrès, article de conférence, acte de conférence`,
  ),
  row(
    'thesis',
    'THES',
    'thesis',
    'thesis phdthesis mastersthesis',
    `dissertation, doctoral thesis, doctoral dissertation, phd, phd thesis, phd dissertation, master thesis, master's thesis,
    masters thesis, master’s thesis, ma thesis, msc thesis, bachelor thesis, bachelor's thesis, academic thesis, dissertation/thesis,
    thesis/dissertation, dissertations/theses, thes, phdthesis, mastersthesis, doktorarbeit, hochschulschrift, masterarbeit,
    bachelorarbeit, diplomarbeit, habilitationsschrift, abschlussarbeit, tesis, tesis doctoral, tesis de maestría, tesina,
    trabajo de fin de máster, thèse, thèse de doctorat, mémoire, mémoire de master`,
  ),
  row(
    'report',
    'RPRT GOVDOC',
    'report',
    'report techreport',
    `technical report, research report, government report, government document, government publication, annual report, rprt,
    reports - research, techreport, bericht, forschungsbericht, technischer bericht, abschlussbericht, informe, informe técnico,
    reporte, informe de investigación, rapport, rapport technique, rapport de recherche`,
  ),
  row(
    'chapter',
    'CHAP ECHAP',
    'chapter',
    'incollection inbook suppbook suppcollection bookinbook',
    `book chapter, book section, chapter in book, chapter in a book, chapter in an edited book, book part, section, chap,
    incollection, buchkapitel, kapitel, buchbeitrag, sammelbandbeitrag, beitrag in sammelband, beitrag in einem sammelband, capítulo,
    capítulo de libro, sección de libro, chapitre, chapitre de livre, chapitre d'ouvrage, chapitre d’ouvrage`,
  ),
  row(
    'book',
    'BOOK EBOOK SER',
    'book',
    'book mvbook booklet',
    `monograph, whole book, e-book, ebook, textbook, authored book, buch, monographie, monografie, lehrbuch, libro, monografía, livre,
    ouvrage`,
  ),
  row(
    'edited book',
    'EDBOOK',
    'book',
    'collection mvcollection',
    `edited volume, edited collection, collection, book (edited), handbook, sammelband, sammelwerk, herausgeberband, libro editado,
    libro colectivo, obra colectiva, ouvrage collectif`,
  ),
  row(
    'proceedings',
    'CONF',
    'book',
    'proceedings mvproceedings',
    'proceedings volume, tagungsband, konferenzband',
  ),
  row(
    'manuscript',
    'UNPB MANSCPT',
    'manuscript',
    'unpublished',
    'unpublished, unpublished work, unpublished manuscript, manuskript, unveröffentlicht, manuscrito, inédito, manuscrit',
  ),
  row(
    'preprint',
    'UNPB',
    'article',
    'misc',
    `pre-print, posted content, e-print, eprint, author's original, prepublicación, preimpreso, prépublication, preprint-artikel`,
  ),
  row(
    'working paper',
    'RPRT',
    'report',
    'techreport',
    `discussion paper, arbeitspapier, diskussionspapier, documento de trabajo, document de travail`,
  ),
  row(
    'book review',
    'JOUR',
    'review-book',
    'article',
    'review of a book, rezension, buchbesprechung, reseña, compte rendu',
  ),
  row(
    'magazine article',
    'MGZN',
    'article-magazine',
    'article',
    'magazine, trade publication, trade magazine, mgzn, zeitschriftenbeitrag in magazin, magazinartikel, artículo de magacín, article de magazine',
  ),
  row(
    'newspaper article',
    'NEWS',
    'article-newspaper',
    'article',
    'newspaper, news, news article, zeitungsartikel, zeitung, artículo de periódico, periódico, article de journal, article de presse',
  ),
  row(
    'dataset',
    'DATA AGGR',
    'dataset',
    'dataset',
    'data set, data, datensatz, conjunto de datos, jeu de données',
  ),
  row(
    'web page',
    'ELEC',
    'webpage',
    'online electronic www',
    'website, web site, webpage, web, online, internet document, webseite, internetseite, página web, sitio web, page web, site web',
  ),
  row(
    'blog post',
    'BLOG',
    'post-weblog',
    'online',
    'blog, blog entry, blogbeitrag, entrada de blog, billet de blog',
  ),
  row('standard', 'STAND', 'standard', 'standard', 'norm, technical standard, norma, norme'),
  row('patent', 'PAT', 'patent', 'patent', 'patente, brevet'),
  row('software', 'COMP', 'software', 'software', 'computer program, program, programm, programa, logiciel'),
  row(
    'encyclopedia entry',
    'ENCYC',
    'entry-encyclopedia',
    'inreference',
    'encyclopedia article, reference entry, reference work entry, lexikonartikel, enzyklopädieartikel, entrada de enciclopedia',
  ),
  row(
    'dictionary entry',
    'DICT',
    'entry-dictionary',
    'inreference',
    'wörterbucheintrag, entrada de diccionario',
  ),
  row('manual', 'RPRT', 'report', 'manual', 'technical manual, user manual, handbuch, guide'),
]

/** What biblatex calls kinds of theses, reports and software by keys (biblatex 3, section 4.9.2.13), in English words. */
export const GENRE_WORDS: Readonly<Record<string, string>> = byName({
  bathesis: 'Bachelor’s thesis',
  mathesis: 'Master’s thesis',
  phdthesis: 'PhD thesis',
  candthesis: 'Candidate thesis',
  techreport: 'Technical report',
  resreport: 'Research report',
  software: 'Computer software',
  datacd: 'CD-ROM',
  audiocd: 'Audio CD',
})
/** What an entry of BibTeX says of the kind of its work. */
export const ENTRY_GENRES: Readonly<Record<string, string>> = byName({
  phdthesis: 'PhD thesis',
  mastersthesis: 'Master’s thesis',
  techreport: 'Technical report',
})
