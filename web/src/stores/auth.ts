import { forgetDrafts } from './recipe-draft'
import { defineStore } from 'pinia'
import { ref } from 'vue'
import type { PersonRole } from '@lea/core/schema'
import { api, ApiFault, isOffline } from '../shared/api'
import { getCached, cacheAnswer } from '../offline-cache/answers'
import { forgetAll, forgetLists } from '../offline-cache/database'
import { unsent } from '../offline-cache/outbox'

export interface SignedInPerson {
  id: string
  name: string
  role: PersonRole
}
interface Entered {
  person: SignedInPerson
  setting: { name: string }
}

/** Who is signed in, and to which setting. */
export const useAuthStore = defineStore('auth', () => {
  const person = ref<SignedInPerson | null>(null)
  const setting = ref('')
  const firstVisit = ref(false)
  /** The server does not answer, and this device does not know who is there. */
  const away = ref(false)
  let looked = false

  function enter(answer: Entered): void {
    person.value = answer.person
    setting.value = answer.setting.name
    firstVisit.value = false
    looked = true
    away.value = false
    void cacheAnswer('/me', { person: answer.person, setting: answer.setting })
  }

  /** Asks once who is signed in. */
  async function look(): Promise<void> {
    if (looked && person.value) return
    try {
      enter(await getCached<Entered>('/me'))
    } catch (fault) {
      away.value = isOffline(fault)
      if (!(fault instanceof ApiFault) || fault.status !== 401) return
      person.value = null
      // What is not sent yet waits for the same person's next sign-in; lists and plans go.
      await forgetLists()
      firstVisit.value = (await api<{ needed: boolean }>('GET', '/first-visit')).needed
      looked = true
    }
  }

  /** @returns what stands against it, or null: nothing that was tapped is thrown away, and a device is not left signed in unseen */
  async function signOut(where: 'here' | 'everywhere' = 'here'): Promise<string | null> {
    if ((await unsent()).length > 0)
      return 'Taps of a session are not sent yet: open it with a network, then sign out.'
    try {
      await (where === 'here' ? api('POST', '/sign-out') : api('DELETE', '/me/sign-ins'))
    } catch (fault) {
      if (!(fault instanceof ApiFault) || fault.status !== 401) return 'No network: sign out when it is back.'
    }
    await forgetAll()
    forgetDrafts()
    person.value = null
    looked = false
    // A fresh page holds nothing of the setting.
    window.location.assign('/sign-in')
    return null
  }

  const isLeader = (): boolean => person.value?.role === 'owner' || person.value?.role === 'leader'
  const isOwner = (): boolean => person.value?.role === 'owner'
  return { person, setting, firstVisit, away, enter, look, signOut, isLeader, isOwner }
})
