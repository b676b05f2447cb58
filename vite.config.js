import { defineConfig } from 'vite';
import laravel from 'laravel-vite-plugin';

export default defineConfig({
  plugins: [laravel({ input: ['resources/css/metrum.scss', 'resources/js/metrum.js'], refresh: false })],
  build: { assetsInlineLimit: 0 },
  css: { preprocessorOptions: { scss: { quietDeps: true } } },
});
