export * from './paper'
export * from './text'
export * from './sheet'
export * from './grid'
