import { reactRouter } from '@react-router/dev/vite'
import { defineConfig } from 'vite'

export default defineConfig(({ command }) => ({
  resolve: { tsconfigPaths: true },
  // Without deterministic ids the server's and the browser's class names differ.
  oxc: {
    plugins: {
      styledComponents: {
        displayName: command === 'serve',
        fileName: false,
        ssr: true,
        pure: true,
      },
    },
  },
  plugins: [reactRouter()],
  worker: { format: 'es' as const },
  optimizeDeps: {
    entries: ['app/entry.client.tsx', 'app/root.tsx', 'app/routes/**/*.{ts,tsx}'],
  },
  environments: {
    ssr: { build: { rollupOptions: { input: './app/server/app.server.ts' } } },
  },
}))
