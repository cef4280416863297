import { prepare } from './server.js'

export default () => prepare()
