import type { Browser, Page } from '@playwright/test'
import { atHand, expect, HALL, House, otherPerson, saved, testAlone as test } from './house'

/** A browser in which nobody is signed in. */
const stranger = async (browser: Browser, house: House): Promise<Page> =>
  (await browser.newContext({ baseURL: house.address })).newPage()
const PASSWORD = 'ladder tape dust'

/** What a device keeps of walls that it read, and of entries that it has not sent. */
const kept = (page: Page) => page.evaluate(() => new Promise<{ seen: number, entries: number }>((answer, fail) => {
  const asked = indexedDB.open('wide-trellis')
  asked.onerror = () => fail(asked.error!)
  asked.onsuccess = () => {
    const counts: Record<string, number> = {}
    const db = asked.result
    for (const name of ['seen', 'entries']) {
      const count = db.transaction(name).objectStore(name).count()
      count.onsuccess = () => {
        counts[name] = count.result
        if (Object.keys(counts).length < 2) return
        db.close()
        answer(counts as never)
      }
    }
  }
}))

/** Odd's phone at the wall, without a signal, with one hole that the server does not have. */
async function phoneWithOneUnsent(browser: Browser, house: House): Promise<Page> {
  const phone = await otherPerson(browser, house, 'Odd Varga')
  await phone.goto(`${HALL}/hang`)
  await atHand(phone)
  await phone.context().setOffline(true)
  await phone.getByRole('button', { name: 'Hit' }).click()
  await expect(phone.getByTestId('unsent')).toContainText('1 unsent')
  return phone
}

/** Invites somebody and gives the link. */
async function invited(planner: Page, name: string, address: string, role: string, sites: string[]): Promise<string> {
  await planner.goto('/people')
  await planner.getByLabel('Name', { exact: true }).first().fill(name)
  await planner.getByLabel('E-mail address').fill(address)
  await planner.getByLabel('Role', { exact: true }).selectOption(role)
  for (const site of sites) await planner.getByLabel(site, { exact: true }).check()
  await planner.getByRole('button', { name: 'Create link' }).click()
  return planner.getByTestId('join-link').inputValue()
}

test('the first start makes the firm and its first planner, by the code that the server printed, once', async ({
  browser,
}) => {
  const house = await House.open(undefined, false)
  const page = await stranger(browser, house)
  await page.goto('/')
  await expect(page).toHaveURL(/\/begin$/)
  await expect(page.getByRole('heading', { name: 'Set up a firm' })).toBeVisible()
  const code = /[a-z2-9]{4}-[a-z2-9]{4}-[a-z2-9]{4}/.exec(house.said)![0]
  await page.getByLabel('Code').fill('aaaa-bbbb-cccc')
  for (const [label, text] of [
    ['Your firm', 'Dust & Level'],
    ['Your name', 'Mina Falk'],
    ['Your e-mail address', 'mina@dust-level.example'],
  ] as const)
    await page.getByLabel(label).fill(text)
  await page.getByLabel('Password', { exact: true }).fill(PASSWORD)
  await page.getByRole('button', { name: 'Set up firm' }).click()
  await expect(page.getByRole('alert')).toContainText('not the code that the server printed')
  await page.getByLabel('Code').fill(code.toUpperCase().replaceAll('-', ''))
  await page.getByLabel('Password', { exact: true }).fill('short')
  await page.getByRole('button', { name: 'Set up firm' }).click()
  await expect(page.getByText('12 to 200 characters')).toBeVisible()
  await page.getByLabel('Password', { exact: true }).fill(PASSWORD)
  await page.getByRole('button', { name: 'Set up firm' }).click()
  await expect(page.getByTestId('account')).toContainText('Mina Falk')
  await expect(page.getByText('No sites yet')).toBeVisible()
  // Its catalogue is a sample, without stock, which is taken out and put back in.
  await page.goto('/catalogue')
  await expect(page.getByText('In stock: not known')).toBeVisible()
  await page.getByTestId('sample').getByRole('button', { name: 'Start empty' }).click()
  await expect(page.getByTestId('sample')).toContainText('No models yet')
  await page.getByTestId('sample').getByRole('button', { name: 'Load sample' }).click()
  await expect(page.getByTestId('sample')).toContainText('models here are invented')
  // The demo's click is for the demo; here one signs in with a password.
  const again = await stranger(browser, house)
  await again.goto('/')
  await expect(again.getByRole('heading', { name: 'Sign in' })).toBeVisible()
  await expect(again.getByText('Demo on this computer')).toHaveCount(0)
  await again.getByLabel('E-mail address').fill('Mina@Dust-Level.example')
  await again.getByLabel('Password').fill('wrong wrong wrong')
  await again.getByRole('button', { name: 'Sign in', exact: true }).click()
  await expect(again.getByRole('alert')).toContainText('The address or the password is wrong')
  await again.getByLabel('Password').fill(PASSWORD)
  await again.getByRole('button', { name: 'Sign in', exact: true }).click()
  await expect(again.getByTestId('account')).toContainText('Mina Falk')
  await again.goto(`/begin?code=${code}`)
  for (const [label, text] of [
    ['Your firm', 'Another'],
    ['Your name', 'Eve'],
    ['Your e-mail address', 'eve@other.example'],
  ] as const)
    await again.getByLabel(label).fill(text)
  await again.getByLabel('Password', { exact: true }).fill(PASSWORD)
  await again.getByRole('button', { name: 'Set up firm' }).click()
  await expect(again.getByRole('alert')).toContainText('This code has already been used')
  await house.close()
})

test('one who is invited comes in by his link, reads and records where he is sent, and neither designs nor issues', async ({
  page,
  browser,
  house,
}) => {
  const link = await invited(page, 'Nils Aker', 'nils@brandt-holt.example', 'crew', ['Holm Point'])
  const nils = await stranger(browser, house)
  await nils.goto(link)
  await expect(nils.getByText('invites you as')).toContainText('Brandt & Holt, display fitters invites you as crew')
  await nils.getByLabel('Password', { exact: true }).fill(PASSWORD)
  await nils.getByRole('button', { name: 'Join' }).click()
  await expect(nils.getByTestId('account')).toContainText('Nils Aker')
  // Crew land on their day; somebody in no crew is told so.
  await expect(nils).toHaveURL(/\/programme\/day/)
  await expect(nils.getByTestId('no-crew')).toContainText('You are in no crew yet')
  await nils.goto('/')
  await expect(nils.getByRole('heading', { level: 2 })).toHaveText(['Programme', 'Catalogue', 'House rules'])
  await expect(nils.getByTestId('walls')).toContainText('Ticket hall, east wall')
  await expect(nils.getByTestId('walls')).not.toContainText('Departures')
  // A site that is not his is not there, and what he may not do is not offered, and refused in words.
  await nils.goto('/sites/stennick/walls/departures-row/hang')
  await expect(nils.getByText('Not found: this wall on this site.')).toBeVisible()
  await nils.goto(`${HALL}/arrange`)
  await expect(nils.getByTestId('read-only')).toBeVisible()
  await nils.getByLabel('Horizontal gap', { exact: true }).fill('0.9')
  await nils.getByLabel('Horizontal gap', { exact: true }).press('Enter')
  await expect(nils.getByText('ask a planner or a lead').first()).toBeVisible()
  await nils.goto(`${HALL}/mark`)
  await nils.getByRole('tab', { name: 'Revisions' }).click()
  await expect(nils.getByText('Only a lead or planner can issue.')).toBeVisible()
  await nils.goto(`${HALL}/hang`)
  await nils.getByRole('button', { name: 'Hit' }).click()
  await saved(nils)
  expect((await house.wall()).job.log.at(-1)).toMatchObject({ kind: 'hole', by: 'Nils Aker' })
  for (const path of ['/people', '/audit']) {
    await nils.goto(path)
    await expect(nils.getByRole('alert').first()).toContainText('Crew cannot')
  }
  // The link works once.
  const late = await stranger(browser, house)
  await late.goto(link)
  await expect(late.getByRole('alert')).toContainText('This link has already been used')

  // Removed while he is signed in: he is told, and sees nothing more.
  await nils.goto(`${HALL}/hang`)
  await expect(nils.getByTestId('hole-name')).toBeVisible()
  await page.goto('/people')
  await page.getByRole('button', { name: 'Remove Nils Aker' }).click()
  await page.locator('[data-person="Nils Aker"]').getByRole('button', { name: 'Remove Nils Aker' }).last().click()
  await expect(page.locator('[data-person="Nils Aker"]')).toHaveCount(0)
  // He is told as he records something, or before that, where his page has asked the server by itself.
  await nils.getByRole('button', { name: 'Hit' }).click({ timeout: 5_000 }).catch(() => undefined)
  await expect(nils.getByTestId('locked')).toContainText('session of this device was revoked')
  await expect(nils.getByTestId('hole-name')).toHaveCount(0)
})

test('the last planner cannot go, two people cannot have one address, and a planner gives a link for a new password @long', async ({
  page,
  browser,
  house,
}) => {
  await page.goto('/people')
  await page.getByRole('button', { name: 'Remove Isla Brandt' }).click()
  await page.locator('[data-person="Isla Brandt"]').getByRole('button', { name: 'Remove Isla Brandt' }).last().click()
  await expect(page.getByRole('alert')).toContainText('This is the only planner in the firm')
  await page.getByLabel('Name', { exact: true }).first().fill('Odd Other')
  await page.getByLabel('E-mail address').fill('ODD@brandt-holt.example')
  await page.getByRole('button', { name: 'Create link' }).click()
  await expect(page.getByRole('alert')).toContainText('Odd Varga already has this address')
  await page.getByRole('button', { name: 'Reset password of Odd Varga' }).click()
  const odd = await stranger(browser, house)
  await odd.goto(await page.getByTestId('join-link').inputValue())
  await odd.getByLabel('Password', { exact: true }).fill(PASSWORD)
  await odd.getByRole('button', { name: 'Save and sign in' }).click()
  await expect(odd.getByTestId('account')).toContainText('Odd Varga')
})

test('another firm’s sites are refused by address, and each firm has its own @long', async ({ browser, house }) => {
  const eve = await stranger(browser, house)
  await eve.goto(`/begin?code=${await house.codeForFirm()}`)
  for (const [label, text] of [
    ['Your firm', 'Other Fitters'],
    ['Your name', 'Eve Other'],
    ['Your e-mail address', 'eve@other.example'],
  ] as const)
    await eve.getByLabel(label).fill(text)
  await eve.getByLabel('Password', { exact: true }).fill(PASSWORD)
  await eve.getByRole('button', { name: 'Set up firm' }).click()
  await expect(eve.getByText('No sites yet')).toBeVisible()
  await eve.goto('/sites/holm-point')
  await expect(eve.getByText('This site does not exist, or you have no access to it.').first()).toBeVisible()
  await eve.goto(`${HALL}/hang`)
  await expect(eve.getByText(/Not found: this (wall on this )?site/).first()).toBeVisible()
  await eve.goto('/people')
  await expect(eve.getByRole('heading', { level: 1 })).toHaveText('People of Other Fitters')
  await expect(eve.locator('[data-person]')).toHaveCount(1)
})

test('a phone that is lost shows nothing more, and what it had not sent is sent once somebody signs in on it again', async ({
  page,
  browser,
  house,
}) => {
  const phone = await phoneWithOneUnsent(browser, house)
  expect(await kept(phone)).toEqual({ seen: 1, entries: 1 })
  await page.goto('/audit')
  await page.getByRole('button', { name: 'Revoke the session of Odd Varga' }).click()
  await expect(page.getByRole('button', { name: 'Revoke the session of Odd Varga' })).toHaveCount(0)
  await expect(page.getByRole('row', { name: /session revoked/ })).toContainText('Odd Varga')
  await phone.context().setOffline(false)
  await expect(phone.getByTestId('locked')).toContainText('unsent work is kept')
  await expect.poll(() => kept(phone)).toEqual({ seen: 0, entries: 1 })
  expect(
    (await house.wall()).job.log.filter(
      ({ by, kind }: { by: string, kind: string }) => by === 'Odd Varga' && kind === 'hole',
    ),
  ).toHaveLength(0)
  await phone.getByRole('button', { name: /^Odd Varga/ }).click()
  await expect(phone.getByTestId('hole-name')).toBeVisible()
  await expect
    .poll(
      async () =>
        (await house.wall()).job.log.filter(
          ({ by, kind }: { by: string, kind: string }) => by === 'Odd Varga' && kind === 'hole',
        ).length,
    )
    .toBe(1)
})

test.describe('loaded without a connection', () => {
  test.use({ serviceWorkers: 'allow' })

  test('a device away for longer than the firm allows shows nothing before sign-in, and keeps what is unsent @long', async ({
    browser,
    house,
  }) => {
    const phone = await otherPerson(browser, house, 'Odd Varga')
    await phone.goto('/sites/holm-point')
    await phone.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
    await phone.goto(`${HALL}/hang`)
    await atHand(phone)
    await phone.reload()
    await atHand(phone)
    await phone.context().setOffline(true)
    await phone.getByRole('button', { name: 'Hit' }).click()
    await expect(phone.getByTestId('unsent')).toContainText('1 unsent')
    // Fifteen days later.
    await phone.evaluate(() => {
      const signedIn = JSON.parse(localStorage.getItem('wide-trellis:signed-in')!) as { confirmedAt: number }
      localStorage.setItem(
        'wide-trellis:signed-in',
        JSON.stringify({ ...signedIn, confirmedAt: Date.now() - 15 * 86_400_000 }),
      )
    })
    const wrong: string[] = []
    phone.on(
      'console',
      message =>
        message.type() === 'error'
        && !message.text().startsWith('Failed to load resource')
        && wrong.push(message.text()),
    )
    await phone.reload()
    await expect(phone.getByTestId('locked')).toContainText('longer than the firm allows')
    // The page that was on its way to the wall begins nothing after that.
    expect(wrong).toEqual([])
    await expect.poll(() => kept(phone)).toEqual({ seen: 0, entries: 1 })
  })
})

test('a role that is taken away in the middle of a day: what was done before is taken, what came after waits for a planner @long', async ({
  page,
  browser,
  house,
}) => {
  const phone = await phoneWithOneUnsent(browser, house)
  await page.goto('/people')
  await page.getByRole('button', { name: 'Role of Odd Varga' }).click()
  await page.locator('[data-person="Odd Varga"]').getByLabel('Holm Point').uncheck()
  await page.getByRole('button', { name: 'Save role' }).click()
  await expect(page.locator('[data-person="Odd Varga"]')).toContainText('Crew: Stennick')
  await phone.getByRole('button', { name: 'Hit' }).click()
  await expect(phone.getByTestId('unsent')).toContainText('2 unsent')
  await phone.context().setOffline(false)
  await expect(phone.getByTestId('waits-for-planner')).toContainText(
    '1 entry was sent and waits for a planner’s approval',
  )
  const holes = async () =>
    (await house.wall()).job.log.filter(
      ({ by, kind }: { by: string, kind: string }) => by === 'Odd Varga' && kind === 'hole',
    )
  expect(await holes()).toHaveLength(1)
  await page.reload()
  await expect(page.getByTestId('set-aside-list')).toContainText(
    'Odd Varga was crew, but not here, when this was recorded',
  )
  await page.getByRole('button', { name: 'Accept entry' }).click()
  await expect(page.getByTestId('set-aside-list')).toHaveCount(0)
  expect(await holes()).toMatchObject([{ by: 'Odd Varga' }, { by: 'Odd Varga', acceptedBy: 'Isla Brandt' }])
})

test('signing out for good asks about what is unsent, and leaves nothing of the firm on the device', async ({
  browser,
  house,
}) => {
  const phone = await otherPerson(browser, house, 'Odd Varga')
  await phone.goto(`${HALL}/hang`)
  await atHand(phone)
  await phone.route('**/log', route =>
    route.fulfill({ status: 503, json: { error: { code: 'busy', message: 'Busy.' } } }),
  )
  await phone.getByRole('button', { name: 'Hit' }).click()
  await expect(phone.getByTestId('unsent')).toContainText('1 unsent')
  await phone.getByTestId('account').click()
  await phone.getByRole('menuitem', { name: 'Your account' }).click()
  await phone.getByRole('button', { name: 'Sign out and erase data' }).click()
  await expect(phone.getByTestId('unsent-question')).toContainText('1 change made on this device is not sent')
  await phone.unroute('**/log')
  await phone.getByRole('button', { name: 'Send now' }).click()
  await expect(phone.getByText('Everything is sent.')).toBeVisible()
  expect((await house.wall()).job.log.at(-1)).toMatchObject({ kind: 'hole', by: 'Odd Varga' })
  await phone.getByRole('button', { name: 'Sign out and erase data' }).click()
  await expect(phone).toHaveURL(/\/sign-in/)
  expect(
    await phone.evaluate(async () => [
      (await indexedDB.databases()).map(({ name }) => name),
      Object.keys(localStorage).filter(key => !/theme|units|fine/.test(key)),
    ]),
  ).toEqual([[], []])
})

test('a passkey of the device lets in without a password, and is taken away again @long', async ({
  page,
  browser,
  house,
}) => {
  const client = await page.context().newCDPSession(page)
  await client.send('WebAuthn.enable')
  await client.send('WebAuthn.addVirtualAuthenticator', {
    options: {
      protocol: 'ctap2',
      transport: 'internal',
      hasResidentKey: true,
      hasUserVerification: true,
      isUserVerified: true,
      automaticPresenceSimulation: true,
    },
  })
  await page.goto('/account')
  await page.getByRole('button', { name: 'Add passkey' }).click()
  await expect(page.getByTestId('passkeys').getByRole('listitem')).toHaveCount(1)
  await page.getByRole('button', { name: 'Sign out', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible()
  await page.getByRole('button', { name: 'Sign in with passkey' }).click()
  await expect(page.getByTestId('account')).toContainText('Isla Brandt')
  await page.goto('/account')
  await page.getByRole('button', { name: 'Remove' }).click()
  await expect(page.getByTestId('passkeys')).toHaveCount(0)
  await page.getByRole('button', { name: 'Sign out', exact: true }).click()
  await page.getByRole('button', { name: 'Sign in with passkey' }).click()
  await expect(page.getByRole('alert')).toContainText('passkey')
  await (await otherPerson(browser, house, 'Isla Brandt')).close()
})
