/** Something that can be done, offered in the palette, by its key, and on the sheet of keys. */
export interface Command {
  id: string
  title: string
  group:
    | 'Everywhere'
    | 'Go to'
    | 'Drawing'
    | 'Survey'
    | 'Arrange'
    | 'Mount'
    | 'Fix'
    | 'Wire'
    | 'Mark'
    | 'Hang'
    | 'True'
    | 'Close'
  /** Keys that do it, as `ctrl+z`, `arrowleft`, `?`. The first one is shown. */
  keys?: string[]
  run: () => void
  /** Whether it can be done now. */
  when?: () => boolean
}

const offers = shallowRef<MaybeRefOrGetter<Command[]>[]>([])
const commands = computed(() => offers.value.flatMap(offer => toValue(offer)))

/** Every command that is offered on the screen now. */
export const useCommandList = () => commands

/** Offers commands for as long as the component lives; those of a getter follow what it reads. */
export function useCommands(offered: MaybeRefOrGetter<Command[]>): void {
  offers.value = [...offers.value, offered]
  onScopeDispose(() => {
    offers.value = offers.value.filter(offer => offer !== offered)
  })
}

/** A key press as the commands write it. Shift is named only where it does not change the character itself. */
export function pressOf({ key, ctrlKey, metaKey, altKey, shiftKey }: KeyboardEvent): string {
  const name = key === ' ' ? 'space' : key.toLowerCase()
  const shifted = shiftKey && (name.length > 1 || ctrlKey || metaKey)
  return [ctrlKey || metaKey ? 'ctrl' : '', altKey ? 'alt' : '', shifted ? 'shift' : '', name].filter(Boolean).join('+')
}

const KEY_NAMES: Record<string, string> = {
  arrowleft: '←',
  arrowright: '→',
  arrowup: '↑',
  arrowdown: '↓',
  pagedown: 'Page Down',
  pageup: 'Page Up',
  delete: 'Delete',
  backspace: 'Backspace',
  ctrl: 'Ctrl',
  alt: 'Alt',
  shift: 'Shift',
  space: 'Space',
  escape: 'Esc',
  enter: 'Enter',
}

/** The caps of a key press, for showing. */
export const capsOf = (press: string): string[] => press.split('+').map(cap => KEY_NAMES[cap] ?? cap.toUpperCase())

const typingIn = (target: EventTarget | null) =>
  target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))
const pressing = (target: EventTarget | null) =>
  target instanceof HTMLElement && /^(BUTTON|A|SUMMARY)$/.test(target.tagName)

/** Runs the command that a key press asks for, unless it is part of typing or of pressing a button. */
export function runByKey(event: KeyboardEvent): void {
  const press = pressOf(event)
  if (typingIn(event.target) && !press.startsWith('ctrl+')) return
  if (typingIn(event.target) && /^ctrl\+(shift\+)?[zy]$/.test(press)) return
  if (pressing(event.target) && (press === 'space' || press === 'enter')) return
  if (document.querySelector('[role="dialog"]')) return
  const found = commands.value.find(({ keys, when }) => keys?.includes(press) && (when?.() ?? true))
  if (!found) return
  event.preventDefault()
  found.run()
}
