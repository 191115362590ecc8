import { expose } from 'comlink'
import { RecordsDesk } from './records-desk'

expose(new RecordsDesk())
