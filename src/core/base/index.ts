export * from './problem'
export * from './text'
export * from './canonical'
export * from './first'
