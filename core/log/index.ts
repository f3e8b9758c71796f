export * from './asBuilt'
