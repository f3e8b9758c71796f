import { ref, type Ref } from 'vue'

/** What a screen keeps while a wall is open: which panel is shown, what is chosen. */
const states = new Map<string, { state: Ref<unknown>, begin: () => unknown }>()

/** State of the screen that belongs to the wall which is open, and is gone with it; all who name the same share it. */
export function useScreenState<Value>(name: string, begin: () => Value): Ref<Value> {
  const known = states.get(name)
  if (known) return known.state as Ref<Value>
  const state = ref(begin()) as Ref<Value>
  states.set(name, { state, begin })
  return state
}

/** Begins the state of every screen anew, for another wall. */
export function forgetScreenState(): void {
  for (const { state, begin } of states.values()) state.value = begin()
}
