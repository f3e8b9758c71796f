import { describe, expect, it } from 'vitest'
import { mountAtWall } from '~~/tests/fixtures/mounted'
import GridPanel from './GridPanel.vue'

describe('the array, typed', () => {
  it('takes more columns, and says beside the field why it does not take too many', async () => {
    const { type, store, mounted } = await mountAtWall(GridPanel)
    await type('Columns', '4')
    expect(store.wall!.arrays[0]!.columns).toBe(4)
    await type('Columns', '40')
    expect(store.wall!.arrays[0]!.columns).toBe(4)
    expect(mounted.find('[role=alert]').text()).toContain('the wall is 6200 mm')
  })
})
