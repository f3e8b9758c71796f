import { spawn, spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { copyFileSync, existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

/** What every command of the house needs first: packages, a build, a server. Plain Node, no packages. */

export const ROOT = dirname(dirname(fileURLToPath(import.meta.url)))
const at = (...path) => join(ROOT, ...path)

/** Runs a command to its end with its output shown; ends this process with its exit code if it fails. */
export function run(title, command, args, env = {}) {
  console.log(`\n── ${title}`)
  const { status, error } = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', env: { ...process.env, ...env } })
  if (error) throw error
  if (status !== 0) {
    console.error(`\n${title} failed.`)
    process.exit(status ?? 1)
  }
}

/** As many programs run beside each other. */
const LANES = 2

/**
 * Runs programs beside each other, the next as soon as one has ended, and prints what each said when it has. Ends this
 * process where one failed, once all are over.
 */
export async function runTogether(...programs) {
  const failed = []
  const next = async () => {
    for (let program = programs.shift(); program; program = programs.shift()) {
      const [title, command, args] = program
      const began = Date.now()
      const child = spawn(command, args, { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'] })
      const said = []
      for (const stream of [child.stdout, child.stderr]) stream.on('data', bytes => said.push(bytes))
      const status = await new Promise((answer, fail) => child.on('error', fail).on('close', answer))
      const seconds = Math.round((Date.now() - began) / 1000)
      process.stdout.write(`\n── ${title}: ${seconds} s\n${Buffer.concat(said)}`)
      if (status !== 0) failed.push(title)
    }
  }
  await Promise.all(Array.from({ length: LANES }, next))
  if (failed.length === 0) return
  console.error(`\nFailed: ${failed.join(', ')}.`)
  process.exit(1)
}

/** A program of an installed package. */
export const tool = name => at('node_modules', '.bin', name)

const FOLDERS = ['core', 'app', 'server', 'cli']

/** What is checked without running anything; types want `nuxt prepare` before. */
export const CHECKS = {
  types: ['Checking types', tool('vue-tsc'), ['-b']],
  lint: ['Linting', tool('eslint'), ['.', '--cache', '--cache-location', 'node_modules/.cache/eslint']],
  folders: ['Checking which folder knows which', tool('depcruise'), ['--config', 'dependency-rules.cjs', ...FOLDERS]],
}

/** The database's part that is compiled where it runs. */
const NATIVE = join('node_modules', 'better-sqlite3', 'build', 'Release', 'better_sqlite3.node')

/** Whether node_modules holds what the lock file asks for; packages for other platforms are optional. */
function isInstalled() {
  const hidden = at('node_modules', '.package-lock.json')
  if (!existsSync(hidden) || !existsSync(at(NATIVE))) return false
  const packages = file =>
    Object.entries(JSON.parse(readFileSync(file, 'utf8')).packages).filter(([path]) => path !== '')
  const there = new Map(packages(hidden).map(([path, { version }]) => [path, version]))
  return packages(at('package-lock.json')).every(([path, { version, optional }]) =>
    there.get(path) === version || (optional && !there.has(path)))
}

export function install() {
  if (!isInstalled()) run('Installing packages', 'npm', ['ci', '--no-audit', '--no-fund'])
}

/**
 * Installs and builds for a server that starts right after. On a machine that has neither, the database is compiled
 * beside the build, which does not need it until its end.
 */
export async function installAndBuild() {
  if (isInstalled()) return build()
  console.log('This is the first start here. It takes about three minutes, half a minute of them for packages.')
  run('Installing packages', 'npm', ['ci', '--no-audit', '--no-fund', '--ignore-scripts'])
  run('Setting up packages', 'npm', ['rebuild', 'esbuild', 'sharp'])
  run('Preparing types', tool('nuxt'), ['prepare'])
  console.log('\n── Compiling the database and building the application, beside each other: about two minutes')
  await runTogether(
    ['Compiling the database', 'npm', ['rebuild', 'better-sqlite3']],
    ['Building', process.execPath, [at('scripts', 'build.mjs')]],
  )
  // A build that ended first could not take along what was not compiled yet.
  const served = at('.output', 'server', NATIVE)
  if (existsSync(served)) return
  mkdirSync(dirname(served), { recursive: true })
  copyFileSync(at(NATIVE), served)
}

/** Everything that the build is made of. */
const SOURCES = ['app', 'core', 'server', 'public', 'nuxt.config.ts', 'package-lock.json']

function filesOf(path) {
  return readdirSync(at(path), { withFileTypes: true, recursive: true })
    .filter(entry => entry.isFile() && !entry.name.endsWith('.test.ts'))
    .map(entry => join(entry.parentPath ?? entry.path, entry.name))
    .sort()
}

function sourceDigest() {
  const digest = createHash('sha256')
  for (const source of SOURCES) {
    const files = source.includes('.') ? [at(source)] : filesOf(source)
    for (const file of files) digest.update(file.slice(ROOT.length)).update(readFileSync(file))
  }
  return digest.digest('hex')
}

const STAMP = at('.output', 'built-from')

/** Builds the application unless the build on disk was made from these very sources. */
export function build() {
  const digest = sourceDigest()
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === digest) return
  run('Building', tool('nuxt'), ['build'], { WT_BUILD_DIR: '.nuxt-build' })
  writeFileSync(STAMP, digest)
}

/**
 * Starts the built server.
 *
 * @param {{ PORT: string, WT_DATA: string, WT_DEMO?: string }} env
 * @param {'inherit' | 'pipe'} stdio where its output goes
 */
export function startServer(env, stdio = 'inherit') {
  // What is thrown away with its data needs no key that outlives it.
  const keys = env.WT_DATA === undefined ? {} : { WT_KEYS: join(env.WT_DATA, 'keys') }
  return spawn(process.execPath, [at('.output', 'server', 'index.mjs')], {
    cwd: ROOT, stdio: ['ignore', stdio, stdio], env: { ...process.env, NODE_ENV: 'production', ...keys, ...env },
  })
}

/** Waits until the server answers at an address; rejects if it ends first or takes too long. */
export async function untilAnswering(server, address, seconds = 90) {
  for (let tries = 0; tries < seconds * 20; tries++) {
    if (server.exitCode !== null) throw new Error(`The server ended at once, with exit code ${server.exitCode}.`)
    const answered = await fetch(`${address}/api/session`).then(({ ok }) => ok, () => false)
    if (answered) return
    await new Promise(done => setTimeout(done, 50))
  }
  throw new Error(`The server did not answer at ${address} within ${seconds} s.`)
}

/**
 * Goes in as one of the demo's people.
 *
 * @returns the session, as a cookie
 */
export async function cookieOf(address, person = 'Isla Brandt') {
  const answer = await fetch(`${address}/api/session/demo`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ person }),
  })
  if (!answer.ok) throw new Error(`Nobody goes in as ${person}: ${await answer.text()}`)
  return answer.headers
    .getSetCookie()
    .map(cookie => cookie.split(';')[0])
    .find(cookie => cookie.startsWith('wide-trellis='))
}

/**
 * Has the pages of a browser's context save data: a page fetches the stages that it does not show when it is asked to,
 * which spares a quarter of what drawing a wall costs.
 */
export const saveData = context => context.addInitScript(() => {
  Object.defineProperty(Navigator.prototype, 'connection', {
    get: () => Object.assign(new EventTarget(), { saveData: true, effectiveType: '4g' }),
  })
})

/** Goes in as one of the demo's people in a browser's context. */
export async function signIn(context, address, person) {
  const [name, value] = (await cookieOf(address, person)).split('=')
  await context.addCookies([{ name, value, url: address }])
}
