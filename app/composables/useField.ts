import type { Fault } from '~~/core/job'

/** What a field does with a value: try it on the drawing while it is typed, and make the edit when it is done. */
export interface FieldActions<T> {
  /** Shows the value on the drawing without keeping it; returns what is wrong with it. */
  tryOut?: (value: T) => Fault[]
  /** Makes the edit; returns what is wrong, in which case nothing was changed. A promise where the server is asked. */
  commit: (value: T) => Fault[] | Promise<Fault[]>
}

/** A typed text read as a value, or what is wrong with it. */
export type Read<T> = { ok: true, value: T } | { ok: false, message: string }

const SETTLE = 700

/**
 * The state of one typed field. What is typed stays until it is right; nothing wrong is kept; a
 * fault is reported when typing pauses, not at every letter.
 */
export function useField<T>(shown: () => string, read: (text: string) => Read<T>, actions: FieldActions<T>) {
  const typed = ref<string>()
  const fault = ref('')
  let timer: ReturnType<typeof setTimeout> | undefined
  const tell = (faults: Fault[]) => { fault.value = faults.map(({ message }) => sentence(message)).join(' ') }

  function input(text: string) {
    typed.value = text
    fault.value = ''
    clearTimeout(timer)
    const reading = read(text)
    const wrong = reading.ok ? actions.tryOut?.(reading.value) ?? [] : [{ path: '$', message: reading.message }]
    if (wrong.length > 0) timer = setTimeout(tell, SETTLE, wrong)
  }

  let [asked, again] = [false, false]
  async function done() {
    clearTimeout(timer)
    const text = typed.value
    if (text === undefined) return
    // What is typed while the server is asked waits for its answer.
    if (asked) return void (again = true)
    const reading = read(text)
    const wrong = reading.ok ? actions.commit(reading.value) : [{ path: '$', message: reading.message }]
    if (!(wrong instanceof Promise)) return settle(wrong)
    ;[asked, again] = [true, false]
    const told = await wrong.finally(() => { asked = false })
    if (typed.value === text) settle(told)
    else if (again) await done()
  }

  function settle(wrong: Fault[]) {
    tell(wrong)
    if (wrong.length === 0) typed.value = undefined
    else useWallStore().cancelPreview()
  }

  function revert() {
    clearTimeout(timer)
    typed.value = undefined
    fault.value = ''
    useWallStore().cancelPreview()
  }
  onScopeDispose(() => clearTimeout(timer))
  return { text: computed(() => typed.value ?? shown()), fault, input, done, revert }
}

/** A fault as a sentence beside its field. */
function sentence(message: string): string {
  const begun = message.charAt(0).toUpperCase() + message.slice(1)
  return /[.!?"”]$/.test(begun) ? begun : `${begun}.`
}
