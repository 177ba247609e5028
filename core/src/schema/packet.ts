/** Packets of the register and their readings as they cross a boundary. */
import * as yup from 'yup'
import { id, line, listOf, required } from './text'

/** A packet of the register with its words. */
export const packetSchema = yup
  .object({
    food: id('Food'),
    name: required('Name on the packet', 120),
    code: line('Code', 40).optional(),
    label: required('Words of the packet', 6000),
    simulated: yup.boolean().default(false),
  })
  .noUnknown()

/** That two adults read a packet, and which words. */
export const readingSchema = yup
  .object({
    readBy: listOf(id('Adult'), 'Read by (two adults, or one twice)', 2, 2),
    /** Digest of the words that were on the screen. */
    digest: required('Digest', 40),
  })
  .noUnknown()
