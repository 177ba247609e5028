/** Every route of the server behind the door, with the least role that may use it. A test holds the list to the source. */
export type Role = 'helper' | 'leader' | 'owner'
export interface Route {
  method: 'GET' | 'POST' | 'PUT' | 'DELETE'
  /** `{child}` stands for an id. */
  path: string
  least: Role
  /** Not called by who may: what it does cannot be put back, or it is a stream. */
  destroys?: true
}

const of = (least: Role, text: string): Route[] =>
  text
    .trim()
    .split('\n')
    .map((line) => {
      const [method, path, destroys] = line.trim().split(' ')
      return {
        method: method as Route['method'],
        path: path ?? '',
        least,
        ...(destroys && { destroys: true }),
      }
    })

export const ROUTES: Route[] = [
  ...of(
    'helper',
    `GET /me
     GET /me/device-key
     PUT /me/password
     GET /me/sign-ins
     DELETE /me/sign-ins destroys
     GET /setting
     GET /recipes
     GET /children
     GET /packets
     GET /sessions
     GET /sessions/{session}
     GET /sessions/{session}/events
     POST /sessions/{session}/second-screen destroys
     DELETE /sessions/{session}/second-screen destroys
     POST /sessions/{session}/events
     GET /sessions/{session}/live destroys
     POST /sessions/{session}/begun
     POST /sessions/{session}/cook destroys
     POST /sessions/{session}/replan
     POST /sessions/{session}/mend
     POST /sessions/{session}/arrivals
     DELETE /sessions/{session}/arrivals/guest-1
     GET /devices/scale destroys
     GET /devices/play
     GET /devices/probe destroys`,
  ),
  ...of(
    'leader',
    `POST /sessions
     POST /sessions/{session}/changes
     POST /sessions/{session}/reopen
     POST /sessions/{session}/rotation
     GET /sessions/{session}/request
     GET /sessions/{session}/shopping.csv
     GET /sessions/{session}/papers/family.pdf
     GET /sessions/{session}/family
     POST /sessions/{session}/family/letter
     GET /sessions/{session}/papers/run.pdf
     PUT /setting/kit
     POST /setting/foods
     PUT /setting/cupboard/oats
     DELETE /setting/cupboard/nothing
     POST /recipes
     PUT /recipes/{recipe}
     POST /children
     PUT /children/{child}
     GET /children/{child}/export
     GET /children/roster.csv
     POST /children/roster
     POST /packets
     PUT /packets/{packet}
     DELETE /packets/{packet} destroys
     POST /packets/{packet}/readings
     PUT /words/own
     DELETE /words/nothing
     POST /words/file
     GET /words
     GET /words/words.csv
     GET /record
     GET /record/sessions/{session}
     GET /record/children/{child}
     PUT /devices/play
     GET /post
     GET /post/letter.eml
     GET /calendar.ics`,
  ),
  ...of(
    'owner',
    `PUT /setting/rules
     POST /adults
     PUT /adults/{adult}
     DELETE /adults/{adult} destroys
     DELETE /children/{child} destroys
     GET /keeping
     PUT /keeping
     POST /keeping/sweep
     POST /keeping/words
     POST /keeping/words/blank
     DELETE /keeping/guests/{session}/guest-none destroys
     GET /keeping/audit
     GET /archive
     POST /archive`,
  ),
]
