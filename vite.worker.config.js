import { readFileSync } from 'node:fs';
import { defineConfig } from 'vite';

// The service worker: one file at the root, so that it may answer for all pages. Built after the assets that it keeps.
const manifest = JSON.parse(readFileSync('public/build/manifest.json', 'utf8'));
const files = Object.values(manifest).flatMap((one) => [one.file, ...(one.css ?? []), ...(one.assets ?? [])]);
const needed = [...new Set(files)].filter((file) => !file.endsWith('.woff'));

export default defineConfig({
  publicDir: false,
  define: {
    // Their names change with what they hold.
    SHELL: JSON.stringify([...needed.map((file) => `/build/${file}`), '/mark.svg', '/offline']),
    'process.env.NODE_ENV': '"production"',
  },
  build: {
    outDir: 'public',
    emptyOutDir: false,
    rollupOptions: {
      input: 'resources/js/worker.js',
      output: { format: 'iife', entryFileNames: 'worker.js' },
    },
  },
});
