/** What there is on a wall that something can be about: pointed at, found fault with, taken on by name. */
export type SubjectKind
  = | 'wall'
    | 'array'
    | 'screen'
    | 'hole'
    | 'member'
    | 'reading'
    | 'reference'
    | 'feature'
    | 'probe'
    | 'mark'
    | 'box'
    | 'cable'
    | 'route'

/** A thing by its kind and its id, which lasts as long as the thing does. */
export interface Subject { kind: SubjectKind, id: string }

/** Whether two are one thing; nothing is no thing. */
export const isSame = (a: Subject | undefined, b: Subject | undefined): boolean =>
  a !== undefined && a.kind === b?.kind && a.id === b.id

/** One string for each thing, to look it up by. */
export const keyOf = ({ kind, id }: Subject): string => `${kind} ${id}`
