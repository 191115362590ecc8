import '@/core/base/jitless'
import { expose } from 'comlink'
import { LongDesk } from './long-desk'
import { HERE } from './door'

expose(new LongDesk())
postMessage(HERE)
