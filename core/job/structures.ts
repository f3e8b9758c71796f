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
  /** The specific gravity that a sheet of wood is taken to have in dowel bearing (NDS table 12.3.3B). */
  gravity?: number
}

/** What a wall can be built of. */
export const STRUCTURES = {
  'wood-stud': { title: 'Wood studs', framed: true, masonry: false },
  'steel-stud': { title: 'Steel studs', framed: true, masonry: false },
  'block': { title: 'Block', framed: false, masonry: true, units: 'block' },
  'brick': { title: 'Brick', framed: false, masonry: true, units: 'brick' },
  'concrete': { title: 'Concrete', framed: false, masonry: true },
} as const satisfies Record<string, StructureKind>

/** Sheets in a wall's build-up that carry what is fixed to them, where they are fixed to the structure themselves. */
export const SHEETS = {
  'plywood': { title: 'Plywood backing', framed: false, masonry: false, gravity: 0.42 },
  'osb': { title: 'OSB backing', framed: false, masonry: false, gravity: 0.5 },
  'steel-plate': { title: 'Steel backing', framed: false, masonry: false },
} as const satisfies Record<string, StructureKind>

/** What the units of a wall can be. */
export const UNIT_TYPES = {
  block: ['hollow', 'solid', 'grouted'],
  brick: ['solid', 'frogged', 'perforated'],
} as const

/** What a fastener goes into: a structure, or a sheet that backs its covering. */
export type Base = keyof typeof STRUCTURES | keyof typeof SHEETS
export const STRUCTURE_NAMES = Object.keys(STRUCTURES) as Base[]
export const BASES = [...STRUCTURE_NAMES, ...Object.keys(SHEETS) as Base[]]

const KINDS: Record<Base, StructureKind> = { ...STRUCTURES, ...SHEETS }
export const structureKindOf = ({ kind }: { kind: Base }): StructureKind => KINDS[kind]
export const isSheet = (base: string): base is keyof typeof SHEETS => Object.hasOwn(SHEETS, base)
