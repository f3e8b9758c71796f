import { chance } from '~~/core/survey/simulatedReadings'
import { gauged, hungBy, levelled, turned, type Adjuster, type Pose, type TrueScreen } from '~~/core/true'
import { Listeners, type HeldAtScreens, type InstrumentEvent, type PracticeGauge } from './instrument'

/**
 * How far off its corners a practice wall hangs, and how truly its instruments read: a gauge one σ in mm, a level in
 * mm/m.
 */
const OFF = 2
/** Cases are hung apart, as presets have them, so that none is against another, mm. */
const APART = 6
const GAUGE = 0.1
const LEVEL = 0.1
/** What a gauge and a level show, mm and mm/m. */
const shown = (value: number) => Math.round(value * 20) / 20

/**
 * The screens of a practice wall, the gaps they are to have, and what was turned of them so far, mm by screen and
 * adjuster.
 */
export interface PracticeWall {
  key: string
  screens: TrueScreen[]
  gap: { x: number, y: number }
  turned: Map<string, number>
}

const seedOf = (text: string) => [...text].reduce((sum, char) => (31 * sum + char.charCodeAt(0)) >>> 0, 7)

/** How the cases of a practice wall hang now: as it was hung, the same for the same wall, and turned since. */
export function posesNow({ key, screens, turned: by }: PracticeWall): Map<string, Pose> {
  const hung = hungBy(screens, OFF, chance(seedOf(key)), APART)
  return new Map(screens.map((screen) => {
    const moves = Object.fromEntries(
      screen.travels.map(({ adjuster }) => [adjuster, by.get(`${screen.name} ${adjuster}`) ?? 0]),
    ) as Partial<Record<Adjuster, number>>
    return [screen.name, turned(hung.get(screen.name)!, screen, moves)]
  }))
}

/** An instrument that tells, once it is connected, what it makes of the place at which it is held. */
function practice(id: string, name: string, tells: (place: HeldAtScreens) => InstrumentEvent[]): PracticeGauge {
  const listeners = new Listeners()
  let connected = false
  return {
    id,
    name,
    connect: async () => {
      connected = true
    },
    disconnect: async () => {
      connected = false
    },
    listen: listeners.listen,
    holdAt(place) {
      if (connected) for (const event of tells(place)) listeners.tell(event)
    },
  }
}

/** A feeler gauge with a depth foot: tells the gap and the step at the end of a seam, each a little out. */
export const practiceFeeler = (wall: () => PracticeWall): PracticeGauge =>
  practice('practice-feeler', 'Practice feeler gauge', (place) => {
    const { screens, gap, key, ...rest } = wall()
    if (!('between' in place)) return []
    const [a, b] = place.between.map(name => screens.find(screen => screen.name === name))
    if (!a || !b) return []
    const found = gauged(a, b, place.end, posesNow({ screens, gap, key, ...rest }), a.row === b.row ? gap.x : gap.y)
    // Held at the same place of the same wall it reads the same: a person who practises can go back to it.
    const rng = chance(seedOf(`${key} ${place.between.join(' ')} ${place.end} ${[...rest.turned.values()].join(' ')}`))
    return [
      { kind: 'gap', mm: Math.max(0, shown(found.gap + rng.off(GAUGE))) },
      { kind: 'step', mm: shown(found.step + rng.off(GAUGE)) },
    ]
  })

/** A digital level laid on a case: tells how far it is out of level. */
export const practiceLevel = (wall: () => PracticeWall): PracticeGauge =>
  practice('practice-level', 'Practice digital level', (place) => {
    const now = wall()
    if (!('screen' in place)) return []
    const pose = posesNow(now).get(place.screen)
    return pose
      ? [
          {
            kind: 'roll',
            mmPerM: shown(
              levelled(pose)
              + chance(seedOf(`${now.key} ${place.screen} ${[...now.turned.values()].join(' ')}`)).off(LEVEL),
            ),
          },
        ]
      : []
  })
