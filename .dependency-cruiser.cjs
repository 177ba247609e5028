/**
 * The floors of the house (docs/architecture.md): no import runs upward, no circles.
 * amount is the ground; food, craft and learn stand on it and do not know each other; recipe stands on them,
 * plan on recipe, choose and session on plan, schema on top; server and web stand on core and never on each other.
 */
const core = (rooms) => `^core/src/(${rooms})/`
const floor = (room, forbidden) => ({
  name: `floor-${room}`,
  severity: 'error',
  from: { path: core(room) },
  to: { path: core(forbidden) },
})
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
    floor('amount', 'food|craft|learn|recipe|plan|choose|session|schema'),
    floor('food', 'craft|learn|recipe|plan|choose|session|schema'),
    floor('craft', 'food|learn|recipe|plan|choose|session|schema'),
    floor('learn', 'food|craft|recipe|plan|choose|session|schema'),
    floor('recipe', 'plan|choose|session|schema'),
    floor('plan', 'choose|session|schema'),
    floor('choose', 'session|schema'),
    floor('session', 'choose|schema'),
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
