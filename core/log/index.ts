export * from './asBuilt'
export * from './chain'
export * from './entry'
export * from './overrides'
