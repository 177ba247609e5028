/** What was last seen of each child's techniques and talk, and when each was last done, kept beside the child so that the next plan can use it. */
import { latelyOf, skillsOf, talkOf } from '@lea/core'
import { getChild, saveChild } from './people'
import type { Db } from './pool'
import { listPast } from './sessions'

/** Worked out anew from all sessions: a tap taken back is then gone here too. */
export async function refreshSkills(db: Db, setting: string, children: readonly string[]): Promise<void> {
  const past = await listPast(db)
  for (const id of new Set(children)) {
    const child = await getChild(db, id)
    if (child)
      await saveChild(db, setting, {
        ...child,
        skills: skillsOf(id, past),
        lately: latelyOf(id, past),
        talk: talkOf(id, past),
      })
  }
}
