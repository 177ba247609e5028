import { forgetDrafts } from './recipe-draft'
import { defineStore } from 'pinia'
import { ref } from 'vue'
import type { PersonRole } from '@lea/core/schema'
import { api, ApiFault, isOffline } from '../shared/api'
import { cacheAnswer, forgetAnswers, getCached, keepForCode } from '../offline-cache/answers'
import { forgetAll, forgetLists } from '../offline-cache/database'
import { openByCode, setCode } from '../offline-cache/device-code'
import { forgetKey, isOpen, lookForCode, useKey } from '../offline-cache/device-lock'
import { deviceName, unsent } from '../offline-cache/outbox'

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
  /** It does not answer, and what this device kept opens by its code. */
  const locked = ref(false)
  let looked = false

  function take(answer: Entered): void {
    person.value = answer.person
    setting.value = answer.setting.name
    firstVisit.value = false
    looked = true
    away.value = false
    locked.value = false
  }
  async function enter(answer: Entered): Promise<void> {
    take(answer)
    await fetchKey()
    void cacheAnswer('/me', { person: answer.person, setting: answer.setting })
  }
  /** Without it this device keeps nothing: the page works on. */
  async function fetchKey(): Promise<void> {
    const by = person.value?.id
    if (!by || isOpen()) return
    try {
      const { key } = await api<{ key: string }>(
        'GET',
        `/me/device-key?device=${encodeURIComponent(deviceName())}`,
      )
      await useKey(
        Uint8Array.from(atob(key), (c) => c.charCodeAt(0)),
        by,
      )
      // What was answered before the key was here.
      await keepForCode()
    } catch {
      // Asked for again by the next page.
    }
  }

  /** Asks once who is signed in. */
  async function look(): Promise<void> {
    if (looked && person.value) return
    try {
      take(await getCached<Entered>('/me'))
      await fetchKey()
    } catch (fault) {
      away.value = isOffline(fault)
      locked.value = away.value && !isOpen() && (await lookForCode())
      if (!(fault instanceof ApiFault) || fault.status !== 401) return
      person.value = null
      forgetKey()
      forgetAnswers()
      // What is not sent yet waits for the same person's next sign-in; lists and plans go.
      await forgetLists()
      firstVisit.value = (await api<{ needed: boolean }>('GET', '/first-visit')).needed
      looked = true
    }
  }

  /** @returns what is wrong with the code, or an empty text: this device is open */
  async function unlock(code: string): Promise<string> {
    const left = await openByCode(code)
    if (left === null) {
      await look()
      return person.value ? '' : 'What this device kept is too old. Cook from the printed run sheet.'
    }
    locked.value = left > 0
    if (left === 0) return 'Too many wrong codes: this device opens when the network is back.'
    return `That is not the code. ${left === 1 ? 'One try is' : `${left} tries are`} left.`
  }
  /** @throws where it is no code, or the network is needed */
  async function chooseCode(code: string): Promise<void> {
    await fetchKey()
    await setCode(code, person.value?.id ?? '')
    await keepForCode()
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
    forgetKey()
    forgetAnswers()
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
  return {
    person,
    setting,
    firstVisit,
    away,
    locked,
    enter,
    look,
    unlock,
    chooseCode,
    signOut,
    isLeader,
    isOwner,
  }
})
