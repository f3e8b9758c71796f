import { expose } from 'comlink'
import { planner } from './planner'

expose(planner)
