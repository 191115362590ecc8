/** One of the invented databases that ship with Luvren. */
export interface StandinInfo {
  id: string
  name: string
  short: string
  vocabularyTitle?: string
  /** What sets it apart, in a few words. */
  character: string
}

export const STANDINS: readonly StandinInfo[] = [
  {
    id: 'fernhollow',
    name: 'Fernhollow Education Index',
    short: 'Fernhollow',
    vocabularyTitle: 'Fernhollow Thesaurus',
    character: 'lines kept · headings, main focus · no nearness',
  },
  {
    id: 'girder',
    name: 'Girder & Sound Abstracts',
    short: 'Girder & Sound',
    vocabularyTitle: 'Girder & Sound Thesaurus',
    character: 'stems · words side by side are a phrase · headings and codes',
  },
  {
    id: 'mindmere',
    name: 'Mindmere Psychology File',
    short: 'Mindmere',
    vocabularyTitle: 'Mindmere Thesaurus',
    character: 'nearness both ways · headings, main focus · named measures',
  },
  {
    id: 'wideband',
    name: 'Wideband Citation Index',
    short: 'Wideband',
    character: 'no vocabulary · OR before AND · exports 1,200',
  },
  {
    id: 'quayside',
    name: 'Quayside Library Search',
    short: 'Quayside',
    character: 'keeps no lines · AND, OR, NOT only in capitals · full text · shows 500',
  },
]

export const standin = (id: string | undefined): StandinInfo | undefined => STANDINS.find((s) => s.id === id)
