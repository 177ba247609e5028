/** What was last seen of each child's techniques and talk, when each was last done and who had more turns than its share, kept beside the child so that the next plan can use it. */
import { turnsOverShare, latelyOf, skillsOf, talkOf } from '@lea/core/session'
import { pastOfChild, seenOfChild } from './session-history'
import { getChild, saveChild } from './people'
import type { Db } from './pool'

/** Worked out anew from all sessions of these children: a tap taken back is then gone here too. */
export async function refreshSkills(db: Db, setting: string, children: readonly string[]): Promise<void> {
  for (const id of new Set(children)) {
    const child = await getChild(db, id)
    if (!child) continue
    const past = await pastOfChild(db, id)
    await saveChild(db, setting, {
      ...child,
      skills: skillsOf(id, past),
      lately: latelyOf(id, past),
      talk: talkOf(id, past),
      ahead: turnsOverShare(id, past) || undefined,
    })
  }
}

/** Only how techniques were seen: quick enough for a tap in the middle of a session. */
export async function refreshSeen(db: Db, setting: string, children: readonly string[]): Promise<void> {
  for (const id of new Set(children)) {
    const child = await getChild(db, id)
    if (child) await saveChild(db, setting, { ...child, skills: skillsOf(id, await seenOfChild(db, id)) })
  }
}
