import { defineConfig } from 'vite'

/** The service worker is one file at the root: what it may answer for is what lies beneath it. */
export default defineConfig({
    publicDir: false,
    build: {
        outDir: 'public',
        emptyOutDir: false,
        rolldownOptions: { input: 'resources/js/worker.js', output: { entryFileNames: 'sw.js', format: 'iife' } },
    },
})
