import { pdfText } from '../fixtures/pdfText'
import { expect, fill, HALL, saved, test } from './house'

test('the mark-out on the screen runs from the datum, the floor and the level line', async ({ page }) => {
  await page.goto(`${HALL}/mark`)
  const row = page.locator('[data-row=departures-r1c1-top-1]')
  await expect(row).toContainText('1691')
  await expect(row).toContainText('2479')
  await expect(row).toContainText('+152')
  await expect(row).toContainText('6.5 mm × 74 mm')
  await fill(page, 'Datum from left end', '500')
  await fill(page, 'Level line above floor', '2300')
  await expect(row).toContainText('1191')
  await expect(row).toContainText('+179')
  await fill(page, 'Level line above floor', '')
  await expect(page.getByLabel('Level line above floor')).toHaveValue('2327')
  await expect(page.getByTestId('accuracy')).toContainText('the last of 6: ± 2.5 mm')
  await page.getByTestId('units').click()
  // 1191.15 mm is 46.896 in; the nearest sixteenth is 3' 10 7/8".
  await expect(row).toContainText('3\' 10 7/8"')
  await saved(page)
})

test('the sheet is seen, and saved as PDF, SVG, DXF, CSV and JSON', async ({ page, house }) => {
  await page.goto(`${HALL}/mark`)
  await page.getByRole('tab', { name: 'Sheets' }).click()
  await expect(page.getByTestId('sheets-of')).toContainText('Revision A, issued')
  await page.getByRole('button', { name: 'Preview sheet' }).click()
  await expect(page.getByAltText(/Mark-out sheet, page 1 of/)).toBeVisible()
  await page.getByLabel('Paper').selectOption('letter')
  for (const format of ['PDF', 'SVG', 'DXF', 'CSV', 'JSON']) {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: format, exact: true }).click(),
    ])
    expect(download.suggestedFilename()).toBe(`holm-point-ticket-hall-mark-out-A.${format.toLowerCase()}`)
  }

  const sheet = async (query: string) => house.api(`${HALL}/sheet?${query}`)
  for (const [paper, width, height] of [
    ['a3', 1190.55, 841.89],
    ['a1', 2383.94, 1683.78],
    ['letter', 792, 612],
    ['ansi-d', 2448, 1584],
  ] as const) {
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
  // As a browser's own reader of XML finds it: no fault, and the wall's outline where it should be.
  const read = await page.evaluate((text) => {
    const parsed = new DOMParser().parseFromString(text, 'image/svg+xml')
    const wall = [...parsed.querySelectorAll('rect')].find(each => each.getAttribute('width') === '248')
    return {
      fault: parsed.querySelector('parsererror')?.textContent ?? '',
      size: parsed.documentElement.getAttribute('width'),
      left: wall?.getAttribute('x'),
      texts: parsed.querySelectorAll('text').length,
    }
  }, svg)
  expect(read).toMatchObject({ fault: '', size: '420mm', left: '16' })
  expect(read.texts).toBeGreaterThan(200)
  const { body: csv } = await sheet('format=csv')
  const lines = csv.replace('\uFEFF', '').trim().split('\r\n')
  expect(lines[0]).toMatch(/^id,kind,mark,from datum,above floor/)
  expect(lines.find(line => line.startsWith('departures-r1c1-top-1,'))).toMatch(
    /,1691,2479,\+152,6.5,74,stud 5,1691\.\d+,2478\.7,152,"Holes, R1 top"$/,
  )
  expect((await sheet('format=dxf')).body).toContain('CUT-OUTS')
  expect(JSON.parse((await sheet('format=json')).body).marks.length).toBeGreaterThan(100)
  expect((await sheet('format=dwg')).status).toBe(400)
})

test('a mark-out is issued, revised and compared; sheets are of what was issued, and say DRAFT where they are not', async ({
  page,
  house,
}) => {
  await page.goto(`${HALL}/arrange`)
  await fill(page, 'From wall left', '2968')
  await saved(page)
  await page.goto(`${HALL}/mark`)
  await page.getByRole('tab', { name: 'Revisions' }).click()
  await expect(page.getByTestId('issued-now')).toContainText('Since revision A')
  await page.getByLabel('Note').fill('8 mm to the right')
  await page.getByRole('button', { name: 'Issue revision B' }).click()
  await expect(page.getByTestId('issued-now')).toContainText('Revision B matches the current plan')
  await saved(page)
  await page.locator('[data-revision=B]').getByRole('button', { name: 'Compare with A' }).click()
  await expect(page.getByTestId('difference')).toContainText('Departures vertical centre line moved 8 mm')

  const { log } = (await house.wall()).job
  expect(log.at(-1)).toMatchObject({
    kind: 'issued',
    revision: 'B',
    by: 'Isla Brandt',
    note: '8 mm to the right',
    frozen: expect.stringMatching(/^[0-9a-f]{64}$/),
  })
  const texts = async (query: string) =>
    (await pdfText(Buffer.from(await (await page.request.get(`/api${HALL}/${query}`)).body()))).flat().join(' ')
  const sheet = await texts('sheet?format=pdf')
  expect(sheet).toMatch(/Revision B · issued \d+ \w+ 2026 by Isla Brandt/)
  expect(sheet).not.toContain('DRAFT')
  expect(await texts('sheet?format=pdf&revision=A')).toContain('Revision A · issued 16 Nov 2026 by Isla Brandt')
  expect(await texts('sheet?format=pdf&revision=draft')).toContain('DRAFT')
  expect(await texts('difference?from=A&to=B&format=pdf')).toContain('from revision A to revision B')
  const changes = JSON.parse((await house.api(`${HALL}/difference?from=A&to=B&format=json`)).body)
  const centre = changes.moved.find(({ id }: { id: string }) => id === 'departures-centre-x')
  expect(centre.to.x - centre.from.x).toBeCloseTo(8, 6)
  expect((await house.api(`${HALL}/sheet?revision=F`)).status).toBe(404)

  // The same letter cannot be issued twice, nor what the server does not work out itself.
  const frozen = JSON.parse((await house.api(`${HALL}/revisions/${log.at(-1).frozen}`)).body)
  const post = (path: string, body: unknown) =>
    house.api(`${HALL}/${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    })
  const again = await post('log', {
    id: 'again',
    at: '2026-11-26T09:00:00Z',
    by: 'Odd Varga',
    wall: 'ticket-hall',
    kind: 'issued',
    revision: 'B',
    frozen: frozen.id,
  })
  expect([again.status, again.body]).toEqual([
    422,
    expect.stringContaining('B was issued by Isla Brandt in the meantime'),
  ])
  frozen.plan.arrays[0].positions[0].holes[0].x += 5
  expect((await post('revisions', frozen)).body).toContain('is not the SHA-256 of its content')
  // A file with what was issued comes back as it went out; one in which that was changed is refused.
  const out = (await house.api('/sites/holm-point/job')).body
  const twin = JSON.parse(out)
  twin.site.id = 'twin'
  expect(
    (
      await house.api('/sites/import', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(twin),
      })
    ).status,
  ).toBe(201)
  expect(
    JSON.parse((await house.api('/sites/twin/job')).body).walls[0].revisions.map(({ id }: { id: string }) => id),
  ).toEqual(JSON.parse(out).walls[0].revisions.map(({ id }: { id: string }) => id))
  twin.site.id = 'forged'
  twin.walls[0].revisions[0].plan.arrays[0].positions[0].holes[0].x += 5
  const forged = await house.api('/sites/import', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(twin),
  })
  expect([forged.status, forged.body]).toEqual([422, expect.stringContaining('does not match what was issued')])
})

test('a stop keeps a mark-out from being issued, until it is overridden by name; templates are as large as what they show', async ({
  page,
  house,
}) => {
  await page.goto('/sites/holm-point/walls/cafe/mark')
  await page.getByRole('tab', { name: 'Revisions' }).click()
  await expect(page.getByTestId('issue-blocked')).toContainText('this plan')
  await expect(page.getByRole('button', { name: 'Issue revision A' })).toBeDisabled()
  await page.goto('/sites/holm-point/walls/cafe/hang')
  await expect(page.getByTestId('not-issued')).toContainText('Nothing is issued yet')

  // Where holes moved they are drawn from where to where.
  await page.goto('/sites/stennick/walls/departures-row/mark')
  await page.getByRole('tab', { name: 'Revisions' }).click()
  await page.locator('[data-revision=B]').getByRole('button', { name: 'Compare with A' }).click()
  await expect(page.getByTestId('difference')).toContainText('R1 C2 top 1, drilled, moved 80 mm')
  await expect(page.locator('[data-moved]')).toHaveCount(1)

  const pdf = Buffer.from(
    await (await page.request.get(`/api${HALL}/templates?format=pdf&of=departures-r1c1&paper=a4`)).body(),
  )
  const pages = await pdfText(pdf)
  // A plate of 520 × 480 with its margins is more than one page of A4.
  expect(pages.length).toBeGreaterThan(3)
  for (const [n, texts] of pages.entries()) {
    expect(texts.join(' ')).toContain('plate template, 1:1')
    expect(texts.join(' ')).toContain(`Page ${n + 1} of ${pages.length} of this template`)
    expect(texts.join(' ')).toContain('this bar is 100 mm long')
  }
  expect((await house.api(`${HALL}/templates?of=nothing`)).status).toBe(404)
})
