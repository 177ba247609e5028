import express, { Router, type RequestHandler } from 'express'
import rateLimit from 'express-rate-limit'
import { randomUUID } from 'node:crypto'
import { firstOwnerSchema, linkPasswordSchema, linkSchema, passwordFault } from '@lea/core/schema'
import { plainKeys, shallow } from '../body'
import type { AppContext } from '../context'
import { noteBy } from '../db/audit'
import { findLink, useLink, type Link } from '../operator/links'
import { addAdult, changeAdult, lockAdult } from '../db/people'
import { inSetting } from '../db/pool'
import { nameOfSetting } from '../db/settings'
import { endSignIns } from '../db/sign-ins'
import { enter } from '../enter'
import { Fault, read } from '../fault'
import { triesInDatabase } from '../limits/tries'
import { hashPassword } from '../password'

const WINDOW_MS = 15 * 60_000
const ENDED = 'this link opens nothing (any more): ask whoever runs this Lea for a new one'

/** Whoever comes by a one-time link: the first owner of a setting, or somebody who gets a new password. The word stands in the body, never in an address. */
export function linkDoorRoutes({ pool, limits }: AppContext): Router {
  const router = Router()
  const open: RequestHandler[] = [
    rateLimit({
      windowMs: WINDOW_MS,
      store: triesInDatabase(pool, 'a link', WINDOW_MS),
      limit: limits.signIns,
      skipSuccessfulRequests: true,
      standardHeaders: 'draft-8',
      legacyHeaders: false,
      handler: () => {
        throw new Fault(429, 'too many tries: wait a quarter of an hour')
      },
    }),
    express.json({ limit: '10kb', reviver: plainKeys }),
    shallow,
  ]
  const found = async (word: string): Promise<Link> => {
    const link = await findLink(pool, word)
    if (!link) throw new Fault(404, ENDED, 'word')
    return link
  }

  router.post('/link', ...open, async (req, res) => {
    const { word } = await read(linkSchema, req.body)
    const { setting, adult } = await found(word)
    const known = adult ? await inSetting(pool, setting, (db) => lockAdult(db, adult)) : null
    res.json({
      setting: await nameOfSetting(pool, setting),
      for: adult ? 'password' : 'owner',
      ...(known && { signIn: known.signIn }),
    })
  })

  router.post('/link/owner', ...open, async (req, res) => {
    const { word, owner: name, signIn, password } = await read(firstOwnerSchema, req.body)
    const { setting, adult } = await found(word)
    if (adult) throw new Fault(409, 'this link is for a new password', 'word')
    const guessed = passwordFault(password, [name, signIn])
    if (guessed) throw new Fault(400, guessed, 'password')
    const person = { id: randomUUID(), settingId: setting, name, role: 'owner' as const }
    const hash = await hashPassword(password)
    await inSetting(pool, setting, async (db) => {
      if (!(await useLink(db, word))) throw new Fault(404, ENDED, 'word')
      await addAdult(db, setting, { ...person, leads: ['knives', 'heat'], signIn, hash })
      await noteBy(db, person, 'people', 'became the owner by a one-time link', person.id)
    })
    await enter(req, person.id, 0)
    res.status(201).json({ person, setting: { name: await nameOfSetting(pool, setting) } })
  })

  router.post('/link/password', ...open, async (req, res) => {
    const { word, password } = await read(linkPasswordSchema, req.body)
    const { setting, adult } = await found(word)
    if (!adult) throw new Fault(409, 'this link is for a first owner', 'word')
    const hash = await hashPassword(password)
    await inSetting(pool, setting, async (db) => {
      const known = await lockAdult(db, adult)
      if (!known?.signIn) throw new Fault(404, ENDED, 'word')
      const guessed = passwordFault(password, [known.signIn])
      if (guessed) throw new Fault(400, guessed, 'password')
      if (!(await useLink(db, word))) throw new Fault(404, ENDED, 'word')
      await changeAdult(db, adult, { hash })
      await endSignIns(db, adult)
      await noteBy(
        db,
        { id: adult, settingId: setting },
        'sign-in',
        'set a new password by a one-time link',
        adult,
      )
    })
    res.status(204).end()
  })
  return router
}
