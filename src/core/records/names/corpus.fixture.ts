/**
 * What stands in columns and rows of authors, and how a person reads it; typed before the reader was written. Left the
 * text as a file has it, right each name as records have it ("family, given, suffix"; in braces, or without a comma, one
 * that is no person's). By class, in the order: what it is, then its lines.
 */
const TYPED: Readonly<Record<string, string>> = {
  'one person': `
    Lund, Eva => Lund, Eva
    Lund, E. => Lund, E.
    Lund, E => Lund, E
    Lund, E. M. => Lund, E. M.
    Lund, E.M. => Lund, E.M.
    Lund EM => Lund, EM
    Lund E => Lund, E
    Lund E. M. => Lund, E. M.
    Lund E.M. => Lund, E.M.
    Eva Lund => Lund, Eva
    Eva M. Lund => Lund, Eva M.
    E. M. Lund => Lund, E. M.
    E.M. Lund => Lund, E.M.
    E. Lund => Lund, E.
    O'Brannigan, Síle => O'Brannigan, Síle
    Ångmark, Åsa => Ångmark, Åsa
    Weiß-Bach, Jörg => Weiß-Bach, Jörg
    Prins, Dirk-Jan => Prins, Dirk-Jan
    Prins, D.-J. => Prins, D.-J.
    Prins D-J => Prins, D-J
    Plato => Plato`,
  particles: `
    van den Berg, Peter B. => van den Berg, Peter B.
    de la Cruz, Hiroshi B. => de la Cruz, Hiroshi B.
    Le Roux, Anne Marie => Le Roux, Anne Marie
    Peter van den Berg => van den Berg, Peter
    Hiroshi B. de la Cruz => de la Cruz, Hiroshi B.
    Maria De La Torreja => De La Torreja, Maria
    Ludwig Van Doren => Van Doren, Ludwig
    P. van den Berg => van den Berg, P.
    van den Berg P => van den Berg, P
    Van Doren LB => Van Doren, LB
    de la Cruz HB => de la Cruz, HB
    Anna von Stollberg => von Stollberg, Anna
    von Stollberg, Anna => von Stollberg, Anna
    Carla dos Prazeres => dos Prazeres, Carla
    dos Prazeres, C. => dos Prazeres, C.
    Ten Brinke, Ilse => Ten Brinke, Ilse
    Omar al Hadidi => al Hadidi, Omar
    Di Lorena, Marco => Di Lorena, Marco`,
  'double surnames': `
    García Lópeza, María José => García Lópeza, María José
    García-Lópeza, María => García-Lópeza, María
    García Lópeza, M. J. => García Lópeza, M. J.
    García Lópeza MJ => García Lópeza, MJ
    García Lópeza M => García Lópeza, M
    María García-Lópeza => García-Lópeza, María
    Ruiz de Almagra, Inés => Ruiz de Almagra, Inés
    Sundt Ekern, Kari => Sundt Ekern, Kari
    Ortega y Gaseta, J. => Ortega y Gaseta, J.`,
  suffixes: `
    Lund, Eva, Jr. => Lund, Eva, Jr.
    Lund, Eva, III => Lund, Eva, III
    Lund, E. M., Jr. => Lund, E. M., Jr.
    Lund Jr., Eva => Lund, Eva, Jr.
    Lund III, E. => Lund, E., III
    Eva Lund Jr. => Lund, Eva, Jr.
    Eva Lund, Jr. => Lund, Eva, Jr.
    Eva Lund III => Lund, Eva, III
    Lund E Jr => Lund, E, Jr`,
  'bodies without a comma': `
    Institute for Rooms => Institute for Rooms
    Ministry of Education => Ministry of Education
    University of Northwick => University of Northwick
    Northwick University => Northwick University
    National Council for Quiet Schools => National Council for Quiet Schools
    Harbour Press => Harbour Press
    Institut für Schulräume => Institut für Schulräume
    Ministerio de Aulas => Ministerio de Aulas
    Ministère de l’Écoute => Ministère de l’Écoute
    Centre for Listening => Centre for Listening
    Office of School Buildings => Office of School Buildings
    Gesellschaft für Raumklang => Gesellschaft für Raumklang
    Department of Acoustics => Department of Acoustics
    Asociación de Escuelas => Asociación de Escuelas
    The Quiet Rooms Study Group => The Quiet Rooms Study Group
    Listening Consortium => Listening Consortium
    Quiet Rooms Ltd => Quiet Rooms Ltd
    Society for Speech and Rooms => Society for Speech and Rooms
    World Listening Organisation => World Listening Organisation
    QRSN Collaborative Group => QRSN Collaborative Group`,
  'bodies with a comma or and': `
    Ministry of Education, Office for Schools => {Ministry of Education, Office for Schools}
    University of Northwick, School of Education => {University of Northwick, School of Education}
    Department of Schools, Sports and Youth => {Department of Schools, Sports and Youth}
    Institute for Rooms, Sound and Light => {Institute for Rooms, Sound and Light}
    Ministry of Schools and Sports => Ministry of Schools and Sports
    Society for Speech and Rooms => Society for Speech and Rooms
    Office for Schools, Northwick => {Office for Schools, Northwick}
    Quiet Rooms, Inc. => {Quiet Rooms, Inc.}
    Ministerium für Schule, Sport und Klang => {Ministerium für Schule, Sport und Klang}`,
  'lists by semicolons': `
    Lund, Eva; Prins, Dirk => Lund, Eva | Prins, Dirk
    Lund, E.; Prins, D. => Lund, E. | Prins, D.
    Lund E; Prins D => Lund, E | Prins, D
    Eva Lund; Dirk Prins => Lund, Eva | Prins, Dirk
    Lund, Eva; van den Berg, Peter B.; Le Roux, Anne => Lund, Eva | van den Berg, Peter B. | Le Roux, Anne
    Lund, Eva; Institute for Rooms => Lund, Eva | Institute for Rooms
    Ministry of Education, Office for Schools; Prins, Dirk => {Ministry of Education, Office for Schools} | Prins, Dirk
    Lund, Eva, Jr.; Prins, Dirk => Lund, Eva, Jr. | Prins, Dirk
    Lund, Eva; Prins, Dirk; => Lund, Eva | Prins, Dirk
    Lund, Eva;Prins, Dirk => Lund, Eva | Prins, Dirk
    García Lópeza, María; Sundt Ekern, Kari => García Lópeza, María | Sundt Ekern, Kari
    Lund, Eva; & Prins, Dirk => Lund, Eva | Prins, Dirk
    Lund, Eva; and Prins, Dirk => Lund, Eva | Prins, Dirk`,
  'lists by and': `
    Eva Lund and Dirk Prins => Lund, Eva | Prins, Dirk
    Eva Lund & Dirk Prins => Lund, Eva | Prins, Dirk
    Lund, Eva and Prins, Dirk => Lund, Eva | Prins, Dirk
    Lund, E. & Prins, D. => Lund, E. | Prins, D.
    Lund, E., & Prins, D. => Lund, E. | Prins, D.
    Lund, E., Prins, D., & Ahola, R. => Lund, E. | Prins, D. | Ahola, R.
    Lund, E., Prins, D. and Ahola, R. => Lund, E. | Prins, D. | Ahola, R.
    Eva Lund, Dirk Prins and Riikka Ahola => Lund, Eva | Prins, Dirk | Ahola, Riikka
    Eva Lund, Dirk Prins, and Riikka Ahola => Lund, Eva | Prins, Dirk | Ahola, Riikka
    Lund E, Prins D & Ahola R => Lund, E | Prins, D | Ahola, R
    Eva Lund und Dirk Prins => Lund, Eva | Prins, Dirk
    Lund, Eva und Prins, Dirk => Lund, Eva | Prins, Dirk
    Inés Ruiza y Marta Sola => Ruiza, Inés | Sola, Marta
    Anne Le Roux et Luc Mordan => Le Roux, Anne | Mordan, Luc
    Eva Lund and Institute for Rooms => Lund, Eva | Institute for Rooms
    Peter van den Berg and Eva Lund => van den Berg, Peter | Lund, Eva`,
  'lists by commas': `
    Eva Lund, Dirk Prins => Lund, Eva | Prins, Dirk
    Eva Lund, Dirk Prins, Riikka Ahola => Lund, Eva | Prins, Dirk | Ahola, Riikka
    E. Lund, D. Prins => Lund, E. | Prins, D.
    E. M. Lund, D. Prins, R. Ahola => Lund, E. M. | Prins, D. | Ahola, R.
    Lund E, Prins D => Lund, E | Prins, D
    Lund EM, Prins DJ, Ahola R => Lund, EM | Prins, DJ | Ahola, R
    Lund, E., Prins, D. => Lund, E. | Prins, D.
    Lund, E. M., Prins, D. J., Ahola, R. => Lund, E. M. | Prins, D. J. | Ahola, R.
    Lund, Eva, Prins, Dirk => Lund, Eva | Prins, Dirk
    Lund, Eva, Prins, Dirk, Ahola, Riikka => Lund, Eva | Prins, Dirk | Ahola, Riikka
    van den Berg, P., Lund, E. => van den Berg, P. | Lund, E.
    van den Berg P, Lund E => van den Berg, P | Lund, E
    Eva Lund, Peter van den Berg => Lund, Eva | van den Berg, Peter
    García Lópeza, M., Sundt Ekern, K. => García Lópeza, M. | Sundt Ekern, K.`,
  'other scripts': `
    山田太郎 => 山田太郎
    山田, 太郎 => 山田, 太郎
    山田 太郎; 王 明 => 山田 太郎 | 王 明
    山田太郎; 王明 => 山田太郎 | 王明
    山田太郎、王明 => 山田太郎 | 王明
    Иванецкая А. Б. => Иванецкая, А. Б.
    Иванецкая, А. Б.; Петрушин, В. => Иванецкая, А. Б. | Петрушин, В.
    Анна Иванецкая => Иванецкая, Анна
    محمد الحديدي => محمد الحديدي
    الحديدي، محمد => الحديدي, محمد
    김민서 => 김민서
    Παππάς, Γ. => Παππάς, Γ.`,
  'and others, roles': `
    Lund, E., et al. => Lund, E. | …
    Lund, Eva; Prins, Dirk; et al. => Lund, Eva | Prins, Dirk | …
    Eva Lund et al. => Lund, Eva | …
    Lund E, Prins D, et al => Lund, E | Prins, D | …
    Lund, Eva and others => Lund, Eva | …
    Lund, Eva u. a. => Lund, Eva | …
    Quill, A. (Ed.) => Quill, A. ed
    Quill, A. (Eds.); Lund, E. => Quill, A. ed | Lund, E.
    Quill, A. (Hrsg.) => Quill, A. ed
    Quill, A. [editor] => Quill, A. ed
    Quill, Anna (Trans.) => Quill, Anna tr
    Anna Quill (ed.) => Quill, Anna ed
    Lund, Eva (Author) => Lund, Eva
    Lund, E., & Prins, D. (Eds.) => Lund, E. ed | Prins, D. ed`,
}

export interface NamesCase {
  of: string
  text: string
  /** Each name, then its role where one is said; "…" for others who are not named. */
  reading: string[]
}

const FAMILIES =
  'Ångmark,Bøgelund,Dürrwald,Ekström,Fabregón,Hällgren,Jürgensohn,Kowalik,Müllner,Norregard,Quiroz,Rößler,Thorvall,Ullmark,Weißbach,Žemlička,Brandhoff,Castellmar,Dornfeld,Elverum'.split(
    ',',
  )
const GIVEN = 'Anna,Bernd,Clara,David,Elena,Farid,Greta,Hugo,Ines,Jonas,Karin,Luis,Maja,Nils,Olga'.split(',')
const BEFORE = ['van', 'van der', 'de', 'de la', 'von', 'dos', 'Le', 'Van']
const HEADS = [
  'Institute for',
  'Ministry of',
  'Office for',
  'Council on',
  'Centre for',
  'Institut für',
  'Sociedad de',
]
const OF = ['Rooms', 'Quiet Schools', 'Listening', 'School Buildings', 'Klang', 'Aulas']

/** The other half: names put together from parts, so that their reading is known. */
function* made(): Generator<NamesCase> {
  const [f, g] = [FAMILIES, GIVEN]
  const at = <T>(list: readonly T[], n: number): T => list[n % list.length]!
  for (let n = 0; n < 29; n++) {
    const [family, given, middle] = [at(f, n), at(g, n * 7), at(g, n * 3 + 1)[0]!]
    const [second, secondGiven] = [at(f, n * 3 + 5), at(g, n * 5 + 2)]
    const one = [`${family}, ${given}`, `${second}, ${secondGiven}`]
    const short = [`${family}, ${given[0]}. ${middle}.`, `${second}, ${secondGiven[0]}.`]
    const bare = [`${family}, ${given[0]}${middle}`, `${second}, ${secondGiven[0]}`]
    const particle = at(BEFORE, n)
    const body = `${at(HEADS, n)} ${at(OF, n * 5)}`
    yield {
      of: 'one person',
      text: `${given} ${middle}. ${family}`,
      reading: [`${family}, ${given} ${middle}.`],
    }
    yield {
      of: 'particles',
      text: `${given} ${particle} ${family}`,
      reading: [`${particle} ${family}, ${given}`],
    }
    yield {
      of: 'double surnames',
      text: `${family} ${second}, ${given} ${secondGiven}; ${one[1]}`,
      reading: [`${family} ${second}, ${given} ${secondGiven}`, one[1]!],
    }
    yield { of: 'suffixes', text: `${one[0]}, Jr.; ${short[1]}`, reading: [`${one[0]}, Jr.`, short[1]!] }
    yield { of: 'bodies without a comma', text: body, reading: [body] }
    yield {
      of: 'bodies with a comma or and',
      text: `${body}, ${at(HEADS, n + 3)} ${at(OF, n)}`,
      reading: [`{${body}, ${at(HEADS, n + 3)} ${at(OF, n)}}`],
    }
    yield { of: 'lists by semicolons', text: `${short.join('; ')}; ${body}`, reading: [...short, body] }
    yield { of: 'lists by and', text: `${short[0]}, & ${short[1]}`, reading: short }
    yield {
      of: 'lists by commas',
      text: `${given} ${family}, ${secondGiven} ${second}, ${middle}. ${at(f, n + 9)}`,
      reading: [...one, `${at(f, n + 9)}, ${middle}.`],
    }
    yield { of: 'lists by commas', text: bare.map((b) => b.replace(',', '')).join(', '), reading: bare }
    yield { of: 'and others, roles', text: `${short.join(', ')}, et al.`, reading: [...short, '…'] }
    yield {
      of: 'and others, roles',
      text: `${one[0]} (Ed.); ${one[1]} (Eds.)`,
      reading: one.map((o) => `${o} ed`),
    }
  }
}

export const NAMES_CORPUS: readonly NamesCase[] = [
  ...Object.entries(TYPED).flatMap(([of, lines]) =>
    lines
      .trim()
      .split('\n')
      .map((line) => {
        const [text, reading] = line.split(' => ').map((s) => s.trim()) as [string, string]
        return { of, text, reading: reading.split(' | ') }
      }),
  ),
  ...made(),
]
