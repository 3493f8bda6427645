import tailwind from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { defineConfig } from "vite";

/** Views that are used together travel together: many small files weigh half as much again. */
const ROOMS = [
  { name: "door", test: /src\/views\/door\// },
  { name: "care", test: /src\/views\/(people|keeping|labels|places|bring-in|devices|print)\// },
  { name: "work", test: /src\/views\/(count|meals|shop)\// },
  { name: "aside", test: /src\/(app\/(Lately|NewPlace|KeysHelp|Letters)|label-line\/(Labels|OneHand|Editors)|scan\/LearnCode)\.tsx/ },
];

export default defineConfig({
  plugins: [react(), tailwind()],
  build: { target: "es2022", assetsInlineLimit: 0, rolldownOptions: { output: { codeSplitting: { groups: ROOMS } } } },
});
