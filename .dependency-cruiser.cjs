/**
 * The floors of the house (docs/architecture.md): no import runs upward, no circles. Each list runs from the ground up; a room may
 * import what stands before it in its list. Rooms that share a floor do not know each other.
 */
const CORE = [
  'amount',
  ['food', 'craft', 'learn'],
  'recipe',
  'plan',
  'setting',
  'session',
  'choose',
  'schema',
  'lab',
]
/** Inside plan: the model, the passes in their order, the checker, the pipeline (files of plan itself), and what is built upon it. */
const PLAN = [
  'model',
  'check',
  'adapt',
  'shape',
  'portion',
  'split',
  'scoop',
  'turns',
  'clock',
  'gather',
  'talk',
  '(?!index)[^/]+\\.ts$',
  ['live', 'whatif', 'view'],
  'index\\.ts$',
]
/** Web: what every page stands on, then the pages: a folder for each route, which do not know each other. */
const WEB = [
  'shared',
  'offline-cache',
  'workers',
  'stores',
  'parts',
  'choose',
  [
    'auth',
    'children',
    'cupboard',
    'finish',
    'print',
    'recipes',
    'record',
    'session',
    'setting',
    'table',
    'today',
  ],
  '[^/]+\\.(ts|vue)$',
]
const SERVER = ['clock\\.ts$', 'words\\.ts$', 'fault\\.ts$', 'db', 'routes', 'app\\.ts$', 'main\\.ts$']

/** No room imports one that stands beside it on its floor or above it. */
function floors(name, root, list) {
  const inRoom = (room) => `${root}${room}${room.includes('$') ? '' : '/'}`
  return list.flatMap((floor, i) =>
    [floor].flat().map((room) => {
      const beside = [floor].flat().filter((other) => other !== room)
      const above = list.slice(i + 1).flat()
      return {
        name: `floor-${name}-${room.replace(/\W+/g, '')}`,
        severity: 'error',
        from: { path: inRoom(room) },
        to: { path: [...beside, ...above].map(inRoom).join('|') || '^$' },
      }
    }),
  )
}

module.exports = {
  forbidden: [
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { pathNot: 'node_modules' } },
    },
    {
      name: 'unresolved',
      severity: 'error',
      from: {},
      to: { couldNotResolve: true, pathNot: '^(virtual:|~icons/|pdfmake/interfaces$)|\\?url$' },
    },
    ...floors('core', '^core/src/', CORE),
    ...floors('plan', '^core/src/plan/', PLAN),
    ...floors('web', '^web/src/', WEB),
    ...floors('server', '^server/src/', SERVER),
    // Other workspaces come in by the index of a room.
    {
      name: 'by-the-index',
      severity: 'error',
      from: { path: '^(server|web|e2e)/' },
      to: { path: '^core/src/', pathNot: '^core/src/[^/]+/index\\.ts$' },
    },
    // The checker asks the plan again and trusts no pass.
    {
      name: 'checker-alone',
      severity: 'error',
      from: { path: '^core/src/plan/check/' },
      to: { path: '^core/src/plan/(?!check/|model/)' },
    },
    { name: 'core-alone', severity: 'error', from: { path: '^core/' }, to: { path: '^(server|web|e2e)/' } },
    { name: 'server-not-web', severity: 'error', from: { path: '^server/' }, to: { path: '^web/' } },
    { name: 'web-not-server', severity: 'error', from: { path: '^web/' }, to: { path: '^server/' } },
    {
      name: 'core-pure',
      severity: 'error',
      from: { path: '^core/src' },
      to: { dependencyTypes: ['core'] },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      extensions: ['.ts', '.vue', '.js', '.json'],
      conditionNames: ['import', 'types', 'default'],
      exportsFields: ['exports'],
    },
  },
}
