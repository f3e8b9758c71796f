import { expect, fill, HALL, saved, test } from './house'

test('the mark-out on the screen runs from the datum, the floor and the level line', async ({ page }) => {
  await page.goto(`${HALL}/mark`)
  const row = page.locator('[data-row=departures-r1c1-top-1]')
  await expect(row).toContainText('1692')
  await expect(row).toContainText('2479')
  await expect(row).toContainText('+152')
  await expect(row).toContainText('6.5 mm × 74 mm')
  await fill(page, 'Datum, from left end', '500')
  await fill(page, 'Level line above the floor', '2300')
  await expect(row).toContainText('1192')
  await expect(row).toContainText('+179')
  await fill(page, 'Level line above the floor', '')
  await expect(page.getByLabel('Level line above the floor')).toHaveValue('2327')
  await expect(page.getByTestId('accuracy')).toContainText('from mark to mark, the last of 6 to ± 2.5 mm')
  await page.getByTestId('units').click()
  // 1191.72 mm is 46.918 in; the nearest sixteenth is 3' 10 15/16".
  await expect(row).toContainText('3\' 10 15/16"')
  await saved(page)
})

test('the sheet is seen, and saved as PDF, SVG, DXF, CSV and JSON', async ({ page, house }) => {
  await page.goto(`${HALL}/mark`)
  await page.getByRole('button', { name: 'See the printed sheet' }).click()
  await expect(page.getByAltText(/Mark-out sheet, page 1 of/)).toBeVisible()
  await page.getByLabel('Paper').selectOption('letter')
  for (const format of ['PDF', 'SVG', 'DXF', 'CSV', 'JSON']) {
    const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: format }).click()])
    expect(download.suggestedFilename()).toBe(`holm-point-ticket-hall-mark-out.${format.toLowerCase()}`)
  }

  const sheet = async (query: string) => house.api(`${HALL}/sheet?${query}`)
  for (const [paper, width, height] of [['a3', 1190.55, 841.89], ['a1', 2383.94, 1683.78], ['letter', 792, 612], ['ansi-d', 2448, 1584]] as const) {
    const { headers, body } = await sheet(`format=pdf&paper=${paper}`)
    expect(headers.get('content-type')).toBe('application/pdf')
    expect(body).toMatch(/^%PDF-1/)
    const [, w, h] = /MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/.exec(body)!
    expect([Number(w), Number(h)]).toEqual([expect.closeTo(width, 0), expect.closeTo(height, 0)])
  }
  const { body: svg } = await sheet('format=svg&paper=a3')
  expect(svg).toMatch(/drawn 1:25 on A3/)
  // The wall is 6200 × 3300 mm: 248 × 132 mm of paper at 1:25.
  expect(svg).toMatch(/<rect [^>]*width="248" height="132"/)
  const { body: csv } = await sheet('format=csv')
  const lines = csv.replace('\uFEFF', '').trim().split('\r\n')
  expect(lines[0]).toMatch(/^id,kind,mark,from datum,above floor/)
  expect(lines.find(line => line.startsWith('departures-r1c1-top-1,'))).toMatch(/,1692,2479,\+152,6.5,74,member 5,1691\.\d+,2478\.7,152$/)
  expect((await sheet('format=dxf')).body).toContain('CUT-OUTS')
  expect(JSON.parse((await sheet('format=json')).body).marks.length).toBeGreaterThan(100)
  expect((await sheet('format=dwg')).status).toBe(400)
})
