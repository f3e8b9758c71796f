import { startServer, untilAnswering } from '../scripts/house.mjs'
import { frames } from './frames'
import { mkdtempSync } from 'node:fs'
const s = startServer({ PORT: '4797', WT_DATA: mkdtempSync('/tmp/b-'), WT_DEMO: '1' }, 'pipe'); await untilAnswering(s, 'http://127.0.0.1:4797')
console.table(await frames('http://127.0.0.1:4797')); s.kill()
