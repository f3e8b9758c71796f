export * from './levels'
export * from './figures'
export * from './table'
export * from './touched'
