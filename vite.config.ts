import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

export default defineConfig({
    plugins: [
        laravel({ input: ['resources/ui/main.tsx'], refresh: false }),
        react(),
        tailwindcss(),
        // The pages themselves stay on the device, so that one opened without a connection still opens; what they show does not
        // pass through here, see resources/ui/api/kept.ts.
        VitePWA({
            strategies: 'generateSW',
            outDir: 'public',
            buildBase: '/',
            scope: '/',
            filename: 'worker.js',
            manifest: false,
            injectRegister: false,
            workbox: {
                globDirectory: 'public',
                globPatterns: ['build/assets/*.{js,css,woff2}', 'icon.svg'],
                additionalManifestEntries: [{ url: '/shell', revision: String(Date.now()) }],
                navigateFallback: null,
                skipWaiting: true,
                clientsClaim: true,
                cleanupOutdatedCaches: true,
                inlineWorkboxRuntime: true,
                runtimeCaching: [
                    {
                        urlPattern: ({ request, url }) =>
                            request.mode === 'navigate' && !/^\/(api|calendar)\//.test(url.pathname),
                        handler: 'NetworkOnly',
                        options: { precacheFallback: { fallbackURL: '/shell' } },
                    },
                ],
            },
        }),
    ],
    build: { manifest: 'manifest.json', assetsInlineLimit: 0 },
});
