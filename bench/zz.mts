import { mapFraming } from '../core/survey/framing'
import { chance, INSTRUMENTS } from '../core/survey/simulate'

const c = chance(3)
const members = Array.from({ length: 60 }, (_, k) => ({ centre: 200 + 400 * k + c.off(2), width: 38 }))
const draws = members.flatMap(m => [INSTRUMENTS.edge(m, 'left', c), INSTRUMENTS.edge(m, 'right', c), INSTRUMENTS.magnet(m, c), INSTRUMENTS.magnet(m, c), INSTRUMENTS.centre(m, c), INSTRUMENTS.probe(members, m.centre + c.off(5)), INSTRUMENTS.probe(members, m.centre + 30)]).slice(0, 400)
const wall = { id: 'w', name: 'w', width: 24400, height: 2700, structure: { kind: 'wood-stud' as const, memberWidth: 38 }, covering: [], arrays: [], evidence: draws.map((d, n) => ({ id: `e${n}`, y: 1000, ...d })) }
for (let i = 0; i < 12; i++) { const t = performance.now(); const m = mapFraming(wall); if (i > 8) console.log((performance.now() - t).toFixed(1), m.members.length, m.runs.length) }
