import { mountSuspended, registerEndpoint } from '@nuxt/test-utils/runtime'
import { fireEvent } from '@testing-library/dom'
import { expect, it } from 'vitest'
import type { LogEntry } from '~~/core/job'
import ReissueButton from './ReissueButton.vue'

const issued = (id: string, revision: string): LogEntry =>
  ({ id, at: '2026-11-12T09:00:00Z', by: 'Odd', wall: 'w1', kind: 'issued', revision, frozen: `frozen of ${id}` })

it('issues what was frozen under the letter after those that others took', async () => {
  const log = [issued('a', 'A'), issued('theirs', 'B')]
  registerEndpoint('/api/sites/pier/walls/w1', () => ({ job: { log } }))
  const unsent = { n: 1, key: 'pier/w1', site: 'pier', wall: 'w1', entry: issued('mine', 'B'), refused: 'B was issued' }
  const wrapper = await mountSuspended(ReissueButton, { props: { unsent } })
  await fireEvent.click(wrapper.find('button').element)
  await expect.poll(() => wrapper.emitted('reissued')).toHaveLength(1)
  const [[again]] = wrapper.emitted('reissued') as [[LogEntry]]
  expect(again).toMatchObject({ revision: 'C', frozen: 'frozen of mine', by: 'Odd' })
  // It is an entry of its own: the refused one was never in the log.
  expect(again.id).not.toBe('mine')
})
