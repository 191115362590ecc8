import { expose } from 'comlink'
import { LongDesk } from './long-desk'

expose(new LongDesk())
