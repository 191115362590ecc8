import { foldWord } from '../../base'

/**
 * Given names that are common where the languages of the four vocabularies are spoken, folded: common practice, from no
 * source. They only tell "Eva Lund, Dirk Prins" from "García Ruiza, María José", where the commas leave both open.
 */
const GIVEN = new Set(
  `adam adele agnes alan albert alejandro alex alexander alexandra alice amelie amir ana anders andrea andreas andrew angela
  anna anne annette annika anton antonio arne arthur astrid aurelie barbara beatriz ben benjamin bernard bernd birgit bjorn
  brian bruno camille carla carlos carmen carol caroline catherine charles charlotte chloe chris christian christina christine
  claire clara claudia claus cristina daniel daniela david dennis diana diego dieter dirk dominik dora edith eduardo edward
  elena elisabeth elise elizabeth ella ellen elsa emil emilia emily emma enrique eric erik ernst eva fabian farid fatima
  felix fernando fiona florian francisco francois frank franz fred frida friedrich gabriel gabriela george georg gerd gloria
  greta guillaume gustav hanna hannah hans harry heidi heinrich helen helena helga henri henrik henry hilde hiroshi hugo ian
  ida ilse ines inge ingrid irene iris isabel jack jacob jakob james jan jana jane javier jean jennifer jens jesus jill joan
  johan johann johanna john jonas jonathan jorge jose joseph juan julia julian julie jurgen karen kari karin karl karla
  katarina kate katharina klaus kristin lars laura lea lena leo leon leonie lisa lore louis louise luc lucas lucia luis lukas
  maja manuel marc marcel marco margaret maria marianne marie mario marion mark markus marta martha martin martina mary
  mathilde matthew maximilian mei melanie michael michelle miguel mina miriam monica monika nadia nancy natalie nicolas
  nicole niels nils nina noah nora olaf olga olivia omar oscar otto pablo patricia patrick paul paula pedro per peter petra
  philip philipp pierre pilar rafael ralf ramon raul rebecca richard riikka rita robert roberto rosa ruth samuel sandra sara
  sarah sebastian sergio silvia simon sofia sophie stefan stella stephen steven susan susanne sven sylvia teresa thomas tim
  tobias tom tomas ulla ulrich ulrike ursula uwe valentina vera victor victoria vincent walter werner wilhelm william wolfgang
  yasmin yvonne`.split(/\s+/),
)

/** Are these words given names, as far as they are known? */
export const isGiven = (word: string): boolean => GIVEN.has(foldWord(word).replace(/[^a-z]/g, ''))
