import { fireEvent } from '@testing-library/dom'
import { describe, expect, it, vi } from 'vitest'
import type { Job, Wall } from '~~/core/job'
import { asBuilt } from '~~/core/log'
import { contextOf, planWall } from '~~/core/plan'
import { freeze } from '~~/core/revision'
import { useOutbox } from '~/sync/useOutbox'
import { mountAtWall, press, said, says, textOf } from '~~/tests/fixtures/mounted'
import HolePanel from './HolePanel.vue'
import StepsPanel from './StepsPanel.vue'
import { soon } from '~~/tests/fixtures/soon'

const PNG = new Uint8Array([0x89, 0x50, 0x4E, 0x47, 0x0D, 0x0A, 0x1A, 0x0A, 0, 0, 0, 0])

/** Takes a photo that the device stores only once the test lets it. */
async function takePhoto() {
  let stored = () => {}
  const storing = vi.spyOn(useOutbox().outbox, 'addPhoto')
    .mockImplementationOnce(() => new Promise<void>((done) => { stored = done }))
  const input = document.querySelector<HTMLInputElement>('[data-testid=photo]')!
  const photo = new File([PNG], 'wall.png', { type: 'image/png' })
  Object.defineProperty(input, 'files', { configurable: true, value: [photo] })
  await fireEvent.change(input)
  await soon(() => expect(storing).toHaveBeenCalled())
  return stored
}
const label = (text: string) =>
  soon(() => expect(textOf(document.querySelector('label:has([data-testid=photo])'))).toBe(text))
const named = expect.stringMatching(/\.png$/) as string

describe('a photo that is stored while the work goes on', () => {
  it('is of the step at which it was taken', async () => {
    let frozen!: ReturnType<typeof freeze>
    const issue = (wall: Wall, job: Job) => {
      const context = contextOf(job)
      frozen = freeze(wall, { ...job, rules: context.rules }, asBuilt([], wall), planWall(wall, context))
      for (const entry of job.log) if (entry.kind === 'issued' && entry.wall === wall.id) entry.frozen = frozen.id
    }
    const store = await mountAtWall([StepsPanel], { change: issue })
    store.addFrozen(frozen)
    await says('[data-testid=step-count]', 'step 1 of')
    const first = said('[data-testid=step-title]')
    const stored = await takePhoto()
    await press('Done')
    expect(said('[data-testid=step-title]')).not.toBe(first)
    const { step } = store.allLog.at(-1) as { step: string }
    stored()
    await soon(() => expect(store.allLog.at(-1)).toMatchObject({ kind: 'step', step, done: true, photo: named }))
  })

  it('is of the hole at which it was taken, before its result and after', async () => {
    const store = await mountAtWall([HolePanel])
    const stored = await takePhoto()
    await press('Hit')
    const hit = store.allLog.at(-1) as { id: string, hole: string }
    expect(hit).not.toHaveProperty('photo')
    stored()
    await soon(() => expect(store.allLog.at(-1)).toMatchObject(
      { kind: 'hole', hole: hit.hole, result: 'hit', corrects: hit.id, photo: named },
    ))
    // It waits at its own hole while another is looked at.
    ;(await takePhoto())()
    await label('✓ Photo')
    await press('Back')
    await label('Photo')
    await press('Next')
    await label('✓ Photo')
    await press('Hit')
    expect(store.allLog.at(-1)).toMatchObject({ kind: 'hole', result: 'hit', photo: named })
    expect(store.allLog.at(-1)).not.toMatchObject({ hole: hit.hole })
  })

  it('is not added to what another recorded meanwhile, and waits for a result of the own', async () => {
    const store = await mountAtWall([HolePanel])
    const stored = await takePhoto()
    const [hole] = document.querySelector('[data-testid=hole-name]')!.textContent!.split('\n')
    await press('Hit')
    const own = store.allLog.at(-1) as { hole: string }
    // As if it had been another who pressed it.
    store.unwritten = []
    store.unsentLog = [...store.unsentLog, { ...own, id: 'of-odd', by: 'Odd Varga', device: 'tablet' } as never]
    const before = store.allLog.length
    stored()
    await press('Back')
    await says('[data-testid=hole-name]', hole!.trim())
    await label('✓ Photo')
    expect(store.allLog.length).toBe(before)
  })
})
