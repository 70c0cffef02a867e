import { createHash } from 'node:crypto'
import { readdirSync, readFileSync } from 'node:fs'
import { sveltekit } from '@sveltejs/kit/vite'
import { SvelteKitPWA } from '@vite-pwa/sveltekit'
import tailwindcss from '@tailwindcss/vite'
import { defineConfig } from 'vite'

/** The page is another one whenever a file it loads is: their names tell what is in them. */
async function pageRevision(): Promise<string> {
  const files = readdirSync('.svelte-kit/output/client/_app/immutable', { recursive: true }).map(String).sort()
  return createHash('sha256').update(readFileSync('src/app.html')).update(files.join()).digest('hex').slice(0, 32)
}

export default defineConfig({
  plugins: [
    tailwindcss(),
    sveltekit(),
    SvelteKitPWA({
      strategies: 'injectManifest',
      srcDir: 'src',
      filename: 'service-worker.ts',
      registerType: 'prompt',
      injectRegister: false,
      kit: { adapterFallback: 'index.html', spa: { fallbackRevision: pageRevision } },
      injectManifest: { globPatterns: ['client/**/*.{js,css,svg,png,woff2,webmanifest}'] },
      manifest: {
        name: 'Libella',
        short_name: 'Libella',
        description: 'For putting coaches: face aim, eye position and start line, measured and judged.',
        display: 'standalone',
        start_url: '/',
        background_color: '#F6F3EA',
        theme_color: '#1B1E1A',
        icons: [
          { src: '/libella.svg', sizes: 'any', type: 'image/svg+xml' },
          { src: '/libella-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/libella-512.png', sizes: '512x512', type: 'image/png' },
          { src: '/libella-maskable-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' }
        ]
      }
    })
  ],
  // Logic is tested as it runs in the browser.
  ...(process.env.VITEST ? { resolve: { conditions: ['browser'] } } : {}),
  // During development the pages come from Vite, the API from ./demo.
  server: { proxy: { '/api': 'http://127.0.0.1:8090' } }
})
