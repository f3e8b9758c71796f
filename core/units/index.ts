export * from './length'
export * from './text'
export * from './figure'
