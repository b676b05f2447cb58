import { defineConfig } from 'vite';
import laravel from 'laravel-vite-plugin';

export default defineConfig({
  plugins: [laravel({ input: ['resources/css/metrum.scss', 'resources/js/metrum.js'], refresh: false })],
  // Pages kept on devices name the assets of earlier builds: they stay, and bin/setup lets go of what is old.
  build: { assetsInlineLimit: 0, emptyOutDir: false },
  css: { preprocessorOptions: { scss: { quietDeps: true } } },
});
