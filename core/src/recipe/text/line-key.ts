/** What a line is asked by: its own key without its kind, so that a question about it holds wherever it stands. */
import type { LineRead } from './understood'

export const lineKey = (id: string, read: readonly LineRead[]): string =>
  (read.find((r) => r.line === id)?.key ?? id).replace(/^line:/, '')
