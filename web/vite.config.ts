import react from "@vitejs/plugin-react";
import { VitePWA } from "vite-plugin-pwa";
import { defineConfig } from "vitest/config";

export default defineConfig({
  plugins: [
    react(),
    // the app itself is kept in the browser; what the server knows is asked for, or kept apart by person
    VitePWA({
      registerType: "prompt",
      injectRegister: null,
      manifest: {
        name: "Mensor",
        short_name: "Mensor",
        description: "The measuring bench for finished stick welds",
        theme_color: "#16324f",
        background_color: "#e9edee",
        display: "standalone",
        icons: [{ src: "/mark.svg", sizes: "any", type: "image/svg+xml" }],
      },
      workbox: {
        globPatterns: ["**/*.{js,css,html,svg,woff2}"],
        maximumFileSizeToCacheInBytes: 4_000_000,
        navigateFallback: "/index.html",
        navigateFallbackDenylist: [/^\/api\//],
      },
    }),
  ],
  build: { outDir: "dist", emptyOutDir: true, chunkSizeWarningLimit: 1500 },
  server: { proxy: { "/api": "http://localhost:8080" }, fs: { allow: [".", "../docs"] } },
  test: {
    css: { include: [/src\/.*\.css/] },
    environment: "jsdom",
    setupFiles: ["src/test/setup.ts"],
    globals: false,
    testTimeout: 60_000,
    alias: { "idb-keyval": new URL("./src/test/idb-keyval.ts", import.meta.url).pathname },
    // the files share what they import: loading the widgets anew for each took half of the time
    isolate: false,
    maxWorkers: 2,
  },
});
