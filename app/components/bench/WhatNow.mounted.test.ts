import { describe, expect, it } from 'vitest'
import { bare, mountAtWall, press, says } from '~~/tests/fixtures/mounted'
import WhatNow from './WhatNow.vue'

const mount = (stage: 'survey' | 'arrange' | 'hang', change?: ReturnType<typeof bare>) =>
  mountAtWall([() => h(WhatNow, { stage })], change ? { change } : {})

describe('What now', () => {
  it('says what a stage lacks, and its button opens the panel for it', async () => {
    await mount('arrange', bare(4_000, 2_700))
    await says('[data-testid=what-now]', 'Next: Add an array of screens.')
    const panel = useScreenState<string>('arrange-panel', () => 'viewers')
    panel.value = 'viewers'
    await press('Go')
    expect(panel.value).toBe('grid')
  })

  it('leads on from a stage that is complete', async () => {
    await mount('hang')
    await says('[data-testid=what-now]', 'Next: Drill 36 holes.')
    const panel = useScreenState<string>('hang-panel', () => 'steps')
    panel.value = 'steps'
    await press('Go')
    expect(panel.value).toBe('holes')
  })
})
