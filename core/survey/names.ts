import type { Member } from './framing'

/** What a stud is called by how many plies it has. */
export const MEMBER_KIND_NAMES: Record<Member['kind'], string> = { single: 'single', double: 'doubled' }

/** How a stud is known: from readings of its own, or only from where its neighbours stand. */
export const MEMBER_SOURCE_NAMES: Record<Member['source'], string> = { observed: 'found', inferred: 'predicted' }
