import { describe, expect, it } from 'vitest'
import { hostFault, isLoopback } from '../src/who-is-served'

const at = { host: '0.0.0.0', https: false, plain: false, demo: false }

describe('where a server may listen', () => {
  it.each(['127.0.0.1', '127.8.9.1', '::1', 'localhost'])('%s is this machine: anything goes', (host) => {
    expect(isLoopback(host)).toBe(true)
    expect(hostFault({ ...at, host, demo: true })).toBe('')
  })
  it.each([
    '0.0.0.0',
    '::',
    '192.168.1.7',
    '10.0.0.1',
    'lea.example',
    '127.0.0.1.example',
    '::ffff:10.0.0.1',
    '',
  ])('%s is for others: in clear only by an explicit word', (host) => {
    expect(hostFault({ ...at, host })).toMatch(/LEA_HTTPS=1.*LEA_PLAIN_HTTP=1/)
    expect(hostFault({ ...at, host, https: true })).toBe('')
    expect(hostFault({ ...at, host, plain: true })).toBe('')
  })
  it('never with the demo, whatever is said', () => {
    for (const https of [true, false])
      for (const plain of [true, false])
        expect(hostFault({ ...at, https, plain, demo: true })).toMatch(/passwords are known to all/)
  })
})
