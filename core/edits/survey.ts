import { madeId, madeIds, type Evidence, type Feature, type Layer, type Structure, type Wall } from '../job'
import type { TypedReading } from '../survey'

/** Adds readings to a wall's evidence, with who took them and when. */
export function addReadings(wall: Wall, readings: TypedReading[], by: string, at: string): void {
  const before = wall.evidence ?? []
  const ids = madeIds('e', before, readings.length)
  wall.evidence = [...before, ...readings.map((reading, n) => ({ id: ids[n]!, ...reading, ...(by && { by }), at }))]
}

/** A reading of a wall by its id; an edit of one that is gone is an error in the program. */
export function readingOf(wall: Wall, id: string): Evidence {
  const reading = wall.evidence?.find(reading => reading.id === id)
  if (!reading) throw new Error(`no reading ${id}`)
  return reading
}

export const FEATURE_KINDS: { kind: string, name: string, width: number, height: number, keepReachable?: boolean }[] = [
  { kind: 'door', name: 'Door', width: 900, height: 2100 },
  { kind: 'window', name: 'Window', width: 1200, height: 1200 },
  { kind: 'outlet', name: 'Outlet', width: 76, height: 120, keepReachable: true },
  { kind: 'switch', name: 'Switch', width: 76, height: 120, keepReachable: true },
  { kind: 'data-plate', name: 'Data plate', width: 76, height: 120, keepReachable: true },
  { kind: 'live-cable', name: 'Live cable run', width: 20, height: 1200 },
  { kind: 'pipe', name: 'Pipe', width: 30, height: 1200 },
  { kind: 'duct', name: 'Duct', width: 400, height: 250 },
  { kind: 'sprinkler', name: 'Sprinkler', width: 60, height: 60, keepReachable: true },
  { kind: 'recess', name: 'Recess for the screens', width: 1400, height: 900 },
  { kind: 'ceiling-line', name: 'Ceiling line', width: 2000, height: 20 },
  { kind: 'building-line', name: 'Visible building line', width: 2000, height: 20 },
  { kind: 'counter', name: 'Counter in front', width: 1800, height: 1050 },
  { kind: 'furniture', name: 'Furniture in front', width: 1200, height: 450 },
  { kind: 'rated-junction', name: 'Fire-rated junction', width: 20, height: 2400 },
]

export const featureName = (kind: string) => FEATURE_KINDS.find(feature => feature.kind === kind)?.name ?? kind

/** A new feature of a kind: drawn manually, or of its usual size about a place; on the wall in either case. */
export function addFeature(wall: Wall, kind: string, rect: Pick<Feature, 'x' | 'y' | 'width' | 'height'>): string {
  const id = madeId('f', wall.features)
  const usual = FEATURE_KINDS.find(feature => feature.kind === kind)
  wall.features = [
    ...(wall.features ?? []),
    { id, kind, ...rect, ...(usual?.keepReachable && { keepReachable: true }) },
  ]
  return id
}

/** Usual sizes of block and brick with their joint; what they are has to be seen. */
export const USUAL_UNITS = {
  block: { length: 390, height: 190, joint: 10, bond: 'running', origin: { x: 0, y: 0 } },
  brick: { length: 215, height: 65, joint: 10, bond: 'running', origin: { x: 0, y: 0 } },
} as const

/** What is behind the wall's face, by its usual name: a start that is then set right. */
export const BUILD_UPS: { name: string, structure: Partial<Structure> & Pick<Structure, 'kind'>, covering: Layer[] }[]
  = [
    {
      name: 'Plasterboard on wood studs',
      structure: { kind: 'wood-stud', memberWidth: 38, memberDepth: 89, specificGravity: 0.42 },
      covering: [{ material: 'gypsum-board', thickness: 12.5 }],
    },
    {
      name: 'Plasterboard on steel studs',
      structure: { kind: 'steel-stud', memberWidth: 41, memberDepth: 92, gauge: 0.84 },
      covering: [
        { material: 'gypsum-board', thickness: 12.5 },
        { material: 'gypsum-board', thickness: 12.5 },
      ],
    },
    {
      name: 'Render over studs, exterior',
      structure: { kind: 'wood-stud', memberWidth: 38, memberDepth: 140, specificGravity: 0.42 },
      covering: [
        { material: 'plywood', thickness: 12 },
        { material: 'render', thickness: 20 },
      ],
    },
    {
      name: 'Plaster on block',
      structure: { kind: 'block', thickness: 190, block: { ...USUAL_UNITS.block, unit: 'hollow' } },
      covering: [{ material: 'plaster', thickness: 15 }],
    },
    {
      name: 'Plasterboard on furring on block',
      structure: { kind: 'block', thickness: 190, block: { ...USUAL_UNITS.block, unit: 'hollow' } },
      covering: [
        { material: 'furring', thickness: 25, width: 45, spacing: 400 },
        { material: 'gypsum-board', thickness: 12.5 },
      ],
    },
    {
      name: 'Plaster on brick',
      structure: { kind: 'brick', thickness: 215, brick: USUAL_UNITS.brick },
      covering: [{ material: 'plaster', thickness: 13 }],
    },
    {
      name: 'Stone facing on brick',
      structure: { kind: 'brick', thickness: 215, brick: USUAL_UNITS.brick },
      covering: [{ material: 'stone', thickness: 30 }],
    },
    {
      name: 'Lath and plaster on wood studs',
      structure: { kind: 'wood-stud', memberWidth: 50, memberDepth: 100, specificGravity: 0.42 },
      covering: [{ material: 'lath-plaster', thickness: 25 }],
    },
    {
      name: 'Two plasterboards on wood studs',
      structure: { kind: 'wood-stud', memberWidth: 38, memberDepth: 89, specificGravity: 0.42 },
      covering: [
        { material: 'gypsum-board', thickness: 15 },
        { material: 'gypsum-board', thickness: 15 },
      ],
    },
    {
      name: 'Plasterboard on plywood on steel studs',
      structure: { kind: 'steel-stud', memberWidth: 41, memberDepth: 92, gauge: 0.84 },
      covering: [
        { material: 'plywood', thickness: 18, backing: true },
        { material: 'gypsum-board', thickness: 12.5 },
      ],
    },
    { name: 'Solid concrete', structure: { kind: 'concrete', thickness: 200, strength: 28 }, covering: [] },
    {
      name: 'Tiles on cement board on wood studs',
      structure: { kind: 'wood-stud', memberWidth: 38, memberDepth: 89, specificGravity: 0.42 },
      covering: [
        { material: 'cement-board', thickness: 12 },
        { material: 'tile', thickness: 9 },
      ],
    },
  ]

/** Gives a wall a usual build-up; what was known of its members and joints stays. */
export function setBuildUp(wall: Wall, name: string): void {
  const preset = BUILD_UPS.find(preset => preset.name === name)
  if (!preset) return
  const { members, spacing, block, brick } = wall.structure
  // What is kept may be a draft, which cannot be cloned.
  wall.structure = {
    ...structuredClone(preset.structure),
    ...(members && { members }),
    ...(spacing !== undefined && { spacing }),
  }
  if (block && wall.structure.block) wall.structure.block = { ...block }
  if (brick && wall.structure.brick) wall.structure.brick = { ...brick }
  wall.covering = structuredClone(preset.covering)
}

/** Puts a layer in another place of the build-up. */
export function moveLayer(wall: Wall, from: number, to: number): void {
  const [layer] = wall.covering.splice(from, 1)
  if (layer) wall.covering.splice(to, 0, layer)
}
