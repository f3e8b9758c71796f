/** What is particular to one kind of structure, for whatever asks a wall what it is built of. */
export interface StructureKind {
  /** What it is called among the choices of a screen. */
  title: string
  /** Whether studs carry, and have to be found. */
  framed: boolean
  /** Whether it takes anchors, by what their makers allow. */
  masonry: boolean
  /** The units that it is laid of, whose joints carry nothing. */
  units?: 'block' | 'brick'
}

/** What a wall can be built of, and what a fastener goes into. */
export const STRUCTURES = {
  'wood-stud': { title: 'Wood studs', framed: true, masonry: false },
  'steel-stud': { title: 'Steel studs', framed: true, masonry: false },
  'block': { title: 'Block', framed: false, masonry: true, units: 'block' },
  'brick': { title: 'Brick', framed: false, masonry: true, units: 'brick' },
  'concrete': { title: 'Concrete', framed: false, masonry: true },
} as const satisfies Record<string, StructureKind>

/** What the units of a wall can be. */
export const UNIT_TYPES = {
  block: ['hollow', 'solid', 'grouted'],
  brick: ['solid', 'frogged', 'perforated'],
} as const

export type Base = keyof typeof STRUCTURES
export const BASES = Object.keys(STRUCTURES) as Base[]

export const structureKindOf = ({ kind }: { kind: Base }): StructureKind => STRUCTURES[kind]
