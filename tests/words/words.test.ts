import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { PHRASES } from './phrases'
import { textsIn } from './texts'

const sources = ['app', 'core', 'server', 'cli'].flatMap(folder =>
  readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter(name => /\.(ts|vue)$/.test(name) && !name.endsWith('.test.ts'))
    .map(name => join(folder, name)),
)

const wrongIn = (texts: string[]) =>
  texts.flatMap(text => PHRASES.filter(({ pattern }) => pattern.test(text)).map(({ why }) => `“${text}”: ${why}`))

/** Finds files that are worth reading in full. */
const ANYWHERE = new RegExp(PHRASES.map(({ pattern }) => `(?:${pattern.source.replaceAll('$', '')})`).join('|'), 'i')

describe('what a user reads', () => {
  it('has no phrase that is wrong in every context', () => {
    const wrong = sources
      .map(path => ({ path, source: readFileSync(path, 'utf8') }))
      .filter(({ source }) => ANYWHERE.test(source))
      .flatMap(({ path, source }) =>
        textsIn(path, source).flatMap(({ line, text }) => wrongIn([text]).map(fault => `${path}:${line} ${fault}`)),
      )
    expect(wrong).toEqual([])
  })

  it('is found in scripts, templates and attributes, and comments are no part of it', () => {
    expect(
      textsIn('a.ts', '/** whoever asks */\nconst a = `Stud ${1} is told.`\nimport x from "some where"').map(
        ({ text }) => text.trim(),
      ),
    ).toEqual(['Stud', 'is told.'])
    expect(
      textsIn(
        'a.vue',
        '<script setup lang="ts">\nconst a = \'Take it away\'\n</script>\n\n<template>\n  <b title="Keep the '
        + 'figures">\n    End it\n  </b>\n</template>\n',
      ),
    ).toEqual([
      { line: 6, text: 'Keep the figures' },
      { line: 7, text: 'End it' },
      { line: 2, text: 'Take it away' },
    ])
  })

  it('would be refused with each of these', () => {
    for (const text of [
      'Bring in a job file',
      'Keep the figures',
      'Up, hold its',
      'W as a rule',
      'a stop stands against it',
      'whoever signs',
      '9 of 9 plates held',
      'Say why: it is kept',
      'The turns are worked out…',
      'Test picture',
    ])
      expect(wrongIn([text]), text).not.toEqual([])
    for (const text of [
      'Isolate and prove dead',
      'proved dead',
      'Import job file',
      'Bring the cables in at more than one place',
      'Nothing is issued yet.',
    ])
      expect(wrongIn([text]), text).toEqual([])
  })
})
