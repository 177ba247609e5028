/**
 * Set-up of every test file: what properties draw is the same in every run, so that a change is judged by itself and not by the day's luck.
 * `./lea bench properties` draws anew (`LEA_SEED` says by which number), and more (`LEA_DRAWS`).
 */
import fc from 'fast-check'
import { inject } from 'vitest'

declare module 'vitest' {
  export interface ProvidedContext {
    seed: number
    /** How often a property draws that does not say it itself. */
    draws: number
  }
}

fc.configureGlobal({ ...fc.readConfigureGlobal(), seed: inject('seed'), numRuns: inject('draws') })
