export * from './levels'
export * from './table'
