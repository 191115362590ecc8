import { expose } from 'comlink'
import { SearchDesk } from './search-desk'

expose(new SearchDesk())
