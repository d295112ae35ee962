import tailwindcss from '@tailwindcss/vite';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vite';

// Vite 6 and Tailwind 4.1 are the newest that run on the Node.js 18 of Debian 12.
export default defineConfig({
    plugins: [laravel({ input: ['resources/css/app.css', 'resources/js/app.js'], refresh: false }), tailwindcss()],
    build: {
        // Fonts stay files of their own: the pages allow none that are written into a style sheet.
        assetsInlineLimit: 0,
    },
});
