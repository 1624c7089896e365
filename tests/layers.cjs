// Who may import whom. A layer sees itself and what stands in its row, nothing else.
const layers = {
  length: [],
  model: ['length'],
  core: ['length', 'model'],
  messages: ['length', 'model', 'core'],
  ui: ['length', 'model', 'messages'],
  drawing: ['length', 'core', 'ui'],
  paper: ['length', 'model', 'core', 'messages', 'drawing'],
  workers: ['length', 'model', 'core'],
  offline: [],
  editor: ['length', 'model', 'core', 'messages', 'ui', 'drawing', 'workers', 'offline'],
  features: ['length', 'model', 'core', 'messages', 'ui', 'drawing', 'workers', 'editor', 'offline'],
  server: ['length', 'model', 'core', 'messages', 'paper', 'workers'],
  routes: ['length', 'messages', 'editor', 'features', 'server'],
}
const inLayer = (name) => `^app/${name}/`

const rules = Object.entries(layers).map(([name, seen]) => ({
  name: `layer-${name}`,
  severity: 'error',
  from: { path: inLayer(name), pathNot: '\\.test\\.tsx?$' },
  to: { path: '^app/', pathNot: [inLayer(name), ...seen.map(inLayer), '/\\+types/'] },
}))

module.exports = { layers, rules }
