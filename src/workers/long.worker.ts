import '@/core/base/jitless'
import { expose } from 'comlink'
import { LongDesk } from './long-desk'
import { sayWhatIsLacking } from './data/lacking-said'
import { HERE } from './door'

sayWhatIsLacking()
expose(new LongDesk())
postMessage(HERE)
