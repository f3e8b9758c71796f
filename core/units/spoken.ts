const DIGITS: Record<string, string> = {
  zero: '0',
  oh: '0',
  one: '1',
  two: '2',
  three: '3',
  four: '4',
  five: '5',
  six: '6',
  seven: '7',
  eight: '8',
  nine: '9',
  ten: '10',
  eleven: '11',
  twelve: '12',
  fifteen: '15',
  twenty: '20',
}

/**
 * A figure as a person says it and a browser writes it down: with words for figures, for the point and for the sign.
 *
 * @returns as it would be typed; undefined where there is no figure in it
 * @example
 * spokenFigure('minus zero point five') // '-0.5'
 * spokenFigure('one point 8 millimetres') // '1.8'
 */
export function spokenFigure(said: string): string | undefined {
  const words = said
    .toLowerCase()
    .replaceAll('−', '-')
    .replaceAll(',', '.')
    .replace(/-(?=\d)/g, 'minus ')
    .split(/[^a-z0-9./]+/)
    .filter(Boolean)
  let text = ''
  let minus = false
  for (const word of words) {
    if (word === 'minus' || word === 'negative') minus = true
    else if (word === 'point' || word === 'dot') text += '.'
    else if (DIGITS[word] !== undefined) text += DIGITS[word]
    else if (/^\d*(\.\d+)?$|^\d+\/\d+$/.test(word))
      text += text && /\/|\d$/.test(text) && word.includes('/') ? ` ${word}` : word
  }
  return /\d/.test(text) ? `${minus ? '-' : ''}${text.startsWith('.') ? `0${text}` : text}` : undefined
}

/** What is asked for by voice beside a figure. */
export const spokenOrder = (said: string): 'next' | 'back' | undefined =>
  /\b(next|skip)\b/i.test(said) ? 'next' : /\b(back|before)\b/i.test(said) ? 'back' : undefined
