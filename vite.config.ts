import { reactRouter } from '@react-router/dev/vite'
import { defineConfig, type Plugin } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'

/** The client's page has a script of its own, so that it loads nothing of the editor. */
const clientPageScript = (): Plugin => ({
  name: 'client-page-script',
  apply: 'build',
  applyToEnvironment: ({ name }) => name === 'client',
  buildStart() {
    this.emitFile({ type: 'chunk', id: 'app/features/client/page.ts', fileName: 'assets/client-page.js' })
  },
})

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
  plugins: [
    reactRouter(),
    clientPageScript(),
    VitePWA({
      strategies: 'injectManifest',
      srcDir: 'app/offline',
      filename: 'sw.ts',
      outDir: 'build/client',
      injectRegister: false,
      registerType: 'prompt',
      manifest: false,
      injectManifest: {
        globDirectory: 'build/client',
        globPatterns: ['assets/**/*.{js,css,woff2,wasm}', '*.{svg,webmanifest}'],
        globIgnores: ['assets/client-page.js'],
        dontCacheBustURLsMatching: /^assets\//,
        maximumFileSizeToCacheInBytes: 6_000_000,
      },
    }),
  ],
  worker: { format: 'es' as const },
  optimizeDeps: {
    entries: ['app/entry.client.tsx', 'app/root.tsx', 'app/routes/**/*.{ts,tsx}'],
  },
  environments: {
    ssr: { build: { rollupOptions: { input: './app/server/app.server.ts' } } },
  },
}))
