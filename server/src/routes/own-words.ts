import { Router } from 'express'
import * as yup from 'yup'
import { LANGUAGES, type OwnWord, languageName } from '@lea/core/learn'
import { ownWordSchema } from '@lea/core/schema'
import type { AppContext } from '../context'
import { noteBy, writeAudit } from '../db/audit'
import { listChildren } from '../db/people'
import { inSetting } from '../db/pool'
import { getSetting } from '../db/settings'
import { listWords, removeWord, saveWord } from '../db/own-words'
import { atLeast, personOf } from '../auth'
import { Fault, notFound, read } from '../fault'
import { wordsFromCsv, wordsToCsv } from '../files/words-csv'
import { queryText } from '../query'

const csvSchema = yup
  .object({
    csv: yup
      .string()
      .typeError('The file must be text')
      .max(900_000, 'The file is too large: at most 900 kB')
      .required('The file is empty'),
  })
  .noUnknown()

/** A setting's own words, one by one and as a file. */
export function wordRoutes({ pool }: AppContext): Router {
  const router = Router()
  router.use(atLeast('leader'))

  router.get('/', async (req, res) => {
    res.json(await inSetting(pool, personOf(req).settingId, listWords))
  })
  router.get('/words.csv', async (req, res) => {
    const csv = await inSetting(pool, personOf(req).settingId, async (db) => {
      const [words, children] = [await listWords(db), await listChildren(db)]
      const asked = queryText(req.query['languages'])
        .split(',')
        .filter((code) => code !== '' && languageName(code) !== undefined)
      const spoken = [
        ...children.flatMap((c) => c.languages),
        ...words.flatMap((w) => w.home.map((h) => h.language)),
      ]
      const languages = asked.length > 0 ? asked : spoken
      const { rules } = await getSetting(db)
      const wanted = languages.length > 0 ? languages : Object.keys(LANGUAGES)
      return wordsToCsv(words, [...new Set(wanted)], rules.country)
    })
    res.type('text/csv; charset=utf-8').attachment('words.csv').send(csv)
  })
  router.post('/file', async (req, res) => {
    const { csv } = await read(csvSchema, req.body)
    const { words, faults } = wordsFromCsv(csv)
    if (faults.length > 0)
      throw new Fault(400, `nothing was taken: ${faults.length} of the rows cannot be read`, 'csv', {
        faults,
      })
    const { settingId, id } = personOf(req)
    await inSetting(pool, settingId, async (db) => {
      const known = new Map((await listWords(db)).map((w) => [w.id, w]))
      for (const word of words) await saveWord(db, settingId, merged(known.get(word.id), word))
      await writeAudit(db, settingId, id, 'lists', 'read words from a file', String(words.length))
    })
    res.json({ words: words.length })
  })
  router.put('/:id', async (req, res) => {
    const word = await read<OwnWord>(ownWordSchema, { ...req.body, id: req.params['id'] })
    await inSetting(pool, personOf(req).settingId, async (db) => {
      await saveWord(db, personOf(req).settingId, word)
      await noteBy(db, personOf(req), 'lists', `changed the word '${word.id}'`)
    })
    res.json(word)
  })
  router.delete('/:id', async (req, res) => {
    const { id } = req.params
    const gone = await inSetting(pool, personOf(req).settingId, async (db) => {
      const found = await removeWord(db, id)
      if (found) await noteBy(db, personOf(req), 'lists', `removed the word '${id}'`)
      return found
    })
    if (!gone) throw notFound('this word')
    res.status(204).end()
  })
  return router
}

/** Languages that the file does not name stay as they were. */
const merged = (old: OwnWord | undefined, word: OwnWord): OwnWord => ({
  ...old,
  ...word,
  home: [...(old?.home ?? []).filter((h) => !word.home.some((n) => n.language === h.language)), ...word.home],
})
