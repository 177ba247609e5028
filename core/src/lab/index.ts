export { scheduleBreaches } from './check-schedule'
export { solve } from './solve'
