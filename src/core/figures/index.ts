export { figuresOf, searchedIn, type Figures, type SourceHits } from './figures'
export { figuresAt, tell, tellOn, type FiguresBeside, type Told } from './told'
