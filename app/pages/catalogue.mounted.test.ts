import { registerEndpoint } from '@nuxt/test-utils/runtime'
import { fireEvent } from '@testing-library/dom'
import { readBody } from 'h3'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Display } from '~~/core/job'
import { alerts, choose, field, fill, mountPage, press, said, textOf } from '~~/tests/fixtures/mounted'
import { demoCatalogue } from '~~/tests/fixtures/demo'
import CataloguePage from './catalogue.vue'

/** What the server has, and what it is sent. */
let kept: ReturnType<typeof demoCatalogue>
let sent: { model: Display, version?: number }[]
beforeEach(() => {
  localStorage.removeItem('wide-trellis:models')
  kept = demoCatalogue()
  sent = []
})
const usedBy = { 'display/kelda-46n': { version: 1, held: true, usedBy: [{ name: 'Holm Point, Ticket hall' }] } }
registerEndpoint('/api/catalogue', () => ({ ...kept, kept: usedBy, stock: {} }))
registerEndpoint('/api/catalogue/display', {
  method: 'PUT',
  handler: async (event) => {
    const body = await readBody<typeof sent[number]>(event)
    sent.push(body)
    kept.displays = [...kept.displays, body.model]
    return { id: body.model.id }
  },
})

const open = () => mountPage(CataloguePage, '/catalogue')
const rows = () => [...document.querySelectorAll<HTMLElement>('tbody tr')]
const row = (id: string) => document.querySelector<HTMLElement>(`[data-row="${id}"]`)!
const typed = (label: string, value: string) => fireEvent.input(field(label), { target: { value } })
const saveButton = () => [...document.querySelectorAll('button')].find(each => textOf(each) === 'Save')!

describe('the catalogue', () => {
  it('searches, sorts and filters models', async () => {
    await open()
    await expect.poll(rows).toHaveLength(12)
    await press('Size (in)')
    expect(textOf(rows()[0]!)).toContain('98')
    await press('Size (in)')
    expect(textOf(rows()[0]!)).toContain('32')
    await typed('Search the catalogue', 'signage 55s')
    expect(rows()).toHaveLength(1)
    await typed('Search the catalogue', 'kayak')
    expect(document.body.textContent).toContain('No model matches.')
    await typed('Search the catalogue', '')
    await choose('Models shown', 'used')
    expect(rows().map(({ dataset }) => dataset.row)).toEqual(['kelda-46n'])
    await press('Mounts')
    await expect.poll(() => document.querySelector('[data-testid=model-drawing] [data-part=slot]')).not.toBeNull()
  })

  it('draws a model as it is typed, and refuses what cannot be', async () => {
    await open()
    await expect.poll(() => row('firth-55s')).not.toBeNull()
    await fireEvent.click(row('firth-55s'))
    await press('Duplicate')
    await fill('Name', 'Firth 55T signage')
    await fill('Width', '4\' 1"')
    const picture = () => document.querySelector('[data-part=picture]')!.getAttribute('width')
    expect(picture()).toBe(String(49 * 25.4 - 23))
    expect(document.body.textContent).toContain('entered as 4\' 1"')
    await fill('Left bezel', '1300')
    expect(alerts()).toContainEqual(expect.stringContaining('leave no picture'))
    expect(saveButton().disabled).toBe(true)
    await typed('Picture width', '1220.6')
    await typed('Picture height', '900')
    await press('Calculate even bezels')
    expect(alerts()).toContainEqual(expect.stringContaining('taller than the case'))
    await typed('Picture height', '690')
    await press('Calculate even bezels')
    expect(field('Left bezel').value).toBe('12')
  })
})

describe('a model that is not saved', () => {
  it('lasts over a look at another and a reload, and is sent once it can be read', async () => {
    const leave = await open()
    await expect.poll(() => row('firth-55s')).not.toBeNull()
    await fireEvent.click(row('firth-55s'))
    await press('Duplicate')
    await fill('Name', 'Firth 55T signage')
    await fill('Mass (kg)', 'heavy')
    expect(alerts()).toContainEqual(expect.stringContaining('“heavy” is not a number'))
    expect(saveButton().disabled).toBe(true)
    await fireEvent.keyDown(field('Mass (kg)'), { key: 'Escape' })
    await fireEvent.click(row('firth-43s'))
    leave()
    await open()
    await expect.poll(() => textOf(row('firth-55s-2'))).toContain('not saved')
    await fireEvent.click(row('firth-55s-2'))
    expect(field('Name').value).toBe('Firth 55T signage')
    await press('Save')
    await expect.poll(() => said('[role=status]')).toBe('Saved.')
    expect(sent).toMatchObject([{ model: { id: 'firth-55s-2', name: 'Firth 55T signage' } }])
    expect(textOf(row('firth-55s-2'))).not.toContain('not saved')
  })
})
