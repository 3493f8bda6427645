import tailwind from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { defineConfig } from "vite";

export default defineConfig({
  plugins: [react(), tailwind()],
  build: {
    target: "es2022",
    assetsInlineLimit: 0,
    // Every browser that reads what is built here fetches modules ahead by itself.
    modulePreload: { polyfill: false },
    rolldownOptions: {
      // What a view says stands in that view's file, wherever the words are kept.
      optimization: { inlineConst: { mode: "all", pass: 2 } },
    },
  },
});
