import '@/core/base/jitless'
import { expose } from 'comlink'
import { RecordsDesk } from './records-desk'
import { HERE } from '../door'

expose(new RecordsDesk())
postMessage(HERE)
