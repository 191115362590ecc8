export { figuresOf, searchedIn, type Figures, type SourceHits } from './figures'
export { saidOfWorks, waysOf } from './tally'
export { figuresAt, tell, tellOn, type FiguresBeside, type Told } from './told'
