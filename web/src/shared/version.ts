/** The version of Lea: that of the root package, which is that of the CHANGELOG. */
import { version } from '../../../package.json'

export const VERSION = version
