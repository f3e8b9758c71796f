import { itemName, type Evidence, type Reference } from '../job'
import { parseLength, textToString, type UnitSystem } from '../units'

/** A reading as it is typed, before it has an id. */
export type TypedReading = Omit<Evidence, 'id'>

/** A word of the line that cannot be read: where it is, and what is wrong, for showing below it. */
export interface LineFault { from: number, to: number, message: string }

/** What a quick line says. */
export interface QuickLine { readings: TypedReading[], faults: LineFault[] }

interface Word { text: string, from: number, to: number }

/** The letters that name a method, and what each reading wants after its place. */
export const QUICK_METHODS: {
  key: string
  method: Evidence['method']
  name: string
  example: Record<UnitSystem, string>
}[] = [
  {
    key: 'e',
    method: 'detector-edge',
    name: 'edges, left then right',
    example: { metric: 'e 1181 1219', imperial: 'e 46 1/2" 48"' },
  },
  {
    key: 'c',
    method: 'detector-centre',
    name: 'detector centre',
    example: { metric: 'c 1203', imperial: 'c 47 3/8"' },
  },
  { key: 'm', method: 'magnet', name: 'magnet on a screw', example: { metric: 'm 1802', imperial: 'm 71"' } },
  { key: 'p', method: 'probe', name: 'probe', example: { metric: 'p 2402 hit', imperial: 'p 94 1/2" hit' } },
  { key: 'd', method: 'pilot', name: 'drilled pilot', example: { metric: 'd 2460 miss', imperial: 'd 97" miss' } },
  { key: 'k', method: 'knock', name: 'knock', example: { metric: 'k 2700 dull', imperial: 'k 106" dull' } },
  { key: 's', method: 'seen', name: 'seen', example: { metric: 's 3010', imperial: 's 118 1/2"' } },
  { key: 'o', method: 'outlet', name: 'beside a box', example: { metric: 'o 3020', imperial: 'o 119"' } },
  {
    key: 'j',
    method: 'joint',
    name: 'joint, head or bed',
    example: { metric: 'j 1180 head', imperial: 'j 46 1/2" head' },
  },
]

/** A height as it is set for the readings that follow. */
const HEIGHT: Record<UnitSystem, string> = { metric: '@1500', imperial: '@60"' }

const ANSWERS: Partial<Record<Evidence['method'], Record<string, Partial<TypedReading>>>> = {
  'probe': { hit: { hit: true }, miss: { hit: false } },
  'pilot': { hit: { hit: true }, miss: { hit: false } },
  'knock': { dull: { dull: true }, hollow: { dull: false } },
  'joint': { head: { direction: 'head' }, bed: { direction: 'bed' } },
  'detector-edge': { left: { edge: 'left' }, right: { edge: 'right' } },
}

/** A word that is a method where more follows it: what ends a height. At the end of a part `m` is metres. */
const isLetter = (text: string) => QUICK_METHODS.some(({ key }) => key === text.toLowerCase())
const isFraction = (text: string) => /^\d+\/\d+"?$/.test(text)
const isNumber = (text: string) => /^[\d.½¼¾⅛⅜⅝⅞]/.test(text)

/** The words of a part; feet, inches and fractions that belong together are one word. */
function wordsOf(part: string, offset: number): Word[] {
  const words: Word[] = []
  for (const { 0: text, index } of part.matchAll(/\S+/g)) {
    const last = words.at(-1)
    const joins
      = last
        && ((isFraction(text) && /^@?[\d' -]+$/.test(last.text))
          || (/'$/.test(last.text) && isNumber(text) && !text.includes('\'')))
    if (joins) Object.assign(last, { text: `${last.text} ${text}`, to: offset + index + text.length })
    else words.push({ text, from: offset + index, to: offset + index + text.length })
  }
  return words
}

/** Height and side that readings are given until the line says otherwise. */
export interface LineDefaults { y: number, side?: 'back', reference?: string }

/** A reference seen from both sides, by all that it is called on the line, what is shown first. */
export interface CalledReference { id: string, names: string[] }

/** The references of a wall as a line may name them: by name, by letter and number, by id. */
export const calledReferences = (references: Reference[] = []): CalledReference[] =>
  references.map(reference => ({
    id: reference.id,
    names: [itemName(reference), itemName(reference).replace(' (new)', ''), reference.id],
  }))

/** The wall that is read, mm: a place off it is a slip of the hand. */
export interface LineWall { width: number, height: number }

class LineReader {
  readonly readings: TypedReading[] = []
  readonly faults: LineFault[] = []
  private at: LineDefaults

  constructor(
    defaults: LineDefaults,
    private readonly system: UnitSystem,
    private readonly references: CalledReference[],
    private readonly wall: LineWall,
  ) {
    this.at = { ...defaults }
  }

  private fault(word: Word, message: string) {
    this.faults.push({ from: word.from, to: word.to, message })
  }

  private length(word: Word, most: number, text = word.text): number | undefined {
    const reading = parseLength(text, this.system)
    if (reading.ok && reading.mm >= 0 && reading.mm <= most) return reading.mm
    this.fault(
      word,
      reading.ok
        ? `This is off the wall; the maximum is ${textToString([{ mm: most }], this.system)}.`
        : reading.message,
    )
    return undefined
  }

  /** `@1500` sets the height for its part of the line and what follows, wherever in the part it stands. */
  private height(words: Word[]): Word[] {
    const n = words.findIndex(({ text }) => text.startsWith('@'))
    if (n < 0) return words
    const [first, ...after] = words.slice(n) as [Word, ...Word[]]
    // As many of the words behind it as make one length with it: `@ 1.2 m`, `@8' 6"`.
    const lengths = after.map((_, k) => [first, ...after.slice(0, after.length - k)]).concat([[first]])
    const textOf = (some: Word[]) =>
      some
        .map(({ text }) => text)
        .join(' ')
        .slice(1)
    const own = lengths.find(
      some =>
        (some.at(-1) === words.at(-1) || !isLetter(some.at(-1)!.text)) && parseLength(textOf(some), this.system).ok,
    ) ?? [first]
    const y = this.length({ ...first, to: own.at(-1)!.to }, this.wall.height, textOf(own))
    if (y !== undefined) this.at = { ...this.at, y }
    return [...words.slice(0, n), ...after.slice(own.length - 1)]
  }

  /** `front` and `back jamb` set the side for what follows. */
  private side([first, ...rest]: [Word, ...Word[]]): boolean {
    if (first.text !== 'front' && first.text !== 'back') return false
    this.at = { y: this.at.y }
    if (first.text === 'front') return true
    const { references } = this
    const called = rest.map(({ text }) => text).join(' ')
    const named
      = rest.length > 0
        ? references.find(({ names }) => names.includes(called))
        : references.length === 1
          ? references[0]
          : undefined
    if (!named)
      this.fault(
        rest[0] ?? first,
        references.length > 0
          ? `Name a reference seen from both sides: ${references.map(({ names }) => names[0]).join(', ')}.`
          : 'Enter a reference seen from both sides first.',
      )
    else this.at = { y: this.at.y, side: 'back', reference: named.id }
    return true
  }

  part(all: Word[]) {
    const [first, ...rest] = this.height(all)
    if (!first || this.side([first, ...rest])) return
    const known = QUICK_METHODS.find(({ key }) => key === first.text.toLowerCase())
    if (!known)
      return this.fault(
        first,
        `Start with ${QUICK_METHODS.map(({ key }) => key).join(', ')}, a height such as ${HEIGHT[this.system]}, front `
        + `or back.`,
      )
    if (rest.length === 0) return this.fault(first, `Enter a position, as in “${known.example[this.system]}”.`)
    const before = this.faults.length
    const answers = ANSWERS[known.method]
    const made: TypedReading[] = []
    let answered = 0
    for (const word of rest) {
      if (isNumber(word.text)) {
        const mm = this.length(word, this.wall.width)
        if (mm !== undefined) made.push({ method: known.method, ...this.at, x: mm })
        continue
      }
      const answer = answers?.[word.text.toLowerCase()]
      if (!answer)
        this.fault(word, answers ? `Enter a position, or ${Object.keys(answers).join(' or ')}.` : 'Enter a position.')
      else if (made.length === answered) {
        // Behind a place that cannot be read there is nothing more to say.
        if (this.faults.length === before) this.fault(word, 'Enter this after the position it belongs to.')
      }
      else {
        for (const reading of made.slice(answered)) Object.assign(reading, answer)
        answered = made.length
      }
    }
    this.complete(known.method, made, answered, rest.at(-1)!)
    if (this.faults.length === before) this.readings.push(...made)
  }

  /** What goes without saying: edges come left then right, a knock that is noted was dull; the rest must be said. */
  private complete(method: Evidence['method'], made: TypedReading[], answered: number, last: Word) {
    const open = made.slice(answered)
    if (open.length === 0) return
    if (method === 'knock') open.forEach(reading => Object.assign(reading, { dull: true }))
    else if (method === 'detector-edge') {
      if (open.length % 2 === 1)
        return this.fault(last, 'Enter edges in pairs, left then right, or enter left or right after a single one.')
      open.forEach((reading, n) => Object.assign(reading, { edge: n % 2 === 0 ? 'left' : 'right' }))
      open.forEach((reading, n) => {
        if (n % 2 === 1 && reading.x <= open[n - 1]!.x)
          this.fault(last, 'The right edge must be to the right of the left edge.')
      })
    }
    else if (ANSWERS[method]) this.fault(last, `Enter ${Object.keys(ANSWERS[method]!).join(' or ')} after it.`)
  }
}

/**
 * Reads a list of readings typed in one go: a letter for the method, the places, and what was met;
 * commas between.
 *
 * @param references those that were seen from both sides, by what people call them
 * @param wall how large it is; without it no place is off it
 * @example
 * readQuickLine('e 1181 1219, p 2402 hit', { y: 1500 }, 'metric').readings.length // 3
 */
export function readQuickLine(
  text: string,
  defaults: LineDefaults,
  system: UnitSystem,
  references: CalledReference[] = [],
  wall: LineWall = { width: Infinity, height: Infinity },
): QuickLine {
  const reader = new LineReader(defaults, system, references, wall)
  let offset = 0
  for (const part of text.split(/[,;\n]/)) {
    reader.part(wordsOf(part, offset))
    offset += part.length + 1
  }
  return { readings: reader.readings, faults: reader.faults }
}
