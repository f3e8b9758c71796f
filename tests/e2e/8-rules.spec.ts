import { expect, fill, HALL, saved, testAlone as test } from './house'

test('house rules are chosen by the firm, a site and a wall; a wall says where each comes from @long', async ({
  page,
  house,
}) => {
  const datum = page.locator('[data-rule=heightDatum]')
  const by = datum.getByTestId('chosen-by')
  await page.goto('/')
  await page.getByRole('link', { name: 'Edit house rules' }).click()
  await expect(by).toHaveText('default')
  await datum.getByText('always the bottom edge of the display').click()
  // Before it is saved it says which walls are planned otherwise, and can be left.
  const touched = page.getByTestId('touched')
  await expect(touched).toContainText('changes the plan of')
  await expect(touched.getByRole('link', { name: 'Holm Point, Ticket hall' })).toBeVisible()
  await expect(touched.getByRole('listitem').filter({ hasText: 'Ticket hall' })).toContainText('issued')
  await page.getByRole('button', { name: 'Cancel' }).click()
  await expect(by).toHaveText('default')
  expect(JSON.parse((await house.api('/rules')).body).rules).toEqual({})
  await datum.getByText('always the bottom edge of the display').click()
  await page.getByRole('button', { name: 'Save rule' }).click()
  await expect(page.getByRole('status').first()).toContainText('Saved')
  await expect(by).toHaveText('set by the firm')

  await page.goto(`${HALL}/mark`)
  await expect(page.getByText('Bottom edge of Departures')).toBeVisible()
  await page.getByRole('link', { name: 'House rules' }).click()
  await expect(by).toHaveText('set by the firm')
  await datum.getByText('centre line of the top row for a grid').click()
  await expect(by).toHaveText('set for this wall')
  await saved(page)
  await page.goto(`${HALL}/mark`)
  await expect(page.getByText('Centre line of the top row of Departures')).toBeVisible()
  expect((await house.wall()).job.walls[0].rules).toEqual({ heightDatum: 'by-kind' })
  // The site's other walls still have what the firm chose, and the wall can go back to it.
  await page.goto('/sites/holm-point/walls/cafe/rules')
  await expect(by).toHaveText('set by the firm')
  await page.goto(`${HALL}/rules`)
  await datum.getByRole('button', { name: 'Use site rule' }).click()
  await expect(by).toHaveText('set by the firm')
  await saved(page)
  expect((await house.wall()).job.walls[0]).not.toHaveProperty('rules')
  // What holds already touches nothing, and what no figure can be is refused beside it.
  await page.goto('/sites/holm-point/rules')
  await fill(page, 'Standard deviation of one tape measurement (mm)', '-1')
  await expect(page.getByRole('alert')).toHaveText('It must not be negative.')
  await page.getByLabel('Standard deviation of one tape measurement (mm)').press('Escape')
  await datum.getByText('always the bottom edge of the display').click()
  await datum.getByText('centre line of the top row for a grid').click()
  await expect(page.getByTestId('touched')).toContainText('changes the plan of 2 walls')
  const audit = JSON.parse((await house.api('/audit')).body)
  expect(audit.filter(({ kind }: { kind: string }) => kind === 'rules')).toMatchObject([
    { by: 'Isla Brandt', subject: 'the firm', detail: expect.stringContaining('heightDatum') },
  ])
})
