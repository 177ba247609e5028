import { forgetDrafts } from '../recipe/useDraft'
import { defineStore } from 'pinia'
import { ref } from 'vue'
import type { PersonRole } from '@lea/core'
import { api, ApiFault } from '../api'
import { forgetTables } from '../table/outbox'

export interface Person {
  id: string
  name: string
  role: PersonRole
}
interface Entered {
  person: Person
  setting: { name: string }
}

/** Who is signed in, and to which setting. */
export const useDoor = defineStore('door', () => {
  const person = ref<Person | null>(null)
  const setting = ref('')
  const firstVisit = ref(false)
  let looked = false

  function enter(answer: Entered): void {
    person.value = answer.person
    setting.value = answer.setting.name
    firstVisit.value = false
    looked = true
  }

  /** Asks once who is signed in. */
  async function look(): Promise<void> {
    if (looked && person.value) return
    try {
      enter(await api<Entered>('GET', '/me'))
    } catch (fault) {
      if (!(fault instanceof ApiFault) || fault.status !== 401) return
      person.value = null
      firstVisit.value = (await api<{ needed: boolean }>('GET', '/first-visit')).needed
      looked = true
    }
  }

  async function signOut(): Promise<void> {
    await api('POST', '/sign-out')
    await forgetTables()
    forgetDrafts()
    person.value = null
    looked = false
    // A fresh page holds nothing of the setting.
    window.location.assign('/sign-in')
  }

  const isLeader = (): boolean => person.value?.role === 'owner' || person.value?.role === 'leader'
  const isOwner = (): boolean => person.value?.role === 'owner'
  return { person, setting, firstVisit, enter, look, signOut, isLeader, isOwner }
})
