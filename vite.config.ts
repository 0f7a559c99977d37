import { reactRouter } from "@react-router/dev/vite";
import tailwindcss from "@tailwindcss/vite";
import { defineConfig } from "vite";

export default defineConfig({
  plugins: [tailwindcss(), reactRouter()],
  resolve: { tsconfigPaths: true },
  worker: { format: "es" },
  // React Router 7 looks at `rollupOptions` only; under `rolldownOptions` the input would be ignored without a word.
  environments: {
    ssr: { build: { rollupOptions: { input: "./server/app.ts" } } },
    // The distributions are worked with on the server: a page that needs a word of their module must not carry the library.
    client: {
      build: { rollupOptions: { treeshake: { moduleSideEffects: [{ test: /jstat/, sideEffects: false }] } } },
    },
  },
});
