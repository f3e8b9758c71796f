import { fireEvent } from '@testing-library/dom'
import { describe, expect, it } from 'vitest'
import { alerts, field, fill, mountAtWall, press, says } from '~~/tests/fixtures/mounted'
import ChecksPanel from './ChecksPanel.vue'

const mount = () => mountAtWall([ChecksPanel], { site: 'ravel-sands', wall: 'lounge' })

describe('Checks', () => {
  it('say what is required of each screen and what was recorded, and take a pull that held or moved', async () => {
    const store = await mount()
    await says('[data-testid=told-lounge-r1c1]', '320 N, nothing moved. Odd Varga')
    expect(field('Pull test of R1 C1 (N)').placeholder).toBe('318 N')
    // Nothing typed is what is required.
    await press('R1 C2 held')
    expect(store.allLog.at(-1)).toMatchObject({ kind: 'pulled', screen: 'lounge-r1c2', force: 318, held: true })
    await fireEvent.input(field('Note for the next result'), { target: { value: 'left anchor' } })
    await fill('Pull test of R2 C2 (N)', '150')
    await press('R2 C2 moved')
    const moved = { kind: 'pulled', screen: 'lounge-r2c2', force: 150, held: false, note: 'left anchor' }
    expect(store.allLog.at(-1)).toMatchObject(moved)
    await says('[data-check=lounge-r2c2]', 'The plate of R2 C2 moved at 150 N: left anchor. Refit it and pull again.')
    await fill('Pull test of R2 C1 (N)', 'much')
    const before = store.allLog.length
    await press('R2 C1 held')
    expect(store.allLog.length).toBe(before)
    expect(alerts()).toEqual(['“much” is not a number of N'])
    await fill('Pull test of R2 C1 (N)', '-5')
    await press('R2 C1 held')
    expect(alerts()).toEqual(['Enter a figure above 0.'])
    await fill('Pull test of R2 C1 (N)', 'much')
    await press('R2 C1 held')
    // What is wrong stays while another check is looked at.
    await press('Torque')
    expect(alerts()).toEqual([])
    await press('Pull test')
    expect(field('Pull test of R2 C1 (N)').value).toBe('much')
  })

  it('take a torque in the reader’s unit, and a firmware version', async () => {
    const store = await mount()
    await press('Torque')
    usePreferences().units.value = 'imperial'
    await says('[data-check=lounge-r1c1]', 'lbf·ft')
    await fill('Torque of R1 C1 (lbf·ft)', '10')
    await press('Save for R1 C1')
    expect(store.allLog.at(-1)).toMatchObject({ kind: 'torqued', torque: expect.closeTo(13.558, 2) as number })
    await says('[data-check=lounge-r1c1]', 'Torque of R1 C1: 10 lbf·ft recorded, 11.1 lbf·ft required.')
    usePreferences().units.value = ''
    await says('p', 'Required by: the maker of')
    await press('Firmware')
    await press('Save for R1 C1')
    expect(alerts()).toEqual(['Enter the version.'])
    await fill('Firmware of R1 C1', '3.2.0')
    await press('Save for R1 C1')
    expect(store.allLog.at(-1)).toMatchObject({ kind: 'firmware', version: '3.2.0' })
  })
})
