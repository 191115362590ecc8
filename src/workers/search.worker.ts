import '@/core/base/jitless'
import { expose } from 'comlink'
import { JudgeDesk } from './judge-desk'
import { OpenSources } from './open-sources'
import { SearchDesk } from './search-desk'
import { VocabularyDesk } from './vocabulary-desk'
import { WordDesk } from './word-desk'
import { sayWhatIsLacking } from './data/lacking-said'
import { HERE } from './door'

sayWhatIsLacking()
const sources = new OpenSources()
expose({
  search: new SearchDesk(sources),
  vocabularies: new VocabularyDesk(sources),
  words: new WordDesk(sources),
  judge: new JudgeDesk(sources),
})
postMessage(HERE)
