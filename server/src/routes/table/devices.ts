import { Router, type Request, type Response } from 'express'
import { DEVICE_MOODS } from '@lea/core/amount'
import * as yup from 'yup'
import type { Play } from '../../devices/stand-ins'
import type { LineDevice } from '../../devices/line-device'
import { atLeast } from '../../auth'
import { Fault, notFound, read } from '../../fault'
import type { AppContext } from '../../context'

const STILL_HERE_MS = 20_000

const number = (label: string, least: number, most: number) =>
  yup
    .number()
    .typeError(`${label} must be a number`)
    .min(least, `${label} must be at least ${least}`)
    .max(most, `${label} may be at most ${most}`)
    .optional()
const mood = (label: string) =>
  yup
    .string()
    .oneOf([...DEVICE_MOODS], `${label} must be one of ${DEVICE_MOODS.join(', ')}`)
    .optional()
const playSchema = yup
  .object({
    load: number('Load', -1000, 20_000),
    core: number('Core temperature', -30, 130),
    scale: mood('Scale'),
    probe: mood('Probe'),
  })
  .noUnknown()

/** Readings of the kitchen's devices as a stream; and the handles of the stand-ins. */
export function deviceRoutes({ devices }: AppContext): Router {
  const router = Router()
  const stream = (device: LineDevice<object>) => (_req: Request, res: Response) => {
    res.writeHead(200, {
      'content-type': 'text/event-stream',
      'cache-control': 'no-store',
      'x-accel-buffering': 'no',
    })
    res.write('retry: 1000\n\n')
    const leave = device.listen((reading) => res.write(`data: ${JSON.stringify(reading)}\n\n`))
    const alive = setInterval(() => res.write(': still here\n\n'), STILL_HERE_MS)
    res.on('close', () => {
      clearInterval(alive)
      leave()
    })
  }
  router.get('/scale', stream(devices.scale))
  router.get('/probe', stream(devices.probe))
  router.get('/play', (_req, res) => {
    res.json({ play: devices.standIns?.play ?? null })
  })
  router.put('/play', atLeast('leader'), async (req, res) => {
    if (!devices.standIns) throw notFound('a stand-in: the devices here are real')
    const change = (await read(playSchema, req.body)) as Partial<Play>
    if (Object.keys(change).length === 0) throw new Fault(400, 'nothing to change was said')
    Object.assign(devices.standIns.play, change)
    res.json({ play: devices.standIns.play })
  })
  return router
}
