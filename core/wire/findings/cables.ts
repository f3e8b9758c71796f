import { saidOf } from '../../findings/said'
import type { Finding } from '../../finding'
import type { Wall } from '../../job'
import { counted, words, type Text } from '../../units'
import type { CablePlan } from '../cables/cables'
import type { Wiring } from '../wiring'
import { about, aboutBox, aboutScreen, some } from './about'

const capital = (text: Text): Text =>
  typeof text[0] === 'string' ? [text[0].replace(/^./, letter => letter.toUpperCase()), ...text.slice(1)] : text

/**
 * Cables that nothing does for, those of which the length is not known, and what is longer than a shorter kind carries;
 * each once.
 */
export function cableFindings(wall: Wall, { cables, routes }: Wiring): Finding[] {
  const groups = <Key>(keyOf: (cable: CablePlan) => Key | undefined) => {
    const out = new Map<Key, CablePlan[]>()
    for (const cable of cables) {
      const key = keyOf(cable)
      if (key !== undefined) out.set(key, [...out.get(key) ?? [], cable])
    }
    return [...out.values()]
  }
  const subject = (cable: CablePlan) =>
    cable.route === undefined
      ? aboutScreen(cable.screen)
      : aboutBox(routes.find(({ id }) => id === cable.route)!.to)
  const ends = (list: CablePlan[]) => some(list.map(({ to }) => to))
  return [
    ...groups(({ choice }) => choice.fault && JSON.stringify(choice.fault)).map((list): Finding => {
      const { code, message, remedy, opens } = list[0]!.choice.fault!
      // Where the shop has no such cable at all, nothing unsafe is planned: it is still to be found.
      return {
        ...subject(list[0]!),
        ...saidOf(code),
        message: words`${list[0]!.kind.replace(/^./, letter => letter.toUpperCase())} to ${ends(list)}: ${message}.`,
        remedy,
        ...(opens && { opens }),
      }
    }),
    ...groups(({ ends }) => ends).map((list): Finding => ({
      ...about(wall),
      severity: 'note',
      code: 'link-ends' as const,
      facts: [list.length],
      message: words`${counted(list.length)} ${list.length === 1 ? 'link requires' : 'links require'} a
        ${list[0]!.ends!} each: to ${ends(list)}. Check the max run and the power of the receiver on the maker’s data
        sheet.`,
    })),
    ...groups(({ unknown, choice }) => (choice.fault ? undefined : unknown)).map((list): Finding => ({
      ...about(wall),
      severity: 'caution',
      code: 'cable-length-not-known' as const,
      message: words`${capital(words`${list[0]!.unknown!}`)} is not known: no length can be chosen for the
        ${list[0]!.kind} cable to ${ends(list)}.`,
      remedy: words`Measure it and enter it in Wire.`,
    })),
    ...groups(({ choice, kind }) =>
      choice.tooShort && choice.model && choice.tooShort.id !== choice.model.id
        ? `${kind} ${choice.tooShort.id} ${choice.model.id}`
        : undefined,
    ).map((list): Finding => {
      const { tooShort, model } = list[0]!.choice
      return {
        ...about(wall),
        severity: 'note',
        code: 'farther-kind' as const,
        message: words`${tooShort!.name ?? tooShort!.id} has a max run of ${tooShort!.farthest!}, and the
          ${list[0]!.kind} cable to ${ends(list)} is up to ${Math.max(...list.map(({ needed }) => needed.value))}:
          ${model!.name ?? model!.id} is used instead.`,
      }
    }),
  ]
}
