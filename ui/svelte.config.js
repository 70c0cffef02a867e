import adapter from '@sveltejs/adapter-static'

/** @type {import('@sveltejs/kit').Config} */
export default {
  kit: {
    adapter: adapter({ fallback: 'index.html' }),
    version: { name: 'libella' },
    // Brought by `lib/away/worker`, which also brings a new version.
    serviceWorker: { register: false }
  }
}
