const { rules } = require('./tests/layers.cjs')

module.exports = {
  forbidden: [
    ...rules,
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'feature-apart',
      comment: 'a feature never imports another feature',
      severity: 'error',
      from: { path: '^app/features/([^/]+)/' },
      to: { path: '^app/features/', pathNot: '^app/features/$1/' },
    },
    {
      name: 'core-is-pure',
      comment: 'length, model and core run alike in Node, browser and worker',
      severity: 'error',
      from: { path: '^app/(length|model|core)/', pathNot: '\\.test\\.ts$' },
      to: {
        dependencyTypes: ['core', 'npm'],
        pathNot:
          'node_modules/(zod|papaparse|@types/papaparse|fraction\\.js|polygon-clipping|colord|ml-matrix|@internationalized/date|ics|svg-parser|@types/svg-parser|svgpath|dxf-parser)/',
      },
    },
    {
      name: 'server-stays-home',
      comment: 'server code reaches the browser by no path but the routes',
      severity: 'error',
      from: { path: '^app/(?!server/|routes/|root\\.tsx|entry\\.server)' },
      to: { path: '\\.server\\.ts$' },
    },
    {
      name: 'database-behind-server',
      severity: 'error',
      from: { path: '^app/', pathNot: '^app/server/' },
      to: { path: 'node_modules/(drizzle-orm|better-sqlite3)/' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    exclude: { path: '\\+types/' },
  },
}
