import { index, route, type RouteConfig } from '@react-router/dev/routes'

export default [
  index('routes/jobs.tsx'),
  route('jobs/new', 'routes/job-new.tsx'),
  route('jobs/:jobId', 'routes/job.tsx'),
  route('jobs/:jobId/export', 'routes/job-export.ts'),
  route('jobs/:jobId/walls/:wallId/document', 'routes/wall-document.ts'),
  route('jobs/:jobId/walls/:wallId/kept.json', 'routes/wall-kept.ts'),
  route('jobs/:jobId/walls/:wallId/acts', 'routes/wall-acts.ts'),
  route('jobs/:jobId/walls/:wallId', 'routes/wall.tsx', [
    index('routes/wall-index.ts'),
    route('measure', 'routes/wall-measure.tsx'),
    route('layout', 'routes/wall-layout.tsx'),
    route('mark', 'routes/wall-mark.tsx'),
    route('cut', 'routes/wall-cut.tsx'),
    route('buy', 'routes/wall-buy.tsx'),
  ]),
  route('jobs/:jobId/rooms/:roomId', 'routes/room.tsx'),
  route('jobs/:jobId/rooms/:roomId/document', 'routes/room-document.ts'),
  route('sign-in', 'routes/sign-in.tsx'),
  route('crew', 'routes/crew.tsx'),
  route('devices', 'routes/devices.tsx'),
  route('devices/:device/readings', 'routes/device.ts'),
  route('jobs/:jobId/walls/:wallId/readings.csv', 'routes/wall-readings.ts'),
  route('healthz', 'routes/healthz.ts'),
  route('*', 'routes/not-found.tsx'),
] satisfies RouteConfig
