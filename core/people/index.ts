export * from './roles'
export * from './rights'
export * from './entries'
export * from './grants'
