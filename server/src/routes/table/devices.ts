import { Router, type Request, type Response } from 'express'
import { DEVICE_MOODS } from '@lea/core/amount'
import * as yup from 'yup'
import type { Devices } from '../../devices/devices'
import type { Play } from '../../devices/stand-ins'
import type { LineDevice } from '../../devices/line-device'
import { atLeast, personOf } from '../../auth'
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
export function deviceRoutes({ kitchens }: AppContext): Router {
  const router = Router()
  const here = (req: Request): Promise<Devices> => kitchens.of(personOf(req).settingId)
  const stream = (which: 'scale' | 'probe') => async (req: Request, res: Response) => {
    const device: LineDevice<object> = (await here(req))[which]
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
  router.get('/scale', stream('scale'))
  router.get('/probe', stream('probe'))
  router.get('/play', async (req, res) => {
    res.json({ play: (await here(req)).standIns?.play ?? null })
  })
  router.put('/play', atLeast('leader'), async (req, res) => {
    const { standIns } = await here(req)
    if (!standIns) throw notFound('a stand-in: the devices here are real')
    const change = (await read(playSchema, req.body)) as Partial<Play>
    if (Object.keys(change).length === 0) throw new Fault(400, 'nothing to change was said')
    Object.assign(standIns.play, change)
    res.json({ play: standIns.play })
  })
  return router
}
