import { createHash } from "node:crypto";
import { readdirSync, readFileSync } from "node:fs";
import { join, relative } from "node:path";
import { defineConfig } from "vite";

const DIST = "dist";
const SHELL = /\.(js|css|woff2|svg|png|webmanifest)$/;

/** Every file of the interface that was built just now; names with a hash need no other mark. */
function shell(folder = DIST): { url: string; revision: string | null }[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return shell(path);
    const page = entry.name === "index.html";
    if (!page && (!SHELL.test(entry.name) || entry.name === "sw.js")) return [];
    const url = page ? "/" : `/${relative(DIST, path)}`;
    const hashed = url.startsWith("/assets/");
    return [{ url, revision: hashed ? null : createHash("sha256").update(readFileSync(path)).digest("hex") }];
  });
}

/** The worker that keeps the interface and the last answers for where there is no signal. */
export default defineConfig({
  define: { __SHELL__: JSON.stringify(shell()), "process.env.NODE_ENV": JSON.stringify("production") },
  publicDir: false,
  build: {
    target: "es2022",
    emptyOutDir: false,
    rolldownOptions: { input: "src/sw.ts", output: { entryFileNames: "sw.js", format: "iife" } },
  },
});
