import type { TouchedWall } from '~~/core/api/sites'
import type { Rules } from '~~/core/job'
import { chosenOption, HOUSE_RULES, RULE_FIGURES } from '~~/core/rules'

/** House rules that were chosen and are not saved yet, and the walls that they touch. */
export interface ProposedRules { rules: Rules, walls: TouchedWall[], what: string }

/** What is chosen otherwise, in words. */
function changeOf(before: Rules, after: Rules): string {
  const choices = HOUSE_RULES.filter(({ key }) => before[key] !== after[key]).map(
    rule => `${rule.title}: ${chosenOption(rule, after).name}`,
  )
  return [...choices, ...RULE_FIGURES.filter(({ key }) => before[key] !== after[key]).map(({ title }) => title)].join(
    '; ',
  )
}

/**
 * House rules of the firm or of a site as the server has them, and saving them on the version they were made from, once
 * it is known which walls they touch.
 */
export async function useRules<State extends { rules: Rules, version: number }>(read: string, save: string) {
  const state = shallowRef<State>()
  const proposed = shallowRef<ProposedRules>()
  const failed = ref('')
  const says = ref('')
  try {
    state.value = await api<State>(read)
  }
  catch (error) {
    failed.value = (error as Error).message
  }
  async function choose(rules: Rules) {
    says.value = ''
    proposed.value = undefined
    try {
      proposed.value = {
        rules,
        what: changeOf(state.value!.rules, rules),
        walls: await api<TouchedWall[]>(`${save}/touched`, { method: 'POST', body: { rules } }),
      }
    }
    catch (error) {
      says.value = (error as Error).message
    }
  }
  /** Saves what was chosen; what another person saved in between is shown and not written over. */
  async function accept() {
    if (!proposed.value) return
    const { rules } = proposed.value
    proposed.value = undefined
    try {
      state.value = {
        ...state.value!,
        ...(await api<State>(save, { method: 'PUT', body: { rules, version: state.value!.version } })),
      }
      says.value = 'Saved. All walls without their own setting now follow this rule.'
    }
    catch (error) {
      const refused = error as ApiError
      if (refused.code === 'stale') state.value = { ...state.value!, ...refused.current as State }
      says.value = [
        refused.message,
        ...(refused.code === 'stale' ? ['The saved rules are shown; choose again.'] : []),
      ].join(' ')
    }
  }
  const leave = () => { proposed.value = undefined }
  return { state, proposed, failed, says, choose, accept, leave }
}
